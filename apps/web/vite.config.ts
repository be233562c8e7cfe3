import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { constants } from 'node:zlib';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/** What asks for the page while the shell is still being read. */
const first = /web\/src\/(main|pages|platform\/early)\.ts$|core\/src\/core-version|preload-helper|wght\.css/;

export default defineConfig({
  plugins: [
    react(),
    // Compressed once, when built: the server only hands them out.
    compression({
      include: /\.(js|css|svg|html)$/,
      algorithms: ['gzip', defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } })],
    }),
    // Keeps the pages themselves in the browser, so that a run goes on without the server, a reload included. What the server says is
    // never kept by it: runs have a store of their own.
    VitePWA({
      injectRegister: null,
      manifest: {
        name: 'North Leaf',
        short_name: 'North Leaf',
        description: 'Gluten-free pastry, measured and forecast in your own kitchen',
        display: 'standalone',
        background_color: '#EDF2F0',
        theme_color: '#14584B',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api/],
        inlineWorkboxRuntime: true,
        clientsClaim: true,
        maximumFileSizeToCacheInBytes: 8_000_000,
      },
    }),
  ],
  // The pages read the packages' TypeScript source; only the server needs them built.
  resolve: { conditions: ['north-leaf-source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 4311, strictPort: true, proxy: { '/api': 'http://127.0.0.1:4310' } },
  build: {
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 1600,
    manifest: true,
    rolldownOptions: {
      // What stands round every page is an entry of its own, so that no page's parts are packed with it.
      input: { index: 'index.html', app: 'src/app.tsx' },
      output: {
        // A browser asks for six files at a time: a page comes in some twenty pieces, not in ninety. Each layer knows only those above it
        // here, so that no two pieces wait for each other.
        codeSplitting: {
          groups: [
            { name: 'first', test: first, priority: 3 },
            { name: 'shell', tags: ['$initial'], priority: 2 },
            { name: 'libraries', test: /node_modules/, minShareCount: 6, priority: 1 },
            { name: 'core', test: /packages\/(core|contracts|words)\//, minShareCount: 4, priority: 1 },
            { name: 'parts', test: /apps\/web\/src\/(ui|platform)\//, minShareCount: 4, priority: 1 },
          ],
        },
      },
    },
  },
});
