/**
 * Every page as eyes meet it: no serious barrier in Day and Glare; in Dark bench nothing brighter than the flame
 * allows.
 */
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { clearBench, EVERY_STATE, stage } from '../../scripts/lib/stageBench.mjs'
import { expect, open, test } from './page'

const FIXED = [
  '/',
  '/numbers',
  '/runs',
  '/runs?group=setup',
  '/runs/compare?runs=01950000-0000-7000-8000-000000000111,01960000-0000-7000-8000-000000000002',
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
test.beforeAll(({ baseURL }) => stage(baseURL!, EVERY_STATE))
test.afterAll(({ baseURL }) => clearBench(baseURL!))
const WIDE = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }
/** As many pages are looked at side by side. */
const SHARES = 4

/** Brightest relative luminance (WCAG 2.2) and bluest channel of a screenshot, read in a page of its own. */
async function brightest(reader: Page, png: Buffer): Promise<{ luminance: number; blue: number }> {
  return reader.evaluate(
    async (source) => {
      const image = new Image()
      image.src = source
      await image.decode()
      const canvas = document.createElement('canvas')
      canvas.width = image.width
      canvas.height = image.height
      const context = canvas.getContext('2d')!
      context.drawImage(image, 0, 0)
      const { data } = context.getImageData(0, 0, image.width, image.height)
      const linear = (value: number) =>
        value / 255 <= 0.04045 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4
      let luminance = 0
      let blue = 0
      for (let i = 0; i < data.length; i += 4) {
        luminance = Math.max(
          luminance,
          0.2126 * linear(data[i]!) + 0.7152 * linear(data[i + 1]!) + 0.0722 * linear(data[i + 2]!),
        )
        blue = Math.max(blue, data[i + 2]!)
      }
      return { luminance, blue }
    },
    `data:image/png;base64,${png.toString('base64')}`,
  )
}

/** Serious barriers, each with where it stands. Another light changes colours alone. */
async function barriers(page: Page, light: 'day' | 'glare'): Promise<string[]> {
  // What passes is not described, and there are no frames: half the time.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] })
  if (light !== 'day') axe.withRules(['color-contrast', 'link-in-text-block'])
  const { violations } = await axe.analyze()
  return violations
    .filter((violation) => ['serious', 'critical'].includes(violation.impact ?? ''))
    .map(({ id, nodes }) => `${light}: ${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)
}

async function nextLight(page: Page, light: string): Promise<void> {
  await page.locator('[data-light-switch]').click()
  await expect(page.locator('html')).toHaveAttribute('data-light', light)
  await page.evaluate(() => document.fonts.ready)
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
      await nextLight(page, 'dark')
      const { luminance, blue } = await brightest(reader, await page.screenshot({ fullPage: true }))
      expect(luminance, path).toBeLessThanOrEqual(0.3)
      expect(blue, path).toBeLessThanOrEqual(0x40)
      await page.setViewportSize(PHONE)
      // A chart takes its new width a moment after the page.
      await expect
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: path })
        .toBeLessThanOrEqual(PHONE.width)
    }
    await reader.context().close()
  })
