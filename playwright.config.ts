import { defineConfig, type LaunchOptions } from '@playwright/test';

/** Debian's Chromium, kept from calling anywhere. */
export const BROWSER: LaunchOptions = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync'
  ]
};

const PORT = 4183;

export default defineConfig({
  testDir: 'tests/e2e',
  globalSetup: './tests/e2e/support/setUp.ts',
  // Whole journeys on a small, busy machine; nothing here measures speed.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  // A journey that fails once on a busy machine is tried again, with a trace; it is named as flaky.
  retries: 1,
  // Each test has a browser context of its own, so they need not wait for each other.
  fullyParallel: true,
  workers: 2,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
    // What is not there after this long does not come.
    actionTimeout: 30_000,
    // Every browser of a test would keep the whole application for itself; one test lets it.
    serviceWorkers: 'block',
    trace: 'on-first-retry',
    launchOptions: BROWSER
  },
  webServer: {
    command: 'node build/start.js',
    env: { PORT: String(PORT), HOST: '127.0.0.1', BODY_SIZE_LIMIT: '4M' },
    url: `http://127.0.0.1:${PORT}/api/health`,
    reuseExistingServer: false
  }
});
