import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { expect } from '@playwright/test';

/** A server of its own, on its own database, for journeys that kill it. */
export function aServer(port: number) {
  const base = `http://127.0.0.1:${port}`;
  const env = { ...process.env, PORT: String(port), DATABASE_URL: process.env['KILLED_DATABASE_URL'] ?? '', LOG_LEVEL: 'error' };
  let server: ChildProcess | undefined;
  const start = async (): Promise<void> => {
    server = spawn(process.execPath, ['../apps/server/dist/main.js'], { env, stdio: 'ignore' });
    await expect(async () => expect((await fetch(`${base}/api/health`)).ok).toBe(true)).toPass({ timeout: 20_000 });
  };
  const kill = async (): Promise<void> => {
    if (!server || server.exitCode !== null || server.signalCode !== null) return;
    const gone = new Promise((done) => server?.once('exit', done));
    server.kill('SIGKILL');
    await gone;
  };
  /** On an empty database with the demo in it. */
  const fresh = async (): Promise<void> => {
    expect(spawnSync(process.execPath, ['../apps/server/dist/prepare.js', '--empty', '--seed'], { env }).status).toBe(0);
    await start();
  };
  return { base, start, kill, fresh };
}
