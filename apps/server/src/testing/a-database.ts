import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';

const ROOT = resolve(__dirname, '../../../..');
const db = (...args: string[]): string => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/db.mjs', ...args], { cwd: ROOT, encoding: 'utf8' });
  if (status !== 0) throw new Error(`${args.join(' ')}: ${stderr}`);
  return stdout;
};

/**
 * A database of this worker's own: with the demo in it as the tests' own start made it once, or as empty as it was made.
 * Its addresses must stand before the server's settings are read.
 */
export function aDatabase(what: 'made' | 'empty'): { readonly serverUrl: string; readonly ownerUrl: string } {
  const name = `northleaf_test_${process.env['JEST_WORKER_ID'] ?? '1'}`;
  if (what === 'made') db('copy', 'northleaf_made', name);
  const urls = JSON.parse(db('urls', name)) as { DATABASE_URL: string; DATABASE_OWNER_URL: string };
  Object.assign(process.env, urls, { LOG_LEVEL: 'silent' });
  return { serverUrl: urls.DATABASE_URL, ownerUrl: urls.DATABASE_OWNER_URL };
}
