import { defineConfig, devices } from '@playwright/test';

const port = Number(process.env['E2E_PORT'] ?? 4319);

export default defineConfig({
  testDir: './tests',
  outputDir: '../.local/e2e',
  fullyParallel: false,
  workers: 1,
  retries: 0,
  forbidOnly: process.env['CI'] !== undefined,
  reporter: [['list'], ['json']],
  timeout: 90_000,
  expect: { timeout: 12_000 },
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    // A trace of every journey takes a twelfth of the time; `--trace on` makes one where it is wanted.
    trace: 'off',
    screenshot: 'only-on-failure',
    browserName: 'chromium',
    // Kept apps are for the journeys that lose the server; elsewhere every page would fetch all of it first.
    serviceWorkers: 'block',
    locale: 'en-GB',
    timezoneId: 'UTC',
    launchOptions: {
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
      args: [
        '--disable-dev-shm-usage',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  projects: [
    { name: 'desktop', use: { viewport: { width: 1280, height: 800 } }, testIgnore: /[\\/]phone/ },
    { name: 'phone', use: { ...devices['Pixel 7'] }, testMatch: /[\\/]phone/ },
  ],
  webServer: {
    command: 'node ../apps/server/dist/prepare.js --empty --seed && node ../apps/server/dist/main.js',
    url: `http://127.0.0.1:${port}/api/health`,
    reuseExistingServer: false,
    timeout: 30_000,
    stdout: 'ignore',
    stderr: 'pipe',
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
    env: { PORT: String(port), DATABASE_URL: process.env['DATABASE_URL'] ?? '', LOG_LEVEL: 'error' },
  },
});
