import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  // The pages read the packages' TypeScript source; only the server needs them built.
  resolve: { conditions: ['north-leaf-source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 4311, strictPort: true, proxy: { '/api': 'http://127.0.0.1:4310' } },
  build: { target: 'es2022', sourcemap: false, chunkSizeWarningLimit: 1600, manifest: true },
});
