// Which optional platform packages that a locked package names are missing from the lock? (npm ci would refuse)
import { readFileSync } from 'node:fs';
const l = JSON.parse(readFileSync(process.argv[2] ?? 'package-lock.json')).packages;
const have = new Set(Object.keys(l).map((k) => k.split('node_modules/').pop()));
let bad = 0;
for (const [k, v] of Object.entries(l)) {
  const miss = Object.keys(v.optionalDependencies ?? {}).filter((d) => !have.has(d));
  if (miss.length) {
    bad++;
    console.log(`${k}@${v.version}: ${miss.length} of ${Object.keys(v.optionalDependencies).length} missing`, miss.slice(0, 3).join(' '));
  }
}
console.log(bad ? 'npm ci WILL FAIL' : 'ok');
process.exit(bad ? 1 : 0);
