/** A run's page: the ladder is reduce's, choices stand in the address, corrections keep both values. */
import { spawnSync } from 'node:child_process'
import type { Page } from '@playwright/test'
import type { RunAnswer } from '../../core/formats/answer'
import { formatWithU } from '../../core/quantity/format'
import { expect, open, test } from './page'

const CALM = '/runs/01950000-0000-7000-8000-000000000111'
const NO_WIND = '/runs/01960000-0000-7000-8000-000000000004'

/** The page's own document, put through the command line. */
async function reduced(page: Page): Promise<RunAnswer> {
  const link = await page.getByRole('link', { name: 'Run as JSON' }).getAttribute('href')
  const document = await (await page.request.get(link!)).text()
  const out = spawnSync(process.execPath, ['--import', 'tsx', 'cli/reduce.ts', '-'], { input: document, encoding: 'utf8' })
  return (JSON.parse(out.stdout) as { runs: [RunAnswer] }).runs[0]
}

const rows = (page: Page) => page.locator('[data-rung]').evaluateAll(all => all.map(row => ({ rung: row.getAttribute('data-rung'), shape: row.getAttribute('data-shape'), figure: row.querySelector('[data-gperl]')?.textContent?.trim() ?? null })))

test('the ladder’s numbers are reduce’s, by every model and reference, and the choice stands in the address', async ({ page }) => {
  await open(page, CALM)
  for (const [reference, model] of [['Standard bench', 'loss (heat balance)'], ['75-degree rise', 'ratio (of rises)'], ['Sixty Fahrenheit', 'energy (ratio of heat)']] as const) {
    await page.getByLabel('Brought to').selectOption(reference)
    await page.getByLabel('by the model').selectOption(model)
    await expect(page).toHaveURL(model.startsWith('loss') ? CALM : new RegExp(`model=${model.split(' ')[0]}`))
    const answer = await reduced(page)
    await expect(page.locator('[data-figure=normalisedGPerL]')).toHaveText(formatWithU(answer.normalisedGPerL!, 2 * answer.normalisedU!))
    expect((await rows(page)).map(row => row.figure)).toEqual(answer.ladder.map(rung => formatWithU(rung.gPerL!, 2 * rung.u!)))
  }
  await page.reload()
  await expect(page.getByLabel('by the model')).toHaveValue('energy')
})

test('the ladder draws what is full, missing, tiny, assumed and stalled, and copies as text', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await open(page, CALM)
  expect((await rows(page)).map(row => row.shape)).toEqual(['bar', 'bar', expect.stringMatching(/bar|diamond/), 'level', 'level'])
  await page.getByRole('button', { name: 'Copy as text' }).click()
  await expect(page.getByRole('button', { name: 'Copied' })).toBeVisible()
  const text = await page.evaluate(() => navigator.clipboard.readText())
  expect(text).toMatch(/^Fumarole.*\nAs measured: [\d.]+ ± [\d.]+ g\/L\nStart .* → 20\.0 °C/)
  expect(text).toContain('Factors multiply; percents do not add.')

  await open(page, NO_WIND)
  expect((await rows(page))[3]).toMatchObject({ rung: 'wind', shape: 'open' })
  await expect(page.getByText('Missing: wind at the pot.')).toBeVisible()
  await expect(page.locator('[data-rung=wind] [data-ghost]')).toBeVisible()

  // It stalls in its own cold wind: the figure begins where the surroundings let it boil, and the wind stays open.
  await open(page, '/runs/01960000-0000-7000-8000-000000000006')
  expect((await rows(page)).map(row => row.shape)).toEqual(['none', 'none', 'begins', 'open', 'level'])
  await expect(page.getByText(/Would not boil: stalls near \d+ °C in this wind/)).toBeVisible()

  // Heat loss was estimated: the surroundings rung is assumed, and in store air it is tiny.
  await open(page, '/runs/01950000-0000-7000-8000-000000000101')
  expect((await rows(page))[1]).toMatchObject({ rung: 'boilingPoint', shape: 'diamond' })
  await expect(page.locator('[data-rung=surroundings]')).toContainText('assumed')
})

