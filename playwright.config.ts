import { defineConfig } from '@playwright/test'

const PORT = 4319

/** The real interface: the production build behind the real server, in the Chromium of the system. */
export default defineConfig({
  testDir: 'tests/e2e',
  workers: 2,
  fullyParallel: true,
  timeout: 45_000,
  // A build machine may be starved for a moment; a test that fails twice has failed.
  retries: process.env.CI ? 1 : 0,
  expect: { timeout: 8_000 },
  reporter: [['list']],
  use: {
    testIdAttribute: 'data-test',
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: [
        '--headless',
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
  webServer: { command: `node server/main.mjs`, env: { PORT: String(PORT) }, port: PORT, reuseExistingServer: false },
})
