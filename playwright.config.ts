import { defineConfig } from '@playwright/test'
import { chromiumPath } from './scripts/chromium.mjs'

const PORT = 4319

/** The real interface: the production build behind the real server, in the Chromium of the system. */
export default defineConfig({
  testDir: 'tests/e2e',
  workers: 2,
  fullyParallel: true,
  // A starved machine must not fail a test: what is waited for is a state, and the limits only end what hangs.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  reporter: [['list']],
  use: {
    testIdAttribute: 'data-test',
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // The tests of working without a network let them in; all others would fetch the whole build at each start.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: chromiumPath(),
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
