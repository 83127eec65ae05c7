/** What a tester types and presses. */
import type { Page } from '@playwright/test'

/**
 * Between two presses of one device: longer than a glove's double, which counts once. To be begun when the page shows
 * the first.
 */
export const afterAPress = (page: Page) => page.waitForTimeout(1300)

export async function optionLike(page: Page, list: string, start: string): Promise<string> {
  const options = await page.getByLabel(list, { exact: true }).locator('option').allInnerTexts()
  return options.find((option) => option.startsWith(start))!
}

/** A methanol boil as a tester with trail units would type it. */
export async function typeTheRun(page: Page): Promise<void> {
  const type = (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text)
  await page.getByLabel('trail units').check()
  await type('Altitude', '700 ft')
  await type('Air', '61')
  await type('Wind', 'calm')
  await page.getByLabel('Who').selectOption('Odra Vell')
  await page
    .getByLabel('Set-up', { exact: true })
    .selectOption({ label: await optionLike(page, 'Set-up', 'Lahar in the cone') })
  await type('Water', '2 cups')
  await type('Start temperature', '56 F')
  await page.getByLabel('Fuel', { exact: true }).selectOption({ label: await optionLike(page, 'Fuel', 'Methanol') })
  await type('Fuel used', '21 g')
  await type('Scale reads to', '0.1 g')
  await type('Boil', '8:50')
}
