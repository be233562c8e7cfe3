// Loaded into a server that is measured: on a signal it collects what nobody holds and writes what is left, in MB.
const { writeFileSync } = require('node:fs');
process.on('SIGUSR2', () => {
  globalThis.gc();
  globalThis.gc();
  writeFileSync(process.env.LIVE_MEMORY, String(process.memoryUsage().heapUsed / 2 ** 20));
});
