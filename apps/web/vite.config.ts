import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
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
  build: { target: 'es2022', sourcemap: false, chunkSizeWarningLimit: 1600, manifest: true },
});
