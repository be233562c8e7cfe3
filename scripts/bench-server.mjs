// Figures of the server, which this starts by itself: how much slower it is with ten years of bakes than with ten bakes, how it answers
// a dozen busy devices, what a version weighs. The rows are made in the database from the demo's own.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { LOCAL, node, ROOT, say } from './bootstrap.mjs';

const { coreVersion } = await import('../packages/core/dist/core-version.js');

const PORT = 4338;
const LIVE = join(LOCAL, 'live-memory');
const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
const median = (values) => [...values].sort((a, b) => a - b)[values.length >> 1];
const quantile = (values, q) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))];
const { Client } = createRequire(join(ROOT, 'apps/server/package.json'))('pg');
const { Agent, request } = await import('node:http');
const agent = new Agent({ keepAlive: true, maxSockets: 200 });

/** One request over a kept connection; ms, status, and the answer where it is asked for. */
function ask(method, path, body, { read = false } = {}) {
  return new Promise((done) => {
    const from = performance.now();
    const text = body === undefined ? undefined : JSON.stringify(body);
    const headers = text === undefined ? {} : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) };
    const sent = request({ host: '127.0.0.1', port: PORT, path: `/api${path}`, method, headers, agent }, (answer) => {
      const parts = [];
      answer.on('data', (part) => read && parts.push(part));
      answer.on('end', () =>
        done({ ms: performance.now() - from, status: answer.statusCode, body: read ? JSON.parse(Buffer.concat(parts).toString()) : null }),
      );
    });
    sent.once('error', (error) => done({ ms: performance.now() - from, status: error.code, body: null }));
    sent.end(text);
  });
}

