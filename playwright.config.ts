import { defineConfig } from '@playwright/test'
import { chromiumArguments, chromiumPath } from './scripts/lib/chromium.mjs'

/** The interface tests drive the built application; each file has a server and a data folder of its own. */
export default defineConfig({
  testDir: 'e2e',
  fullyParallel: false,
  workers: 2,
  timeout: 150_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/interface.json' }]],
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    // English of no country: metric units.
    locale: 'en',
    timezoneId: process.env.TZ || undefined,
    launchOptions: {
      executablePath: chromiumPath() ?? undefined,
      args: chromiumArguments,
    },
  },
})
