import { join } from 'node:path';
import { createApp } from './app.js';
import { config, refusedSetting } from './platform/config.js';

const stop = (line: string): never => {
  process.stderr.write(`[server] ${line}\n`);
  process.exit(1);
};

const refused = refusedSetting();
if (refused) stop(refused);
try {
  const app = await createApp(join(import.meta.dirname, '../../web/dist'));
  const http = app.getHttpServer();
  // Whoever sends slowly, or never ends, is let go.
  http.headersTimeout = 10_000;
  http.requestTimeout = 60_000;
  await app.listen(config.port, config.host);
  // Nobody who still hangs on keeps the kitchen from stopping.
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () =>
      setTimeout(() => (http.closeAllConnections(), setTimeout(() => process.exit(0), 2000).unref()), 5000).unref(),
    );
  process.stdout.write(`North Leaf is ready: http://${config.host}:${config.port}/\n`);
} catch (error) {
  const { code, message } = error as { code?: string; message?: string };
  if (code === 'EADDRINUSE') stop(`Port ${config.port} is already used by another program. Set PORT to a free one.`);
  stop(`could not start: ${message ?? String(error)}`);
}
