import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { expect, test } from '@playwright/test';
import { CRACKER, storing, water } from './a-page.js';

// A server of its own, on its own database: this journey kills it.
const PORT = 4321;
const base = `http://127.0.0.1:${PORT}`;
const env = { ...process.env, PORT: String(PORT), DATABASE_URL: process.env['KILLED_DATABASE_URL'] ?? '', LOG_LEVEL: 'error' };
let server: ChildProcess | undefined;

async function start(): Promise<void> {
  server = spawn(process.execPath, ['../apps/server/dist/main.js'], { env, stdio: 'ignore' });
  await expect(async () => expect((await fetch(`${base}/api/health`)).ok).toBe(true)).toPass({ timeout: 20_000 });
}
async function kill(): Promise<void> {
  const gone = new Promise((done) => server?.once('exit', done));
  server?.kill('SIGKILL');
  await gone;
}

test.beforeAll(async () => {
  expect(spawnSync(process.execPath, ['../apps/server/dist/prepare.js', '--empty', '--seed'], { env }).status).toBe(0);
  await start();
});
test.afterAll(kill);

test('a server killed under an open draft and while saving loses nothing, and the page comes back by itself', async ({ page }) => {
  await page.goto(`${base}${CRACKER}/dough`);
  await water(page).fill('97');
  await expect(storing(page)).toContainText('stored');

  await kill();
  await water(page).fill('94');
  await expect(page.getByText(/Working from this device: the server does not answer/)).toBeVisible();
  await expect(page.getByTestId('ruling-dough')).toHaveText(/\d+ %/);

  // Saving while it is dead: the page goes on asking, with the same id.
  await page.keyboard.press('Control+s');
  await page.getByRole('button', { name: 'Save v3' }).click();
  await expect(page.getByText(/The server does not answer. Saving again/)).toBeVisible();
  await start();
  await expect(page.getByText('Saved as v3.')).toBeVisible({ timeout: 15_000 });

  const detail = (await (await fetch(`${base}/api${CRACKER}`)).json()) as { versions: { version: number }[] };
  expect(detail.versions.map(({ version }) => version)).toEqual([1, 2, 3]);
  await page.reload();
  await expect(water(page)).toHaveValue('94');

  // Killed with an unstored draft and the page closed: this browser still has it.
  await kill();
  await water(page).fill('91');
  await expect(storing(page)).toContainText('here only');
  await start();
  await page.reload();
  await expect(water(page)).toHaveValue('91');
  await expect(storing(page)).toContainText(/^stored( \d+ s ago)?$/);
});
