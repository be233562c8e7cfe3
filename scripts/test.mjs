// Everything, from a fresh clone: check, Jest, Playwright. `-- core` (or contracts, server, web, e2e, check) runs a part.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { checkNode, ensureBuilt, ensureChromium, ensureInstalled, LOCAL, node, plainFailures, ROOT, say, sh, TSC } from './bootstrap.mjs';
import { runChecks } from './check.mjs';

// The tests' own cluster: a running demo and its data are never touched.
process.env.NORTHLEAF_PG_FSYNC ??= 'off';
process.env.NORTHLEAF_PG_PORT = process.env.NORTHLEAF_TEST_PG_PORT ?? '55433';
process.env.NORTHLEAF_PG_CLUSTER = 'pg-test';
const { databaseUrl, startDatabase, stopDatabase } = await import('./db.mjs'); // reads the settings above as it loads

plainFailures();
checkNode();
const parts = process.argv.slice(2);
const wants = (part) => parts.length === 0 || parts.includes(part);
const projects = ['core', 'contracts', 'server', 'web'].filter(wants);
const JEST_WORKERS = 2;
const total = { passed: 0, failed: 0 };
const add = ({ passed, failed }) => {
  total.passed += passed;
  total.failed += failed;
};

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => process.exit(1));
ensureInstalled();
mkdirSync(LOCAL, { recursive: true });
if (wants('check')) add(runChecks());
if (wants('server') || wants('e2e')) {
  process.on('exit', stopDatabase);
  const workers = Array.from({ length: JEST_WORKERS }, (_, i) => `northleaf_test_${i + 1}`);
  await startDatabase([...workers, 'northleaf_e2e', 'northleaf_e2e_killed']);
}
// The solver's thread runs the built server.
if (wants('server') && !wants('check')) node([TSC, '-b', 'tsconfig.build.json']);
if (projects.length > 0) add(jest());
if (wants('e2e')) add(playwright());
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed > 0 ? 1 : 0);

function jest() {
  const out = join(LOCAL, 'jest.json');
  rmSync(out, { force: true });
  const env = { ...process.env, TEST_DATABASE_URL: databaseUrl('northleaf_test'), NODE_OPTIONS: '--no-warnings' };
  const args = [
    'node_modules/jest/bin/jest.js',
    '--silent',
    '--maxWorkers',
    String(JEST_WORKERS),
    '--json',
    '--outputFile',
    out,
    '--selectProjects',
    ...projects,
  ];
  sh(process.execPath, args, { env, stdio: ['ignore', 'ignore', 'inherit'] });
  if (!existsSync(out)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(out, 'utf8'));
  say(`jest: ${numPassedTests} passed, ${numFailedTests + numRuntimeErrorTestSuites} failed`);
  return { passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites };
}

function playwright() {
  process.env.CHROMIUM_PATH = ensureChromium();
  ensureBuilt();
  const out = join(LOCAL, 'playwright.json');
  rmSync(out, { force: true });
  const env = {
    ...process.env,
    DATABASE_URL: databaseUrl('northleaf_e2e'),
    KILLED_DATABASE_URL: databaseUrl('northleaf_e2e_killed'),
    PLAYWRIGHT_JSON_OUTPUT_NAME: out,
  };
  const status = sh(process.execPath, [join(ROOT, 'node_modules/@playwright/test/cli.js'), 'test'], { cwd: join(ROOT, 'e2e'), env });
  if (!existsSync(out)) return { passed: 0, failed: 1 };
  const { stats } = JSON.parse(readFileSync(out, 'utf8'));
  const failed = stats.unexpected + (status !== 0 && stats.unexpected === 0 ? 1 : 0);
  say(`playwright: ${stats.expected} passed, ${failed} failed`);
  return { passed: stats.expected + stats.flaky, failed };
}
