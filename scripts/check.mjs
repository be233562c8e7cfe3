// Format, lint, types, import arrows: each a line, all of them always, two at a time.
import { pathToFileURL } from 'node:url';
import { checkNode, ensureInstalled, plainFailures, say, sh, TSC } from './bootstrap.mjs';

/** The others read what it builds. */
const first = ['types of packages and server', [TSC, '-b', 'tsconfig.build.json']];
const steps = [
  ['lint', ['node_modules/eslint/bin/eslint.js', '--max-warnings', '0', '.']],
  ['format', ['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.']],
  ['types of tests and scripts', [TSC, '-p', 'tsconfig.check.json']],
  ['names that scripts read', ['scripts/script-names.mjs']],
  ['types of pages', [TSC, '-p', 'apps/web/tsconfig.json']],
  [
    'import arrows and rings',
    [
      'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
      'packages',
      'apps',
    ],
  ],
];

/** How many passed and failed. */
export async function runChecks() {
  let failed = 0;
  const left = [...steps];
  const check = async ([name, args]) => {
    const status = await sh(process.execPath, args);
    say(`${name}: ${status === 0 ? 'passed' : 'FAILED'}`);
    if (status !== 0) failed++;
  };
  const lane = async () => {
    for (let step = left.shift(); step; step = left.shift()) await check(step);
  };
  await check(first);
  await Promise.all([lane(), lane()]);
  return { passed: steps.length + 1 - failed, failed };
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  plainFailures();
  checkNode();
  ensureInstalled();
  process.exit((await runChecks()).failed > 0 ? 1 : 0);
}
