// Format, lint, types, import arrows: each a line, all of them always.
import { pathToFileURL } from 'node:url';
import { checkNode, ensureInstalled, plainFailures, say, sh, TSC } from './bootstrap.mjs';

const steps = [
  ['format', ['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.']],
  ['lint', ['node_modules/eslint/bin/eslint.js', '--max-warnings', '0', '.']],
  ['types of packages and server', [TSC, '-b', 'tsconfig.build.json']],
  ['types of tests and scripts', [TSC, '-p', 'tsconfig.check.json']],
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
export function runChecks() {
  let failed = 0;
  for (const [name, args] of steps) {
    const status = sh(process.execPath, args);
    say(`${name}: ${status === 0 ? 'passed' : 'FAILED'}`);
    if (status !== 0) failed++;
  }
  return { passed: steps.length - failed, failed };
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  plainFailures();
  checkNode();
  ensureInstalled();
  process.exit(runChecks().failed > 0 ? 1 : 0);
}
