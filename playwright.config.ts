import { defineConfig } from '@playwright/test';

/** Started by scripts/test.mjs, which builds first and passes the browser's path. Each story has a server of its own. */
export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/seeded.ts',
  outputDir: 'test-results',
  workers: 2,
  fullyParallel: true,
  timeout: 420_000,
  expect: { timeout: 20_000 },
  forbidOnly: true,
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // Pages kept by the browser are for the stories of a server that is away; elsewhere each page comes from the server.
    serviceWorkers: 'block',
    timezoneId: 'Europe/London',
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
