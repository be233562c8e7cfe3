const read = (name: string): string => process.env[name] ?? '';

/** Names under which a machine speaks to itself. */
export const LOOPBACK: readonly string[] = ['127.0.0.1', 'localhost', '[::1]'];

/** Everything the server reads from its surroundings, in one place. */
export const config = {
  /** As the role that reads and writes rows. */
  databaseUrl: read('DATABASE_URL'),
  /** As the role that owns the tables: only `prepare` logs in as it. One role may be both where somebody else keeps the database. */
  ownerUrl: read('DATABASE_OWNER_URL') || read('DATABASE_URL'),
  port: Number(read('PORT') || 4310),
  host: read('HOST') || '127.0.0.1',
  /** Names it answers to besides those of this machine itself. */
  hostNames: read('HOST_NAMES')
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean),
  /** TLS ends in front of it. */
  behindTls: read('BEHIND_TLS') === 'yes',
  /** What every request must know where others can reach it. */
  secret: read('SHARED_SECRET'),
  logLevel: read('LOG_LEVEL') || 'info',
} as const;

const SHORTEST_SECRET = 16;

/** Why it must not start as it is set up; null: it may. */
export function refusedSetting({ databaseUrl, host, behindTls, secret }: typeof config = config): string | null {
  if (databaseUrl === '') return 'DATABASE_URL is not set: `npm run demo` sets it, and `node scripts/db.mjs urls` says it.';
  const isLoopback = [...LOOPBACK, '::1'].includes(host);
  if (!isLoopback && (!behindTls || secret.length < SHORTEST_SECRET))
    return `HOST=${host} would open this kitchen to everybody who can reach this machine. It needs TLS in front (then BEHIND_TLS=yes) and SHARED_SECRET with at least ${SHORTEST_SECRET} characters; without HOST it stays on this machine.`;
  return null;
}
