// Everything, from a fresh clone: check, Jest, Playwright. `-- core` (or contracts, words, server, web, e2e, check) runs a part;
// what follows the parts goes on to Playwright: `npm test -- e2e run.spec.ts:20`.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import {
  checkNode,
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  LOCAL,
  node,
  plainFailures,
  ROOT,
  running,
  say,
  sh,
} from './bootstrap.mjs';
import { runChecks } from './check.mjs';

// The tests' own cluster: a running demo and its data are never touched.
process.env.NORTHLEAF_PG_FSYNC ??= 'off';
process.env.NORTHLEAF_PG_PORT = process.env.NORTHLEAF_TEST_PG_PORT ?? '55433';
process.env.NORTHLEAF_PG_CLUSTER = 'pg-test';
const { databaseUrls, startDatabase, stopDatabase } = await import('./db.mjs'); // reads the settings above as it loads

plainFailures();
checkNode();
const PARTS = ['check', 'core', 'contracts', 'words', 'server', 'web', 'e2e'];
const asked = process.argv.slice(2);
const parts = asked.filter((one) => PARTS.includes(one));
const rest = asked.filter((one) => !PARTS.includes(one));
const wants = (part) => parts.length === 0 || parts.includes(part);
const projects = ['core', 'contracts', 'words', 'server', 'web'].filter(wants);
const WORKERS = 2;
/** Journeys at a time: a third one makes the other two wait for more than it gains. */
const JOURNEYS = process.env.E2E_WORKERS ?? '2';
const total = { passed: 0, failed: 0 };
const add = ({ passed, failed }) => {
  total.passed += passed;
  total.failed += failed;
};
const timed = async (name, part) => {
  const from = performance.now();
  const counted = await part();
  say(`${name}: ${counted.passed} passed, ${counted.failed} failed, ${((performance.now() - from) / 1000).toFixed(0)} s`);
  add(counted);
};

// Whoever stops the tests stops all of them: nothing that was begun goes on, and no next part begins.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    running.forEach((child) => child.kill('SIGINT'));
    process.exit(1);
  });
}
ensureInstalled();
mkdirSync(LOCAL, { recursive: true });
if (wants('check')) await timed('check', runChecks);
if (wants('server') || wants('e2e')) {
  process.on('exit', stopDatabase);
  await startDatabase(['northleaf_made', ...Array.from({ length: WORKERS }, (_, i) => `northleaf_test_${i + 1}`)]);
  ensureBuilt();
  // Made once: every test file and every journey begins from a copy of it.
  node(['apps/server/dist/prepare.js', '--empty', '--seed'], { env: { ...process.env, ...databaseUrls('northleaf_made') } });
}
if (projects.length > 0) await timed('jest', jest);
if (wants('e2e')) await timed('playwright', playwright);
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed > 0 ? 1 : 0);

async function jest() {
  const out = join(LOCAL, 'jest.json');
  rmSync(out, { force: true });
  const args = ['node_modules/jest/bin/jest.js', '--silent', '--maxWorkers', String(WORKERS), '--json', '--outputFile', out];
  const env = { ...process.env, NODE_OPTIONS: '--no-warnings' };
  await sh(process.execPath, [...args, '--selectProjects', ...projects], { env, stdio: ['ignore', 'ignore', 'inherit'] });
  if (!existsSync(out)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(out, 'utf8'));
  return { passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites };
}

async function playwright() {
  const out = join(LOCAL, 'playwright.json');
  rmSync(out, { force: true });
  const env = {
    ...process.env,
    CHROMIUM_PATH: ensureChromium(),
    E2E_WORKERS: JOURNEYS,
    PLAYWRIGHT_JSON_OUTPUT_NAME: out,
  };
  const args = [join(ROOT, 'node_modules/@playwright/test/cli.js'), 'test', ...rest];
  const status = await sh(process.execPath, args, { cwd: join(ROOT, 'e2e'), env });
  if (!existsSync(out)) return { passed: 0, failed: 1 };
  const { stats } = JSON.parse(readFileSync(out, 'utf8'));
  const failed = stats.unexpected + (status !== 0 && stats.unexpected === 0 ? 1 : 0);
  return { passed: stats.expected + stats.flaky, failed };
}
