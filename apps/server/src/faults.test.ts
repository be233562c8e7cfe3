import { resolve } from 'node:path';
import { Client } from 'pg';
import { aDatabase } from './testing/a-database.js';
import { aProcess, begun, lost, oneDoor, weighing } from './faults/a-process.js';

// The built server, in processes that are killed. `npm run faults` does the same for long.
const ROOT = resolve(__dirname, '../../..');
const PORT = 4370 + 10 * Number(process.env['JEST_WORKER_ID'] ?? 1);
const { serverUrl, ownerUrl } = aDatabase('made');
const urls = { DATABASE_URL: serverUrl, DATABASE_OWNER_URL: ownerUrl };
const first = aProcess(ROOT, urls, PORT);
const second = aProcess(ROOT, urls, PORT + 1);
const rest = (ms: number) => new Promise((done) => setTimeout(done, ms));
beforeAll(() => first.start(), 60_000);
afterAll(async () => {
  await first.stop();
  await second.stop();
});

it('killed three times in a burst of weighings, the server has lost nothing that it acknowledged', async () => {
  const runs = [await begun(first.base), await begun(first.base), await begun(first.base)];
  const hands = weighing(first.base, runs);
  for (const afterMs of [350, 120, 560]) {
    await rest(afterMs);
    await first.stop('SIGKILL');
    await first.start();
  }
  await rest(200);
  await hands.stop();
  expect(hands.kept.length).toBeGreaterThan(0);
  expect(await lost(first.base, hands.kept)).toEqual([]);
}, 120_000);

it('every connection cut under load, the server recovers by itself and clients are told what to do', async () => {
  const runs = [await begun(first.base), await begun(first.base)];
  const hands = weighing(first.base, runs);
  await rest(200);
  const owner = new Client({ connectionString: ownerUrl });
  await owner.connect();
  const cut = `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND usename = current_user AND pid <> pg_backend_pid()`;
  // Only the serving role's own: asked as that role.
  const server = new Client({ connectionString: serverUrl });
  await server.connect();
  for (let i = 0; i < 3; i++) {
    await server.query(cut);
    await rest(150);
  }
  await server.end();
  await owner.end();
  await rest(300);
  await hands.stop();
  expect(Object.keys(hands.answers).filter((status) => !['200', '503'].includes(status))).toEqual([]);
  expect(await lost(first.base, hands.kept)).toEqual([]);
}, 60_000);

it('two server processes behind one port: nothing lost, nothing doubled, every number once', async () => {
  await second.start();
  const door = await oneDoor(PORT + 2, [first, second]);
  try {
    const base = `http://127.0.0.1:${PORT + 2}`;
    const runs = await Promise.all(Array.from({ length: 10 }, () => begun(base)));
    // What is stored by one is told to those who listen at the other.
    const heard = new AbortController();
    const stream = await fetch(`${second.base}/api/news`, { signal: heard.signal });
    const told = stream.body!.getReader();
    await fetch(`${first.base}/api/bakes/${runs[0]}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify([{ id: crypto.randomUUID(), at: new Date().toISOString(), what: { kind: 'noted', text: 'x' } }]),
    });
    let text = '';
    while (!text.includes(runs[0]!)) text += new TextDecoder().decode((await told.read()).value);
    heard.abort();
    const hands = weighing(base, runs);
    await rest(1500);
    await hands.stop();
    expect(Object.keys(hands.answers)).toEqual(['200']);
    expect(await lost(base, hands.kept)).toEqual([]);
    const { items } = (await (await fetch(`${base}/api/bakes?limit=50`)).json()) as { items: { number: number }[] };
    expect(new Set(items.map(({ number }) => number)).size).toBe(items.length);
  } finally {
    door.closeAllConnections();
    await new Promise((closed) => door.close(closed));
  }
}, 60_000);

it('what was to be learned when the server was killed is learned, once, by the next', async () => {
  const owner = new Client({ connectionString: ownerUrl });
  await owner.connect();
  const left = async () =>
    (await owner.query<{ n: number }>(`SELECT count(*)::int AS n FROM pgboss.job WHERE state IN ('created', 'retry', 'active')`)).rows[0]!
      .n;
  const run = await begun(first.base);
  await second.stop('SIGKILL');
  const what = { kind: 'felt', word: 'cracks' };
  const body = JSON.stringify([{ id: crypto.randomUUID(), at: new Date().toISOString(), what }]);
  await fetch(`${first.base}/api/bakes/${run}/events`, { method: 'POST', headers: { 'content-type': 'application/json' }, body });
  await first.stop('SIGKILL');
  const before = await left();
  await first.start();
  for (let i = 0; i < 150 && (await left()) > 0; i++) await rest(100);
  const after = await left();
  await owner.end();
  expect({ before: before > 0, after }).toEqual({ before: true, after: 0 });
}, 90_000);

it('what was learned with another model of the oven is worked out anew when the server starts', async () => {
  const owner = new Client({ connectionString: ownerUrl });
  await owner.connect();
  const stale = { what: 'crisp', about: 'cracker_savoury', value: 3, sd: 0.1, bakeIds: ['of another model'] };
  await owner.query(`UPDATE kitchens SET document = jsonb_set(document, '{learned}', (document->'learned') || $1::jsonb)`, [
    JSON.stringify([stale]),
  ]);
  await first.stop('SIGKILL');
  await first.start();
  const held = async () => {
    const { rows } = await owner.query<{ learned: { what: string; value: number; coreVersion?: string }[] }>(
      `SELECT document->'learned' AS learned FROM kitchens`,
    );
    return rows[0]!.learned.filter(({ what }) => what === 'crisp');
  };
  for (let i = 0; i < 150 && (await held()).some(({ value }) => value === 3); i++) await rest(100);
  const now = await held();
  await owner.end();
  expect(now.filter(({ value, coreVersion }) => value === 3 || coreVersion === undefined)).toEqual([]);
}, 90_000);
