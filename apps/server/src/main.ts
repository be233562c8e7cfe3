import { join } from 'node:path';
import { createApp } from './app.js';
import { config } from './platform/config.js';

const stop = (line: string): never => {
  process.stderr.write(`[server] ${line}\n`);
  process.exit(1);
};

try {
  const app = await createApp(join(import.meta.dirname, '../../web/dist'));
  await app.listen(config.port, config.host);
  process.stdout.write(`North Leaf is ready: http://${config.host}:${config.port}/\n`);
} catch (error) {
  const { code, message } = error as { code?: string; message?: string };
  if (code === 'EADDRINUSE') stop(`Port ${config.port} is already used by another program. Set PORT to a free one.`);
  stop(`could not start: ${message ?? String(error)}`);
}
