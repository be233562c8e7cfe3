// Shared by demo and test: Node check, npm ci when node_modules is missing or older than the lock file, build when sources changed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const LOCAL = join(ROOT, '.local');
export const say = (m) => process.stderr.write(`[north-leaf] ${m}\n`);
export function sh(cmd, args, opt = {}) {
  const r = spawnSync(cmd, args, { cwd: ROOT, stdio: 'inherit', ...opt });
  if (r.error) throw r.error;
  return r.status ?? 1;
}
export function must(cmd, args, opt) {
  const s = sh(cmd, args, opt);
  if (s !== 0) {
    say(`failed (${s}): ${cmd} ${args.join(' ')}`);
    process.exit(s);
  }
}
export function checkNode() {
  const [maj, min] = process.versions.node.split('.').map(Number);
  if (maj < 20 || (maj === 20 && min < 19)) {
    say(`Node ${process.versions.node} is too old: install Node 20.19 or newer.`);
    process.exit(1);
  }
}
export function ensureInstalled() {
  const stamp = join(ROOT, 'node_modules', '.north-leaf-lock');
  const want = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === want) return;
  say('installing packages (npm ci)');
  // Run npm through the same npm that started us, so PATH does not matter; PLAYWRIGHT_... keeps any browser download off.
  const npm = process.env.npm_execpath;
  const env = { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1', HUSKY: '0' };
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error', '--prefer-offline'];
  must(npm ? process.execPath : 'npm', npm ? [npm, ...args] : args, { env });
  writeFileSync(stamp, want);
}
function newest(dir, skip = /^(node_modules|dist|\.local|coverage)$/) {
  let t = 0;
  for (const e of readdirSync(dir, { withFileTypes: true })) {
    if (skip.test(e.name)) continue;
    const p = join(dir, e.name);
    t = Math.max(t, e.isDirectory() ? newest(p, skip) : statSync(p).mtimeMs);
  }
  return t;
}
export function ensureBuilt() {
  const stamp = join(LOCAL, 'built');
  const src = Math.max(...['packages', 'apps'].map((d) => newest(join(ROOT, d))), statSync(join(ROOT, 'package-lock.json')).mtimeMs);
  const outs = ['apps/server/dist/main.js', 'apps/web/dist/index.html'];
  if (existsSync(stamp) && Number(readFileSync(stamp, 'utf8')) >= src && outs.every((o) => existsSync(join(ROOT, o)))) return;
  say('building');
  must(process.execPath, ['node_modules/typescript-7/bin/tsc', '-b', 'tsconfig.build.json']);
  must(process.execPath, [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'], { cwd: join(ROOT, 'apps/web') });
  mkdirSync(LOCAL, { recursive: true });
  writeFileSync(stamp, String(src));
}
export function ensureChromium() {
  const found = [process.env.CHROMIUM_PATH, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find((p) => p && existsSync(p));
  if (found) return found;
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    say('Chromium is missing: installing the Debian package "chromium"');
    sh('apt-get', ['update', '-qq'], { stdio: ['ignore', 2, 2] });
    sh('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
      stdio: ['ignore', 2, 2],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    if (existsSync('/usr/bin/chromium')) return '/usr/bin/chromium';
  }
  say('Chromium is missing. Install it once with: sudo apt-get install -y chromium');
  process.exit(1);
}
