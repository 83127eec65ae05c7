import { defineConfig } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from './scripts/lib/browser.mjs'

/** Benches of the built application, each with a database of its own: scripts/test.mjs starts them. */
const benches = JSON.parse(process.env.VULCANUM_BENCHES ?? '[]') as { url: string; databaseUrl: string }[]
/** Read again in each worker: its own. */
const bench = benches[Number(process.env.TEST_PARALLEL_INDEX ?? 0)]
if (bench) process.env.DATABASE_URL = bench.databaseUrl

/** Tests that hold the product to times have this tag: nothing else runs beside them. */
const BY_THE_CLOCK = /@by-the-clock/

export default defineConfig({
  testDir: 'test/e2e',
  // Generous: a shared machine may be slower by half for minutes.
  timeout: 150_000,
  expect: { timeout: 12_000 },
  workers: Math.max(1, benches.length),
  fullyParallel: true,
  projects: [
    { name: 'side-by-side', grepInvert: BY_THE_CLOCK },
    { name: 'by-the-clock', grep: BY_THE_CLOCK },
  ],
  forbidOnly: Boolean(process.env.CI),
  use: {
    serviceWorkers: 'block',
    baseURL: bench?.url,
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_ARGS },
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Atlantic/Azores',
  },
})
