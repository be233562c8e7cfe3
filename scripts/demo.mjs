// From a fresh clone to the app with demo data. Ctrl-C leaves nothing running; `-- --reset` starts over.
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, node, plainFailures, ROOT, stopWith } from './bootstrap.mjs';
import { databaseUrls, keepDatabase, removeDatabase, startDatabase, stopDatabase } from './db.mjs';

plainFailures();
checkNode();
const port = Number(process.env.PORT ?? 4310);
if (!(await isFree(port))) stopWith(`Port ${port} is already used by another program. Set PORT to a free one: PORT=4320 npm run demo`);

let server;
let stopped = false;
/** Runs on every way out, so that PostgreSQL never stays behind. */
const stopAll = () => {
  if (stopped) return;
  stopped = true;
  server?.kill('SIGTERM');
  stopDatabase();
};
let ending = false;
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    ending = true;
    if (server) server.kill('SIGTERM');
    else process.exit(0);
  });
}
ensureInstalled();
process.on('exit', stopAll);
if (process.argv.includes('--reset')) removeDatabase();
await startDatabase();
ensureBuilt();
if (ending) process.exit(0);
const env = { ...process.env, ...databaseUrls(), PORT: String(port), NODE_ENV: 'production' };
node([join(ROOT, 'apps/server/dist/prepare.js'), '--demo'], { env });
server = spawn(process.execPath, [join(ROOT, 'apps/server/dist/main.js')], { stdio: 'inherit', env });
void keepDatabase(() => !ending && !stopped);
server.on('exit', (code) => {
  server = undefined;
  process.exit(ending ? 0 : (code ?? 1));
});

function isFree(at) {
  return new Promise((answer) => {
    const probe = createServer();
    probe.once('error', () => answer(false));
    probe.listen(at, '127.0.0.1', () => probe.close(() => answer(true)));
  });
}
