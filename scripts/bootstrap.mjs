// Shared by the other scripts: Node check, npm ci when node_modules is missing or older than the lock, build when sources changed.
// Imports only what Node brings: it runs before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..');
export const LOCAL = join(ROOT, '.local');
export const TSC = 'node_modules/typescript-7/bin/tsc';
export const say = (line) => process.stderr.write(`[north-leaf] ${line}\n`);

/** One line and out: what every failure a person can mend looks like. */
export function stopWith(line) {
  say(line);
  process.exit(1);
}
/** Turns what goes wrong outside our own code into that one line. */
export function plainFailures() {
  const fail = (error) =>
    stopWith(error?.code === 'ENOSPC' ? 'The disk is full: free some space and start again.' : (error?.message ?? String(error)));
  process.on('uncaughtException', fail);
  process.on('unhandledRejection', fail);
}

/** What `sh` has begun and not ended: whoever is told to stop stops these. */
export const running = new Set();
/** Runs a command beside this program, which goes on hearing signals; gives its exit code. */
export function sh(command, args, options = {}) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  running.add(child);
  return new Promise((ended, failed) => {
    child.once('error', failed);
    child.once('close', (code) => {
      running.delete(child);
      ended(code ?? 1);
    });
  });
}
function shNow(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  if (error) throw error;
  return status ?? 1;
}
export function must(command, args, options) {
  const status = shNow(command, args, options);
  if (status !== 0) stopWith(`failed (${status}): ${[command, ...args].join(' ').replaceAll(process.execPath, 'node')}`);
}
export const node = (args, options) => must(process.execPath, args, options);

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) stopWith(`Node ${process.versions.node} is too old: install Node 20.19 or newer.`);
}

export function ensureInstalled() {
  const stamp = join(ROOT, 'node_modules', '.north-leaf-lock');
  const want = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  const installed = () => existsSync(stamp) && readFileSync(stamp, 'utf8') === want;
  if (installed()) return;
  // Two commands begun at once would empty the folder under each other.
  const free = takeTurn(join(LOCAL, 'installing'));
  if (installed()) return free();
  say('installing packages (npm ci), about a minute');
  // The npm that started us, so that PATH does not matter.
  const npm = process.env.npm_execpath;
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error', '--prefer-offline'];
  const env = { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' };
  const status = npm ? shNow(process.execPath, [npm, ...args], { env }) : shNow('npm', args, { env });
  if (status !== 0) stopWith('Installing packages failed: its own words are above. Mend it and start again.');
  writeFileSync(stamp, want);
  free();
}

/** Waits until no living process of ours holds `path`, takes it, and gives what lets it go. One that died holding it is passed over. */
function takeTurn(path) {
  mkdirSync(dirname(path), { recursive: true });
  for (;;) {
    try {
      writeFileSync(path, String(process.pid), { flag: 'wx' });
      const free = () => rmSync(path, { force: true });
      process.once('exit', free);
      return free;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    if (lives(path)) Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 500);
    else rmSync(path, { force: true });
  }
}
function lives(path) {
  try {
    const holder = Number(readFileSync(path, 'utf8'));
    if (holder > 0) process.kill(holder, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}

const SOURCES = ['packages', 'apps', 'package-lock.json', 'tsconfig.base.json', 'tsconfig.build.json'];

/** Name, size and time of every source file, so that a file taken away is noticed too. */
function fingerprint() {
  const hash = createHash('sha256');
  const walk = (path) => {
    const found = statSync(path);
    if (!found.isDirectory()) {
      hash.update(`${path}:${found.size}:${found.mtimeMs}\n`);
      return;
    }
    for (const entry of readdirSync(path).sort()) {
      if (!/^(node_modules|dist|coverage)$|\.tsbuildinfo$/.test(entry)) walk(join(path, entry));
    }
  };
  for (const source of SOURCES) walk(join(ROOT, source));
  return hash.digest('hex');
}

export function ensureBuilt({ force = false } = {}) {
  const stamp = join(LOCAL, 'built');
  const now = fingerprint();
  const outputs = ['apps/server/dist/main.js', 'apps/web/dist/index.html'];
  const same = existsSync(stamp) && readFileSync(stamp, 'utf8') === now && outputs.every((out) => existsSync(join(ROOT, out)));
  if (same && !force) return;
  say('building');
  node([TSC, '-b', 'tsconfig.build.json']);
  node([join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'], { cwd: join(ROOT, 'apps/web') });
  mkdirSync(LOCAL, { recursive: true });
  writeFileSync(stamp, now);
}

export function ensureChromium() {
  const found = [process.env.CHROMIUM_PATH, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => path && existsSync(path));
  if (found) return found;
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    say('Chromium is missing: installing the Debian package "chromium"');
    const quiet = { stdio: ['ignore', 'ignore', 2], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
    shNow('apt-get', ['update', '-qq'], quiet);
    shNow('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], quiet);
    if (existsSync('/usr/bin/chromium')) return '/usr/bin/chromium';
  }
  return stopWith('Chromium is missing. Install it once with: sudo apt-get install -y chromium');
}
