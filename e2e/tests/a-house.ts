import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';
import { expect, test as plain } from '@playwright/test';

const ROOT = resolve(import.meta.dirname, '../..');
/** Journeys of another checkout may run beside these. */
const FIRST_PORT = Number(process.env.NORTHLEAF_E2E_PORT ?? 4350);
const db = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/db.mjs', ...args], { cwd: ROOT, encoding: 'utf8' });
  if (status !== 0) throw new Error(`${args.join(' ')}: ${stderr}`);
  return stdout;
};

/** A server on a database of its own, one for each of the workers that journeys run in; a journey may kill it and start it again. */
function aHouse(worker: number) {
  const port = FIRST_PORT + worker;
  const base = `http://127.0.0.1:${port}`;
  const database = `northleaf_e2e_${worker}`;
  let server: ChildProcess | undefined;
  let madeFor: string | undefined;

  const start = async (): Promise<void> => {
    const env = { ...process.env, ...(JSON.parse(db('urls', database)) as object), PORT: String(port), LOG_LEVEL: 'error' };
    server = spawn(process.execPath, ['apps/server/dist/main.js'], { cwd: ROOT, env, stdio: ['ignore', 'ignore', 'inherit'] });
    await expect(async () => expect((await fetch(`${base}/api/health`)).ok).toBe(true)).toPass({ timeout: 60_000, intervals: [100] });
  };
  const isUp = () => server !== undefined && server.exitCode === null && server.signalCode === null;
  const stopWith = async (signal: NodeJS.Signals): Promise<void> => {
    if (!isUp()) return;
    const gone = new Promise((done) => server?.once('exit', done));
    server?.kill(signal);
    await gone;
  };
  const kill = () => stopWith('SIGKILL');
  /** The demo as it was first put in: every file of journeys begins with it, whatever the one before left. */
  const madeNew = async (file: string): Promise<void> => {
    if (madeFor === file) return isUp() ? undefined : start();
    await kill();
    db('copy', 'northleaf_made', database);
    await start();
    madeFor = file;
  };
  return { base, start, kill, madeNew };
}

const WHOLE_BOARDS = { name: 'north-leaf-preferences', value: JSON.stringify({ state: { wholeBoards: true }, version: 3 }) };

export type House = ReturnType<typeof aHouse>;

export const test = plain.extend<{ opened: void }, { house: House }>({
  house: [
    // eslint-disable-next-line no-empty-pattern -- the runner reads the names of what a fixture wants from here
    async ({}, use, { parallelIndex }) => {
      const house = aHouse(parallelIndex);
      await use(house);
      await house.kill();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  opened: [
    async ({ house }, use, { file }) => {
      await house.madeNew(file);
      await use();
    },
    { auto: true, timeout: 120_000 },
  ],
  baseURL: async ({ house }, use) => use(house.base),
  // Journeys go through all of every board; what a newcomer sees first has a journey of its own.
  storageState: async ({ house }, use) => use({ cookies: [], origins: [{ origin: house.base, localStorage: [WHOLE_BOARDS] }] }),
});
export { expect } from '@playwright/test';
