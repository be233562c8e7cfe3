// Long runs of what the tests do shortly: `npm run faults` kills the server 30 times in bursts of writes, stops and starts the database
// under load, asks 10 000 wrong things. `-- --count 2000 --kills 5 --seed 7` for other lengths.
import { join } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, node, plainFailures, ROOT, say } from './bootstrap.mjs';

process.env.NORTHLEAF_PG_PORT = process.env.NORTHLEAF_TEST_PG_PORT ?? '55433';
process.env.NORTHLEAF_PG_CLUSTER = 'pg-test';
const { databaseUrls, startDatabase, stopDatabase } = await import('./db.mjs');

plainFailures();
checkNode();
ensureInstalled();
const option = (name, otherwise) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? otherwise : Number(process.argv[at + 1]);
};
const [count, kills, seed] = [option('count', 10_000), option('kills', 30), option('seed', 15)];
const rest = (ms) => new Promise((done) => setTimeout(done, ms));
let failed = 0;
const told = (name, ok, detail) => {
  say(`${name}: ${ok ? 'held' : 'FAILED'}, ${detail}`);
  if (!ok) failed++;
};

process.on('exit', stopDatabase);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(1));
await startDatabase(['northleaf_faults']);
ensureBuilt();
const urls = databaseUrls('northleaf_faults');
node(['apps/server/dist/prepare.js', '--empty', '--seed'], { env: { ...process.env, ...urls } });
const { aProcess, begun, lost, weighing } = await import(join(ROOT, 'apps/server/dist/faults/a-process.js'));
const { fuzz } = await import(join(ROOT, 'apps/server/dist/faults/fuzz.js'));
const server = aProcess(ROOT, urls, 4369);
await server.start();
process.on('exit', () => void server.stop());

{
  const runs = await Promise.all(Array.from({ length: 6 }, () => begun(server.base)));
  const hands = weighing(server.base, runs);
  for (let i = 0; i < kills; i++) {
    await rest(50 + ((i * 137) % 900));
    await server.stop('SIGKILL');
    await server.start();
  }
  await hands.stop();
  const missing = await lost(server.base, hands.kept);
  told(`${kills} kills in bursts of writes`, missing.length === 0, `${hands.kept.length} acknowledged, ${missing.length} lost`);
}
{
  const runs = await Promise.all(Array.from({ length: 6 }, () => begun(server.base)));
  const hands = weighing(server.base, runs);
  await rest(500);
  stopDatabase();
  await rest(2000);
  await startDatabase(['northleaf_faults']);
  const from = performance.now();
  for (let back = false; !back && performance.now() - from < 30_000; await rest(100))
    back = await fetch(`${server.base}/api/health`).then(({ ok }) => ok);
  const backMs = performance.now() - from;
  await rest(500);
  await hands.stop();
  const missing = await lost(server.base, hands.kept);
  const odd = Object.keys(hands.answers).filter((status) => !['200', '503'].includes(status));
  told(
    'the database stopped and started under load',
    missing.length === 0 && odd.length === 0 && backMs < 30_000,
    `${JSON.stringify(hands.answers)}, ${missing.length} of ${hands.kept.length} lost, back after ${backMs.toFixed(0)} ms`,
  );
}
{
  const report = await fuzz(server.base, { seed, count });
  told(
    `${count} wrong requests, seed ${seed}`,
    report.flaws.length === 0,
    `${JSON.stringify(report.byStatus)}, the slowest ${report.slowestMs.toFixed(0)} ms: ${report.slowest}`,
  );
  for (const flaw of report.flaws.slice(0, 20)) console.log(JSON.stringify(flaw));
}
await server.stop('SIGTERM');
process.exit(failed > 0 ? 1 : 0);
