/** Everything the server reads from its surroundings, in one place. */
export const config = {
  databaseUrl: process.env['DATABASE_URL'] ?? 'postgres://northleaf@127.0.0.1:55432/northleaf',
  port: Number(process.env['PORT'] ?? 4310),
  host: process.env['HOST'] ?? '127.0.0.1',
  logLevel: process.env['LOG_LEVEL'] ?? 'info',
} as const;
