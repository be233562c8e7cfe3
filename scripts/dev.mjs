// Server and pages, reloading as files change.
import { spawn } from 'node:child_process';
import { checkNode, ensureInstalled, node, plainFailures, ROOT, TSC } from './bootstrap.mjs';
import { databaseUrls, startDatabase, stopDatabase } from './db.mjs';

plainFailures();
checkNode();
ensureInstalled();
process.on('exit', stopDatabase);
let children = [];
const end = () => {
  children.forEach((child) => child.kill('SIGTERM'));
  process.exit(0);
};
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, end);
await startDatabase();
node([TSC, '-b', 'tsconfig.build.json']);
const env = { ...process.env, ...databaseUrls() };
node(['apps/server/dist/prepare.js', '--seed'], { env });
children = [
  [TSC, '-b', 'tsconfig.build.json', '--watch', '--preserveWatchOutput'],
  ['--watch', '--watch-preserve-output', '--enable-source-maps', 'apps/server/dist/main.js'],
  ['node_modules/vite/bin/vite.js', 'apps/web'],
].map((args) => spawn(process.execPath, args, { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'], env }));
