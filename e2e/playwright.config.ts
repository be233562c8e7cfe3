import { defineConfig, devices } from '@playwright/test';

const LONG = /[\\/](start|run-phone|run|pantry)\.spec/;
const desktop = { viewport: { width: 1280, height: 800 } };

export default defineConfig({
  testDir: './tests',
  outputDir: '../.local/e2e',
  // One file after the other in each worker, which has a server and a database of its own.
  fullyParallel: false,
  workers: Number(process.env['E2E_WORKERS'] ?? 1),
  retries: 0,
  forbidOnly: process.env['CI'] !== undefined,
  reporter: [['list'], ['json']],
  timeout: 150_000,
  expect: { timeout: 20_000 },
  use: {
    // A trace of every journey takes a twelfth of the time; `--trace on` makes one where it is wanted.
    trace: 'off',
    // Nothing slides or fades: a fifth of the time, and nothing is looked at half-way.
    contextOptions: { reducedMotion: 'reduce' },
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
        '--disable-gpu',
        '--disable-software-rasterizer',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  // Files that take long begin first, so that no worker is left with one of them at the end.
  projects: [
    { name: 'long', use: desktop, testMatch: LONG },
    { name: 'desktop', use: desktop, testIgnore: [/[\\/]phone/, LONG] },
    { name: 'phone', use: { ...devices['Pixel 7'] }, testMatch: /[\\/]phone/ },
  ],
});