async function served(urls, work) {
  const env = { ...process.env, ...urls, PORT: String(PORT), LOG_LEVEL: 'error', NODE_ENV: 'production', LIVE_MEMORY: LIVE };
  const server = spawn(process.execPath, ['--expose-gc', '--require', './scripts/live-memory.cjs', 'apps/server/dist/main.js'], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((ready) => server.stdout.once('data', ready));
  try {
    return await work(server.pid);
  } finally {
    server.kill('SIGTERM');
    await new Promise((gone) => server.once('exit', gone));
  }
}

const begin = async (formulaId = FORMULA, version = 2) => {
  const id = randomUUID();
  const { status } = await ask('PUT', `/bakes/${id}/run`, { formulaId, version, factor: 1, looks: [], confirmed: [] });
  if (status !== 200) throw new Error(`the run did not begin: ${status}`);
  return id;
};
const event = (i) => ({
  id: randomUUID(),
  at: new Date().toISOString(),
  stepKey: 'weigh:b2',
  what: i % 3 === 0 ? { kind: 'noted', text: 'as it was' } : { kind: 'weighed', rowKey: 'b2', addedG: 0.1 },
});

/** Medians of what everybody does all day, ms. */
async function everyday() {
  const id = await begin();
  const times = async (n, one) => {
    for (let i = 0; i < 5; i++) await one(i);
    const all = [];
    for (let i = 0; i < n; i++) all.push((await one(i)).ms);
    return median(all);
  };
  const read = (path) => times(25, () => ask('GET', path));
  return {
    weigh: await times(40, () => ask('POST', `/bakes/${id}/events`, [event(1)])),
    lists: (await read('/formulas')) + (await read('/bakes')) + (await read('/bakes/running')),
    opens: (await read(`/formulas/${FORMULA}`)) + (await read(`/formulas/${FORMULA}/versions/2`)) + (await read(`/bakes/${id}`)),
  };
}

/** The database's own time for rows of the same tables, looked up by the same indexes, ms. */
async function bare(client) {
  const times = async (sql) => {
    const all = [];
    for (let i = 0; i < 25; i++) {
      const from = performance.now();
      await client.query(sql);
      all.push(performance.now() - from);
    }
    return median(all);
  };
  return {
    lists:
      (await times(`SELECT * FROM formulas WHERE "newestVersion" > 0 ORDER BY name, id LIMIT 100`)) +
      (await times(
        `SELECT * FROM bake_events WHERE ("kitchenId", "bakeId") IN (SELECT "kitchenId", id FROM bakes ORDER BY number DESC LIMIT 50)`,
      )),
    opens: await times(`SELECT * FROM formula_versions WHERE "formulaId" = '${FORMULA}' AND version = 2`),
  };
}

/** 1 000 formulas of 20 versions, 50 000 bakes of 40 events, all of them copies of what the demo has. */
async function fill(client, { formulas, versions, bakes, events }) {
  const uuid = (salt, ...parts) => `md5('${salt}' || ${parts.join(` || ':' || `)})::uuid`;
  await client.query('SET synchronous_commit = off');
  await client.query(`INSERT INTO formulas SELECT (jsonb_populate_record(f, jsonb_build_object('id', ${uuid('f', 'i')}, 'name', f.name || ' ' || i,
    'newestVersion', ${versions}, 'bakes', ${bakes / formulas}, 'judged', f.judged || jsonb_build_object('version', ${versions})))).*
    FROM formulas f, generate_series(1, ${formulas}) i WHERE f.id = '${FORMULA}'`);
  for (let from = 1; from <= formulas; from += 100)
    await client.query(`INSERT INTO formula_versions SELECT (jsonb_populate_record(NULL::formula_versions, to_jsonb(v) || jsonb_build_object(
      'id', ${uuid('v', 'i', 'n')}, 'formulaId', ${uuid('f', 'i')}, 'version', n, 'basedOn', nullif(n - 1, 0)))).*
      FROM formula_versions v, generate_series(${from}, ${Math.min(formulas, from + 99)}) i, generate_series(1, ${versions}) n
      WHERE v."formulaId" = '${FORMULA}' AND v.version = 2`);
  await client.query(`INSERT INTO bakes SELECT (jsonb_populate_record(b, jsonb_build_object('id', ${uuid('b', 'i')}, 'number', 1000 + i,
    'formulaId', ${uuid('f', `(1 + i % ${formulas})`)}, 'version', 1 + i % ${versions}, 'startedAt', now() - (${bakes} - i) * interval '100 minutes'))).*
    FROM bakes b, generate_series(1, ${bakes}) i WHERE b.number = 3`);
  const kinds = `(ARRAY['{"kind":"stepEnded"}','{"kind":"weighed","rowKey":"b1","addedG":12}','{"kind":"stepBegan"}','{"kind":"measured","what":"bakeMin","value":15}','{"kind":"rated","after":"fresh","crisp":4,"tender":3,"liked":4}','{"kind":"felt","word":"rollsClean"}','{"kind":"noted","text":"as it was"}','{"kind":"stepEnded"}'])`;
  for (let from = 1; from <= bakes; from += 5000)
    await client.query(`INSERT INTO bake_events SELECT ${uuid('e', 'i', 'n')}, b."kitchenId", b.id, b."startedAt" + n * interval '1 minute', NULL,
      (CASE WHEN n > 12 THEN '{"kind":"stepEnded"}' ELSE ${kinds}[1 + n % 8] END)::jsonb, 's' || n
      FROM generate_series(${from}, ${Math.min(bakes, from + 4999)}) i JOIN bakes b ON b.id = ${uuid('b', 'i')}, generate_series(1, ${events}) n`);
  await client.query(
    `INSERT INTO lot_uses SELECT b."kitchenId", b.id, 'b2', 'lot-rice-21', 0.01, b."startedAt" FROM bakes b WHERE b.number > 1000`,
  );
  await client.query('VACUUM ANALYZE');
}

/** What the server holds once everything is collected that nobody holds. */
async function liveMb(pid) {
  rmSync(LIVE, { force: true });
  process.kill(pid, 'SIGUSR2');
  while (!existsSync(LIVE) || readFileSync(LIVE, 'utf8') === '') await new Promise((rest) => setTimeout(rest, 50));
  return Number(readFileSync(LIVE, 'utf8'));
}

const memoryMb = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024;

/** So many requests a second for so long, whoever is still waiting: of each 100, 70 reads, 29 events, 1 save. */
async function load(perSecond, seconds, { runs, formula }) {
  const reads = [
    '/formulas',
    '/bakes?limit=20',
    '/bakes/running',
    '/kitchen',
    `/formulas/${FORMULA}`,
    `/bakes/${runs[0]}`,
    `/pantry?have=${coreVersion}`,
  ];
  const found = { read: [], event: [], save: [], errors: 0, refused: {} };
  const waiting = [];
  const from = performance.now();
  for (let i = 0; i < perSecond * seconds; i++) {
    const due = from + (i * 1000) / perSecond;
    if (due > performance.now()) await new Promise((rest) => setTimeout(rest, due - performance.now()));
    const kind = i % 100 < 70 ? 'read' : i % 100 < 99 ? 'event' : 'save';
    const sent =
      kind === 'read'
        ? ask('GET', reads[i % reads.length])
        : kind === 'event'
          ? ask('POST', `/bakes/${runs[i % runs.length]}/events`, [event(i)])
          : ask('PUT', `/formulas/${FORMULA}/versions/${randomUUID()}`, { basedOn: 2, why: '', formula, setAside: [] });
    waiting.push(
      sent.then(({ ms, status }) => {
        found[kind].push(ms);
        if (status >= 200 && status <= 299) return;
        found.errors++;
        const of = `${status} ${kind === 'read' ? reads[i % reads.length].replace(/[0-9a-f-]{36}/, ':id') : kind}`;
        found.refused[of] = (found.refused[of] ?? 0) + 1;
      }),
    );
  }
  await Promise.all(waiting);
  return found;
}

/** `line(name, value, unit, goal, against)` writes a figure. */
export async function benchServer(line, { databaseUrls, startDatabase, evaluateMs }) {
  await startDatabase(['northleaf_bench_few', 'northleaf_bench_many']);
  const few = databaseUrls('northleaf_bench_few');
  const many = databaseUrls('northleaf_bench_many');
  for (const urls of [few, many]) node(['apps/server/dist/prepare.js', '--empty', '--seed'], { env: { ...process.env, ...urls } });
  const size = { formulas: 1000, versions: 20, bakes: 50_000, events: 40 };
  say(`bench: filling a kitchen with ${size.bakes} bakes`);
  const client = new Client({ connectionString: many.DATABASE_OWNER_URL });
  await client.connect();
  const began = performance.now();
  await fill(client, size);
  say(`bench: filled in ${((performance.now() - began) / 1000).toFixed(0)} s`);
  const small = new Client({ connectionString: few.DATABASE_OWNER_URL });
  await small.connect();
  const [least, most] = [await served(few, everyday), await served(many, everyday)];
  const [bareFew, bareMany] = [await bare(small), await bare(client)];
  const grows = (name, key) => line(name, (most[key] / least[key]).toFixed(2), '×', '1.5', `${least[key].toFixed(1)} ms with 3 bakes, ${most[key].toFixed(1)} ms with 50 000${bareMany[key] ? `; the rows alone ${bareFew[key].toFixed(1)} and ${bareMany[key].toFixed(1)} ms` : ''}`); // prettier-ignore
  grows('server.weighGrowth', 'weigh');
  grows('server.listGrowth', 'lists');
  grows('server.openGrowth', 'opens');
  const {
    rows: [weight],
  } = await client.query(
    `SELECT pg_column_size(formula) f, pg_column_size(kitchen) k, pg_column_size(pantry) p, pg_column_size(evaluation) e FROM formula_versions WHERE version = 2 LIMIT 1`,
  );
  line('server.bytesAVersion', weight.f + weight.k + weight.p + weight.e, 'bytes', '-', `as stored: formula ${weight.f}, kitchen ${weight.k}, pantry ${weight.p}, evaluation ${weight.e}`); // prettier-ignore
  await served(many, async (pid) => {
    const { formula } = (await ask('GET', `/formulas/${FORMULA}/versions/2`, undefined, { read: true })).body;
    const runs = [];
    for (let i = 0; i < 12; i++) runs.push(await begin());
    await load(50, 5, { runs, formula });
    const [before, live] = [memoryMb(pid), await liveMb(pid)];
    const at100 = await load(100, 30, { runs, formula });
    const [after, stillLive] = [memoryMb(pid), await liveMb(pid)];
    const told = ({ refused }) => Object.entries(refused).map(([of, times]) => `; ${times} times ${of}`).join(''); // prettier-ignore
    const p95 = (values) => quantile(values, 0.95).toFixed(0);
    line(
      'server.readP95Ms',
      p95(at100.read),
      'ms',
      '60',
      `100 a second for 30 s on one machine with the asker; median ${median(at100.read).toFixed(0)}`,
    );
    line('server.eventP95Ms', p95(at100.event), 'ms', '80', `median ${median(at100.event).toFixed(0)}`);
    line('server.saveRatio', (median(at100.save) / evaluateMs).toFixed(1), '×', '1.5', `a save ${median(at100.save).toFixed(0)} ms, one evaluation alone ${evaluateMs.toFixed(0)} ms`); // prettier-ignore
    line('server.errorsAt100', at100.errors, 'of 3000', '0', `not 2xx${told(at100)}`);
    line(
      'server.memGrowthMb',
      (stillLive - live).toFixed(0),
      'MB',
      '30',
      `held after a collection, ${live.toFixed(0)} to ${stillLive.toFixed(0)} MB over those 30 s; resident, with what was not collected yet, ${before.toFixed(0)} to ${after.toFixed(0)} MB`,
    );
    const at200 = await load(200, 20, { runs, formula });
    line('server.errorsAt200', at200.errors, 'of 4000', '0', `reads at p95 ${p95(at200.read)} ms${told(at200)}`);
  });
  await client.end();
  await small.end();
}
