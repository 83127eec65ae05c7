/** What eyes meet: barriers by axe, and how bright a page is. */
import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** Brightest relative luminance (WCAG 2.2) and bluest channel of a screenshot, read in a page of its own. */
export async function brightest(reader: Page, png: Buffer): Promise<{ luminance: number; blue: number }> {
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
export async function barriers(page: Page, light: 'day' | 'glare'): Promise<string[]> {
  // What passes is not described, and there are no frames: half the time.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] })
  if (light !== 'day') axe.withRules(['color-contrast', 'link-in-text-block'])
  const { violations } = await axe.analyze()
  return violations
    .filter((violation) => ['serious', 'critical'].includes(violation.impact ?? ''))
    .map(({ id, nodes }) => `${light}: ${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)
}

export async function nextLight(page: Page, light: string): Promise<void> {
  await page.locator('[data-light-switch]').click()
  await expect(page.locator('html')).toHaveAttribute('data-light', light)
  await page.evaluate(() => document.fonts.ready)
}
