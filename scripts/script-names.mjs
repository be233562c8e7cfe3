// The scripts that nothing in the tests runs (validate, bench, middles) read names out of what is built: each of them has to be there.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './bootstrap.mjs';

const TAKEN = /const \{([^}=]*)\} = await (?:core\('([^'$]+)'\)|import\(join\(ROOT, '([^']+)'\)\))/g;
const missing = [];
for (const file of readdirSync(join(ROOT, 'scripts')).filter((name) => name.endsWith('.mjs'))) {
  for (const [, names, inCore, inRoot] of readFileSync(join(ROOT, 'scripts', file), 'utf8').matchAll(TAKEN)) {
    const path = inRoot ?? `packages/core/dist/${inCore}`;
    const there = await import(join(ROOT, path)).catch(() => null);
    for (const name of names.split(',').map((one) => one.split(':')[0].trim()))
      if (name && !(name in (there ?? {}))) missing.push(`scripts/${file}: ${name} is not in ${path}`);
  }
}
if (missing.length > 0) console.error(missing.join('\n'));
process.exit(missing.length > 0 ? 1 : 0);
