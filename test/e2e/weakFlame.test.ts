/** A weak flame, as its run's page says it: brought to the bench burn rate where there is one, and left open where not. */
import type { Page } from '@playwright/test'
import { choose, expect, open, test } from './page'
import { openEmpty } from './typing'

async function logged(page: Page, setup: string, boxes: Record<string, string>): Promise<void> {
  await openEmpty(page)
  await choose(page.getByLabel('Who', { exact: true }), 'Odra Vell')
  await choose(page.getByLabel('Set-up', { exact: true }), setup)
  await choose(page.getByLabel('Fuel', { exact: true }), 'Isobutane')
  for (const [label, text] of Object.entries(boxes)) await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.locator('[data-figure=normalisedGPerL]')).toBeVisible()
}
const COLD = {
  Altitude: '940 m',
  Air: '-4 °C',
  Wind: 'calm',
  Water: '473 g',
  'Start temperature': '6 °C',
  'Fuel used': '10.9 g',
  'Scale reads to': '0.1 g',
  Boil: '7:40',
}

test('a flame that the cold made weak is brought to the bench burn rate, in words and by how much', async ({
  page,
}) => {
  await logged(page, 'Ignimbrite, plain pot', COLD)
  const rung = page.locator('[data-rung=flame]')
  await expect(rung).toContainText(/Flame 1\.42\s→\s\d\.\d\d\sg\/min/)
  await expect(rung).toContainText('own series')
  await expect(rung).toContainText(/×\s1\.\d{3}/)
  await expect(
    page.getByText(/The flame burned 1\.4 g\/min, \d+ % less than the set-up’s bench burn rate/),
  ).toBeVisible()
})

test('where no warm run says what the flame can do, the figure is corrected in part, and says what would close it', async ({
  page,
}) => {
  await open(page, '/kit/setups/new')
  await page.getByLabel('Name', { exact: true }).fill('Never burned in the warm')
  await choose(page.getByLabel('Burner', { exact: true }), 'Fumarole')
  await choose(page.getByLabel('Pot', { exact: true }), 'Spatter 1000')
  await page.getByRole('form', { name: 'Set-up' }).getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page).not.toHaveURL(/setups\/new/)
  await logged(page, 'Never burned in the warm', COLD)
  await expect(page.getByText('Weak flame, 1.4 g/min: a low setting or a cold can?')).toBeVisible()
  await expect(page.getByText(/three calm runs at 10 °C or more, or what the valve stood at/).first()).toBeVisible()
  await expect(page.locator('[data-rung=flame] [data-factor]')).not.toContainText('×')
})
