import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { connect, createServer, type Server } from 'node:net';
import { join, resolve } from 'node:path';
import { expect, test } from '@playwright/test';
import { CRACKER } from './a-page.js';

// The demo command itself, with ports and a cluster of its own: a running demo is not touched.
test.describe.configure({ mode: 'serial' });
const ROOT = resolve(process.cwd(), '..');
const PORT = 4341;
const PG_PORT = 55435;
const CLUSTER = 'pg-start';
const env = {
  ...process.env,
  PORT: String(PORT),
  NORTHLEAF_PG_PORT: String(PG_PORT),
  NORTHLEAF_PG_CLUSTER: CLUSTER,
  NORTHLEAF_PG_FSYNC: 'off',
};
const base = `http://127.0.0.1:${PORT}`;

type Demo = { readonly process: ChildProcess; readonly said: () => string; readonly ended: Promise<number | null> };
let running: Demo | undefined;

function demo(...args: string[]): Demo {
  const process_ = spawn(process.execPath, ['scripts/demo.mjs', ...args], { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] });
  let text = '';
  process_.stdout.on('data', (data) => (text += String(data)));
  process_.stderr.on('data', (data) => (text += String(data)));
  running = { process: process_, said: () => text, ended: new Promise((done) => process_.once('exit', done)) };
  return running;
}
async function ready(one: Demo): Promise<void> {
  await expect(async () => expect(one.said()).toContain(`North Leaf is ready: ${base}/`)).toPass({ timeout: 60_000 });
}
async function stop(one: Demo): Promise<void> {
  one.process.kill('SIGINT');
  await one.ended;
}
const open = (port: number) =>
  new Promise<boolean>((answer) => {
    const socket = connect(port, '127.0.0.1');
    socket.once('connect', () => (socket.destroy(), answer(true)));
    socket.once('error', () => answer(false));
  });
const occupy = (port: number) =>
  new Promise<Server>((taken) => {
    const server = createServer();
    server.listen(port, '127.0.0.1', () => taken(server));
  });
const free = (server: Server) => new Promise((done) => server.close(done));
/** Where the cluster lies: in the project, or in a temporary folder when its own account cannot reach the project. */
const dataFolder = () => spawnSync(process.execPath, ['scripts/db.mjs', 'where'], { cwd: ROOT, env, encoding: 'utf8' }).stdout.trim();
/** The last line that is not of the database's own start. */
const lines = (one: Demo) =>
  one
    .said()
    .trim()
    .split('\n')
    .filter((text) => !/created a cluster|started on|removing a stale|stopped/.test(text));

test.beforeAll(() => rmSync(dataFolder(), { recursive: true, force: true }));
test.afterEach(async () => {
  running?.process.kill('SIGINT');
  await running?.ended;
});
test.afterAll(() => rmSync(dataFolder(), { recursive: true, force: true }));
test.setTimeout(120_000);

test('starts from nothing, shows the demo, and Ctrl-C leaves nothing running', async ({ request }) => {
  const one = demo();
  await ready(one);
  const { items: formulas } = (await (await request.get(`${base}/api/formulas`)).json()) as { items: { name: string }[] };
  expect(formulas.map(({ name }) => name)).toEqual([
    'Buckwheat and pear galette',
    'Chickpea and caraway thins',
    'Herb lattice tarts',
    'Millet brown-butter rounds',
    'Quark and oat scones',
    'Seeded sorghum crackers',
    'Sorghum puff sticks',
  ]);
  await stop(one);
  expect(await open(PORT)).toBe(false);
  expect(await open(PG_PORT)).toBe(false);
});

test('what was stored survives a restart, and --reset starts over', async ({ request }) => {
  const first = demo();
  await ready(first);
  const version = (await (await request.get(`${base}/api${CRACKER}/versions/2`)).json()) as { formula: object };
  const stored = await request.put(`${base}/api${CRACKER}/draft`, {
    data: { basedOn: 2, revision: 0, formula: version.formula, typed: { '/rows/0/amountG': 'kept' } },
  });
  expect(stored.ok()).toBe(true);
  await stop(first);

  // As an older North Leaf left its folder: open to everybody on this machine. It is given passwords before it is opened again.
  const [keys, hba] = [join(dataFolder(), 'northleaf-keys.json'), join(dataFolder(), 'pg_hba.conf')];
  rmSync(keys);
  writeFileSync(hba, 'host all all 127.0.0.1/32 trust\n');

  const second = demo();
  await ready(second);
  const detail = (await (await request.get(`${base}/api${CRACKER}`)).json()) as { draft: { typed: Record<string, string> } };
  expect(detail.draft.typed).toEqual({ '/rows/0/amountG': 'kept' });
  expect(readFileSync(hba, 'utf8')).toContain('scram-sha-256');
  expect(readFileSync(hba, 'utf8')).not.toContain('trust');
  expect(statSync(keys).mode & 0o077).toBe(0);
  await stop(second);

  const third = demo('--reset');
  await ready(third);
  expect(((await (await request.get(`${base}/api${CRACKER}`)).json()) as { draft: unknown }).draft).toBeNull();
  await stop(third);
});

test('a taken port is one clear line, for the pages and for the database, and the next start works', async () => {
  for (const [port, words] of [
    [PORT, `Port ${PORT} is already used by another program`],
    [PG_PORT, `Port ${PG_PORT} is already used by another program`],
  ] as const) {
    const taken = await occupy(port);
    const one = demo();
    expect(await one.ended).toBe(1);
    expect(lines(one)).toHaveLength(1);
    expect(lines(one)[0]).toContain(words);
    await free(taken);
  }
  const after = demo();
  await ready(after);
  await stop(after);
});

test('a stale pid file naming a stranger, and a first start cut short, are cleared away', async () => {
  const folder = dataFolder();
  // The number of this very test: alive, and no database.
  writeFileSync(join(folder, 'postmaster.pid'), `${process.pid}\n${folder}\n0\n${PG_PORT}\n\n127.0.0.1\n`);
  const one = demo();
  await ready(one);
  expect(one.said()).toContain('removing a stale postmaster.pid');
  await stop(one);

  rmSync(folder, { recursive: true, force: true });
  mkdirSync(`${folder}.new`, { recursive: true });
  writeFileSync(join(`${folder}.new`, 'PG_VERSION'), 'half');
  const two = demo();
  await ready(two);
  await stop(two);
  expect(existsSync(`${folder}.new`)).toBe(false);
});

test('a database killed hard comes back by itself with what it had', async ({ request }) => {
  const one = demo();
  await ready(one);
  const before = await (await request.get(`${base}/api/formulas`)).json();
  const pid = Number(readFileSync(join(dataFolder(), 'postmaster.pid'), 'utf8').split('\n')[0]);
  process.kill(pid, 'SIGKILL');
  await expect(async () => {
    const answer = await request.get(`${base}/api/formulas`);
    expect(answer.status()).toBe(503);
    expect(await answer.json()).toMatchObject({ code: 'unavailable', message: expect.stringContaining('database does not answer') });
  }).toPass({ timeout: 15_000, intervals: [50] });
  await expect(async () => expect((await request.get(`${base}/api/health`)).status()).toBe(200)).toPass({ timeout: 60_000 });
  expect(one.said()).toContain('stopped by itself: starting it again');
  expect(await (await request.get(`${base}/api/formulas`)).json()).toEqual(before);
  await stop(one);
});
