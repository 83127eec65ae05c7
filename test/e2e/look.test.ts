/**
 * Every page as eyes meet it: no serious barrier in Day and Glare; in Dark bench nothing brighter than the flame
 * allows.
 */
import type { Page } from '@playwright/test'
import { clearBench, EVERY_STATE, stage } from '../../scripts/lib/stageBench.mjs'
import { expect, open, test } from './page'
import { barriers, brightest, nextLight } from './sight'

const FIXED = [
  '/',
  '/numbers',
  '/runs',
  '/runs?group=setup',
  '/runs/compare?runs=01950000-0000-7000-8000-000000000111,01960000-0000-7000-8000-000000000002',
  '/compare',
  '/compare/ranking?fuel=isobutane-propane&test=boil&water=472',
  '/plan',
  '/plan/new',
  '/plan/01980000-0000-7000-8000-000000000002',
  '/runs/new',
  '/burn',
  '/runs/01950000-0000-7000-8000-000000000111',
  '/runs/01960000-0000-7000-8000-000000000002',
  '/kit',
  '/kit/setups',
  '/kit/setups/new',
  '/kit/fuels',
  '/kit/containers',
  '/kit/places',
  '/kit/things/new?kind=burner',
  '/methods',
  '/bench',
  '/bench/prepare?rehearse',
  '/bench/instruments',
  '/kit/wind',
  '/runs/import',
]
/** With one of each record, whose ids are the bench's own. */
async function pagesOf(page: Page): Promise<string[]> {
  const first = async (url: string, pick: (one: { name: string; kind?: string }) => boolean = () => true) =>
    ((await (await page.request.get(url)).json()) as { id: string; name: string; kind?: string }[]).find(pick)!.id
  const method = await first('/api/methods')
  const importId = crypto.randomUUID()
  // Asked about and with faults: every part of the page is there.
  await page.request.put(`/api/imports/${importId}?name=porch.csv`, {
    headers: { 'content-type': 'application/octet-stream' },
    data: 'Date;Stove;Water;Boil\n14/03/2026;Tin can;500;3:48\n15/03/2026;Lahar in the cone;half;',
  })
  return [
    ...FIXED,
    `/runs/import/${importId}`,
    `/kit/things/${await first('/api/kit/things', (one) => one.name === 'Lid probe')}`,
    `/kit/things/${await first('/api/kit/things', (one) => one.kind === 'pot')}`,
    `/kit/setups/${await first('/api/kit/setups', (one) => one.name === 'Lapilli under the big pot')}`,
    `/kit/fuels/${await first('/api/kit/fuels')}`,
    `/kit/containers/${await first('/api/kit/containers')}`,
    `/kit/places/${await first('/api/kit/places')}`,
    `/methods/${method}`,
    `/methods/${method}/edit`,
  ]
}
test.describe.configure({ mode: 'parallel' })
test.beforeAll(async ({ baseURL }) => {
  await clearBench(baseURL!)
  await stage(baseURL!, EVERY_STATE)
})
test.afterAll(({ baseURL }) => clearBench(baseURL!))
const WIDE = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }
/** As many pages are looked at side by side. */
const SHARES = 4

async function fitsPhone(page: Page, path: string) {
  await page.setViewportSize(PHONE)
  // A chart takes its new width a moment after the page.
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: path })
    .toBeLessThanOrEqual(PHONE.width)
}

for (let share = 0; share < SHARES; share++)
  test(`every page, part ${share + 1} of ${SHARES}: no serious barrier in Day and Glare, nothing bright in Dark bench, nothing wider than a phone`, async ({
    page,
    context,
    baseURL,
    browser,
  }) => {
    test.setTimeout(420_000)
    const reader = await (await browser.newContext()).newPage()
    for (const path of (await pagesOf(page)).filter((_, i) => i % SHARES === share)) {
      await context.addCookies([{ name: 'vulcanum_light', value: encodeURIComponent('"day"'), url: baseURL! }])
      await page.setViewportSize(WIDE)
      await open(page, path)
      expect(await barriers(page, 'day'), path).toEqual([])
      await nextLight(page, 'glare')
      expect(await barriers(page, 'glare'), path).toEqual([])
      // The sun's larger type first.
      await fitsPhone(page, path)
      await page.setViewportSize(WIDE)
      await nextLight(page, 'dark')
      const { luminance, blue } = await brightest(reader, await page.screenshot({ fullPage: true }))
      expect(luminance, path).toBeLessThanOrEqual(0.3)
      expect(blue, path).toBeLessThanOrEqual(0x40)
      await fitsPhone(page, path)
    }
    await reader.context().close()
  })
