// Lines of code and of tests, package by package.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './bootstrap.mjs';

const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', '*.ts', '*.tsx', '*.mjs', '*.cjs'], {
  cwd: ROOT,
  encoding: 'utf8',
})
  .trim()
  .split('\n');
const isTest = (file) => /\.test\.tsx?$|\.spec\.ts$|\/worked\/|^e2e\//.test(file);
const place = (file) =>
  /^(packages|apps)\//.test(file) ? file.split('/').slice(0, 2).join('/') : file.includes('/') ? file.split('/')[0] : 'root';
const rows = new Map();
for (const file of files) {
  const lines = readFileSync(join(ROOT, file), 'utf8').split('\n').length;
  const row = rows.get(place(file)) ?? { code: 0, tests: 0 };
  row[isTest(file) ? 'tests' : 'code'] += lines;
  rows.set(place(file), row);
}
const total = { code: 0, tests: 0 };
for (const [name, { code, tests }] of [...rows].sort()) {
  console.log(`${name.padEnd(20)} ${String(code).padStart(6)} code ${String(tests).padStart(6)} tests`);
  total.code += code;
  total.tests += tests;
}
console.log(
  `${'all'.padEnd(20)} ${String(total.code).padStart(6)} code ${String(total.tests).padStart(6)} tests  (tests are ${Math.round((100 * total.tests) / total.code)} % of the code)`,
);
