import { defineConfig } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from './scripts/lib/browser.mjs'

/** Against the built application and a real database; scripts/test.mjs starts both and names the address. */
export default defineConfig({
  testDir: 'test/e2e',
  // Generous: a shared machine may be slower by half for minutes.
  timeout: 150_000,
  expect: { timeout: 12_000 },
  workers: 1,
  forbidOnly: Boolean(process.env.CI),
  use: {
    serviceWorkers: 'block',
    baseURL: process.env.VULCANUM_URL,
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_ARGS },
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Atlantic/Azores',
  },
})
