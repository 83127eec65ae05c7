import { choose, open } from './page'
/** What a tester types and presses. */
import type { Page } from '@playwright/test'

/**
 * Between two presses of one device: longer than a glove's double, which counts once. To be begun when the page shows
 * the first.
 */
export const afterAPress = (page: Page) => page.waitForTimeout(1300)

/** The Log, or a lane to prepare, with nothing taken from the last run. */
export async function openEmpty(page: Page, path = '/runs/new'): Promise<void> {
  await open(page, path)
  await page.getByRole('button', { name: 'Begin empty' }).click()
}
/** A methanol boil as a tester with trail units would type it. */
export async function typeTheRun(page: Page): Promise<void> {
  const type = (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text)
  await page.getByLabel('trail units').check()
  await type('Altitude', '700 ft')
  await type('Air', '61')
  await type('Wind', 'calm')
  await choose(page.getByLabel('Who'), 'Odra Vell')
  await choose(page.getByLabel('Set-up', { exact: true }), 'Lahar in the cone')
  await type('Water', '2 cups')
  await type('Start temperature', '56 F')
  await choose(page.getByLabel('Fuel', { exact: true }), 'Methanol')
  await type('Fuel used', '21 g')
  await type('Scale reads to', '0.1 g')
  await type('Boil', '8:50')
}
