// Makes the demo's story: tells it to a server of its own through the API, and stores what became of it as a file.
import { spawn } from 'node:child_process';
import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { checkNode, ensureBuilt, ensureInstalled, node, plainFailures, ROOT, say } from './bootstrap.mjs';

process.env.NORTHLEAF_PG_PORT = process.env.NORTHLEAF_TEST_PG_PORT ?? '55433';
process.env.NORTHLEAF_PG_CLUSTER = 'pg-test';
process.env.NORTHLEAF_PG_FSYNC ??= 'off';
const { databaseUrls, startDatabase, stopDatabase } = await import('./db.mjs');

plainFailures();
checkNode();
ensureInstalled();
ensureBuilt();
const { savedAt, storyLots, tell } = await import('../apps/server/dist/installation/story/tell.js');
const { storyFile, tables } = await import('../apps/server/dist/installation/story/kept.js');
const { goods } = await import('../apps/server/dist/installation/story/goods.js');
const { coreVersion, demoKitchen } = await import('../packages/core/dist/index.js');
const { Client } = createRequire(join(ROOT, 'apps/server/package.json'))('pg');

process.on('exit', stopDatabase);
await startDatabase(['northleaf_story']);
const port = 4337;
const env = { ...process.env, ...databaseUrls('northleaf_story'), PORT: String(port), LOG_LEVEL: 'error' };
node(['apps/server/dist/prepare.js', '--empty', '--seed'], { env });
const server = spawn(process.execPath, ['apps/server/dist/main.js'], { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'inherit'] });
await new Promise((ready) => server.stdout.once('data', ready));
const on = new Intl.DateTimeFormat('en-CA', { timeZone: demoKitchen.zone }).format(new Date());
try {
  await tell(async (path, body) => {
    const answer = await fetch(`http://127.0.0.1:${port}/api${path}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(`PUT ${path}: ${answer.status} ${await answer.text()}`);
  }, on);
} finally {
  server.kill('SIGTERM');
  await new Promise((gone) => server.once('exit', gone));
}
const client = new Client({ connectionString: env.DATABASE_OWNER_URL });
await client.connect();
const saved = savedAt(on);
const ids = goods.map(({ id }) => id);
const lotIds = storyLots(on).map(({ id }) => id);
const found = {
  lots: ['SELECT to_jsonb(t) AS row FROM lots t WHERE id = ANY ($1) ORDER BY id', lotIds],
  formulas: ['SELECT to_jsonb(t) AS row FROM formulas t WHERE id = ANY ($1) ORDER BY id', ids],
  formula_versions: [
    'SELECT to_jsonb(t) AS row FROM formula_versions t WHERE id = ANY ($1) ORDER BY "formulaId", version',
    [...saved.keys()],
  ],
  // The first three are the small demo's.
  bakes: ['SELECT to_jsonb(t) AS row FROM bakes t WHERE "formulaId" = ANY ($1) AND number > 3 ORDER BY number', ids],
  bake_events: [
    `SELECT to_jsonb(e) AS row FROM bake_events e JOIN bakes b ON b.id = e."bakeId"
     WHERE b."formulaId" = ANY ($1) AND b.number > 3 ORDER BY b.number, e.at, e.id`,
    ids,
  ],
};
const rows = [];
const newest = new Map();
for (const table of tables) {
  const [sql, of] = found[table];
  const { rows: these } = await client.query(sql, [of]);
  for (const { row } of these) {
    if (table === 'formula_versions') {
      row.kitchen = null;
      row.savedAt = saved.get(row.id);
      newest.set(row.formulaId, row.savedAt);
    }
    if (table === 'lots') row.usedG = 0;
    rows.push({ table, row });
  }
}
for (const { table, row } of rows) if (table === 'formulas') row.savedAt = newest.get(row.id);
await client.end();
writeFileSync(storyFile, gzipSync(JSON.stringify({ on, coreVersion, rows }), { level: 9 }));
say(`demo: ${rows.length} rows of ${goods.length} goods stored`);