test('a reading is corrected: both stay, the figure follows, a contradiction and a stale page are refused', async ({ page, browser, baseURL }) => {
  await open(page, NO_WIND)
  const stale = await (await browser.newContext({ baseURL })).newPage()
  await open(stale, NO_WIND)

  await page.getByRole('button', { name: 'Add wind' }).click()
  await page.getByRole('dialog').getByLabel('Wind').fill('calm')
  await page.getByRole('button', { name: 'Keep both, use this' }).click()
  await expect(page.getByRole('dialog').getByText('Reason: read nothing')).toBeVisible()
  await page.getByRole('dialog').getByLabel('Reason').fill('the flag at the hut hung still')
  await page.getByRole('button', { name: 'Keep both, use this' }).click()
  await expect(page.getByText('the flag at the hut hung still')).toBeVisible()
  await expect(page.locator('[data-rung=wind]')).toHaveAttribute('data-shape', 'level')

  const before = await page.locator('[data-figure=gPerL]').innerText()
  await page.getByRole('button', { name: 'Correct Fuel after' }).click()
  await page.getByRole('dialog').getByLabel('Fuel after').fill('280 g')
  await page.getByRole('dialog').getByLabel('Reason').fill('misread')
  await page.getByRole('button', { name: 'Keep both, use this' }).click()
  await expect(page.getByRole('dialog').getByText(/Fuel after \(280 g\) is more than fuel before/)).toBeVisible()
  await page.getByRole('dialog').getByLabel('Fuel after').fill('267.9 g')
  await page.getByRole('button', { name: 'Keep both, use this' }).click()
  const history = page.getByRole('region', { name: 'History' })
  await expect(history).toContainText('Fuel after: 266.9 g → 267.9 g. misread')
  await expect(page.locator('[data-figure=gPerL]')).not.toHaveText(before)

  await stale.getByRole('button', { name: 'Correct Boil' }).or(stale.getByRole('button', { name: 'Correct Rolling boil' })).click()
  await stale.getByRole('dialog').getByLabel('Boil').fill('4:12')
  await stale.getByRole('dialog').getByLabel('Reason').fill('late')
  await stale.getByRole('button', { name: 'Keep both, use this' }).click()
  await expect(stale.getByText(/was changed since you opened it \(revision 3, you saw 1\)/)).toBeVisible()
  await stale.context().close()
})

test('the ribbon’s marks are walked by arrow keys; the trace has a table', async ({ page }) => {
  await open(page, '/runs/01960000-0000-7000-8000-000000000001')
  const ribbon = page.getByRole('group', { name: /Marks of the run/ })
  await ribbon.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText('Full flame (2 of 4)')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText('Pot on (3 of 4)')).toBeVisible()
  await open(page, CALM)
  await page.getByText('As a table, every quarter of a minute').click()
  await expect(page.getByRole('cell', { name: '0:30' })).toBeVisible()
})

test('the same run is read by another school: first bubbles, the clock from lighting', async ({ page }) => {
  await open(page, '/runs/01960000-0000-7000-8000-000000000005')
  const rolling = await reduced(page)
  await page.getByLabel('the boil is').selectOption('first steady bubbles')
  await expect(page).toHaveURL(/boil=firstBubbles/)
  const bubbles = await reduced(page)
  expect(bubbles.timeToBoilS!).toBeLessThan(rolling.timeToBoilS!)
  await expect(page.locator('[data-figure=gPerL]')).toHaveText(formatWithU(bubbles.gPerL!, 2 * bubbles.gPerLU!))
  await open(page, '/runs/01960000-0000-7000-8000-000000000001')
  await expect(page.locator('[data-figure=time]')).toHaveText('6:34')
  await page.getByLabel('the clock starts at').selectOption('lighting')
  await expect(page.locator('[data-figure=time]')).toHaveText('7:22')
})
