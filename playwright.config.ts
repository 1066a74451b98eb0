import { defineConfig } from '@playwright/test';

const port = 4312;

/** The real interface in Debian's Chromium, on the built app and a database of its own (npm run test:e2e sets it up). */
export default defineConfig({
  testDir: 'e2e',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // Long enough for a machine whose processors are lent to others half of the time; nothing here measures speed.
  timeout: 480_000,
  expect: { timeout: 45_000 },
  reporter: [['list'], ['json', { outputFile: process.env.KEEN_TRESTLE_E2E_JSON ?? 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'UTC',
    trace: 'off',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--enable-unsafe-swiftshader',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `npx --no-install next start --hostname 127.0.0.1 --port ${port}`,
    url: `http://localhost:${port}/api/openapi.json`,
    reuseExistingServer: false,
    timeout: 180_000,
  },
});
