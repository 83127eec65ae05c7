/** A run's page: the ladder is reduce's, choices stand in the address, corrections keep both values. */
import { spawnSync } from 'node:child_process'
import type { Page } from '@playwright/test'
import type { RunAnswer } from '../../core/formats/answer'
import { formatWithU } from '../../core/quantity/format'
import { chooseWord, expect, open, test } from './page'

const CALM = '/runs/01950000-0000-7000-8000-000000000111'
const WINDY = '/runs/01950000-0000-7000-8000-000000000133'
const NO_WIND = '/runs/01960000-0000-7000-8000-000000000004'

/** The page's own document, put through the command line. */
async function reduced(page: Page): Promise<RunAnswer> {
  const link = await page.getByRole('link', { name: 'Run as JSON' }).getAttribute('href')
  const document = await (await page.request.get(link!)).text()
  const out = spawnSync(process.execPath, ['scripts/reduce.mjs', '-'], {
    input: document,
    encoding: 'utf8',
  })
  return (JSON.parse(out.stdout) as { runs: [RunAnswer] }).runs[0]
}

const rows = (page: Page) =>
  page.locator('[data-rung]').evaluateAll((all) =>
    all.map((row) => ({
      rung: row.getAttribute('data-rung'),
      shape: row.getAttribute('data-shape'),
      figure: row.querySelector('[data-gperl]')?.textContent?.trim() ?? null,
    })),
  )

test('the ladder’s numbers are reduce’s, by every model and reference, and the choice stands in the address', async ({
  page,
}) => {
  await open(page, CALM)
  for (const [reference, model] of [
    ['Standard bench', 'loss (heat balance)'],
    ['75-degree rise', 'ratio (of rises)'],
    ['Sixty Fahrenheit', 'energy (ratio of heat)'],
  ] as const) {
    await chooseWord(page, 'Corrected to', reference)
    await chooseWord(page, 'Model', model)
    await expect(page).toHaveURL(model.startsWith('loss') ? CALM : new RegExp(`model=${model.split(' ')[0]}`))
    const answer = await reduced(page)
    await expect(page.locator('[data-figure=normalisedGPerL]')).toHaveText(
      formatWithU(answer.normalisedGPerL!, 2 * answer.normalisedU!),
    )
    expect((await rows(page)).map((row) => row.figure)).toEqual(
      answer.ladder.map((rung) => formatWithU(rung.gPerL!, 2 * rung.u!)),
    )
  }
  await page.reload()
  await expect(page.getByRole('button', { name: 'Model: energy' })).toBeVisible()
})

test('the ladder draws what is full, missing, tiny, assumed and stalled, and copies as text', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await open(page, CALM)
  expect((await rows(page)).map((row) => row.shape)).toEqual([
    'bar',
    'bar',
    expect.stringMatching(/bar|diamond/),
    'level',
    // Its own valve against the bench burn rate of its set-up.
    expect.stringMatching(/bar|diamond|level/),
  ])
  await page.getByRole('button', { name: 'Copy as text' }).click()
  await expect(page.getByRole('button', { name: 'Copied' })).toBeVisible()
  const text = await page.evaluate(() => navigator.clipboard.readText())
  expect(text).toMatch(/^Fumarole.*\nAs measured: [\d.]+ ± [\d.]+ g\/L\nStart .* → 20\.0 °C/)
  expect(text).toContain('Factors multiply; percents do not add.')

  await open(page, NO_WIND)
  expect((await rows(page))[3]).toMatchObject({ rung: 'wind', shape: 'open' })
  await expect(page.getByText('Missing: wind at the pot.')).toBeVisible()
  await expect(page.locator('[data-rung=wind] [data-ghost]')).toBeVisible()

  // It stalls in its own cold wind: the figure begins where the surroundings let it boil, and the wind is its class's.
  await open(page, '/runs/01960000-0000-7000-8000-000000000006')
  expect((await rows(page)).map((row) => row.shape)).toEqual(['none', 'none', 'begins', 'bar', 'level'])
  await expect(page.locator('[data-rung=wind]')).toContainText('class default')
  await expect(page.getByText(/Would not boil: stalls near \d+ °C in this wind/)).toBeVisible()

  // Heat loss was estimated: the surroundings rung is assumed, and in store air it is tiny.
  await open(page, '/runs/01970000-0000-7000-8000-000000000213')
  expect((await rows(page))[1]).toMatchObject({ rung: 'boilingPoint', shape: 'diamond' })
  await expect(page.locator('[data-rung=surroundings]')).toContainText('assumed')
})

test('a windy run is corrected by its set-up’s own series, whose winds are told; beyond what was tried the bar frays', async ({
  page,
}) => {
  await open(page, WINDY)
  await expect(page.locator('[data-rung=wind]')).toHaveAttribute('data-shape', 'bar')
  await expect(page.locator('[data-rung=wind]')).toContainText('own series')
  const setup = page.getByRole('region', { name: 'Its set-up' })
  await setup.getByRole('button', { name: 'm/s' }).first().click()
  await expect(
    page.getByRole('complementary', { name: 'Margin' }).getByRole('heading', { name: 'Wind that doubles the fuel' }),
  ).toBeVisible()

  await chooseWord(page, 'Corrected to', 'Conditions of your own')
  const own = page.getByRole('form', { name: 'Conditions of your own' })
  await own.getByLabel('Air', { exact: true }).fill('−40 °C')
  await own.getByLabel('Altitude').fill('9,500 ft up')
  await own.getByRole('button', { name: 'Correct to these' }).click()
  await expect(own.getByText(/Altitude|altitude|not a/).first()).toBeVisible()
  await own.getByLabel('Altitude').fill('2870 m')
  await own.getByLabel('Wind at the pot').fill('7 m/s')
  await own.getByRole('button', { name: 'Correct to these' }).click()
  await expect(page).toHaveURL(/own=20,71\d\.\d+,-40,7/)
  await expect(page.locator('[data-rung=surroundings] [data-frayed]')).toBeVisible()
  await expect(page.locator('[data-rung=surroundings]')).toContainText('asked −40')
  const answer = await reduced(page)
  expect(answer.ladder[2]!.reach!.asked).toBe(-40)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Corrected to: Conditions of your own' })).toBeVisible()
})

test('every figure on a run’s page answers with its formula, inputs and source', async ({ page }) => {
  for (const path of [WINDY, '/runs/01960000-0000-7000-8000-000000000005']) {
    await open(page, path)
    const figures = page.locator('button.says-who')
    const count = await figures.count()
    expect(count).toBeGreaterThan(12)
    const margin = page.getByRole('complementary', { name: 'Margin' })
    for (let i = 0; i < count; i++) {
      await figures.nth(i).click()
      await expect(margin.getByText('Source: '), await figures.nth(i).innerText()).toHaveText(/Source: \S{3}/)
      await expect(margin.locator('[data-working-value]')).not.toBeEmpty()
    }
  }
})

test('Monte Carlo draws in the background, shows its histogram beside first order, and exports the same draws', async ({
  page,
}) => {
  await open(page, CALM)
  const section = page.getByRole('region', { name: 'Monte Carlo' })
  await section.getByRole('button', { name: /^Draw 20/ }).click()
  await expect(section.locator('[data-monte-carlo] rect')).toHaveCount(40)
  await expect(section.getByText(/20.000 draws agree with first order/)).toBeVisible()
  // Stopped half-way, it can be drawn again: the worker is held up so that there is a half-way.
  await page.route(/monteCarlo.*\.js/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500))
    await route.continue()
  })
  await section.getByRole('button', { name: /^Draw 20/ }).click()
  await section.getByRole('button', { name: 'Stop' }).click()
  await expect(section.getByRole('button', { name: /^Draw 20/ })).toBeEnabled()
  const low = await section.locator('[data-monte-carlo] p span.figures').first().innerText()
  const exported = (await (
    await page.request.get((await section.getByRole('link', { name: 'As JSON' }).getAttribute('href'))!)
  ).json()) as { distribution: { quantiles: number[] } }
  expect(Number(low)).toBeCloseTo(exported.distribution.quantiles[0]!, 2)
  expect(
    (await page.request.get('/api/runs/01950000-0000-7000-8000-000000000111/monte-carlo?draws=many')).status(),
  ).toBe(400)
})

test('the trace is fitted, its boil read by the plateau, both litres stand side by side, and a slip is named', async ({
  page,
}) => {
  await open(page, CALM)
  await expect(page.getByText(/Heating model fitted: heat flow/)).toBeVisible()
  await chooseWord(page, 'A reading that was not taken down', 'Water left')
  await page.getByRole('dialog').getByLabel('Water left').fill('455 g')
  await page.getByRole('dialog').getByLabel('Reason').fill('weighed after')
  await page.getByRole('button', { name: 'Keep both, use this' }).click()
  await expect(page.locator('[data-other-litre]')).toContainText('per litre left')
  await chooseWord(page, 'Per litre', 'left')
  await expect(page.locator('[data-other-litre]')).toContainText('per litre put in')
  await expect(page).toHaveURL(/litre=remaining/)

  await open(page, '/runs/01960000-0000-7000-8000-000000000002')
  await expect(page.locator('[data-slip]')).toHaveText(/The scale reads to 1 g only|typed as/)
  await page.getByRole('link', { name: 'how the numbers are made' }).first().click()
  await expect(page.getByRole('heading', { name: 'How the numbers are made' })).toBeVisible()
  await expect(page.locator('math').first()).toBeVisible()
  await expect(page.getByText('nearly as good as the others')).toBeVisible()
})

test('a reading is corrected: both stay, the figure follows, a contradiction and a stale page are refused', async ({
  page,
  browser,
  baseURL,
}) => {
  await open(page, NO_WIND)
  const stale = await (await browser.newContext({ baseURL })).newPage()
  await open(stale, NO_WIND)

  await page.getByRole('button', { name: 'Add wind', exact: true }).click()
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

  await stale
    .getByRole('button', { name: 'Correct Boil' })
    .or(stale.getByRole('button', { name: 'Correct Rolling boil' }))
    .click()
  await stale.getByRole('dialog').getByLabel('Boil').fill('4:12')
  await stale.getByRole('dialog').getByLabel('Reason').fill('late')
  await stale.getByRole('button', { name: 'Keep both, use this' }).click()
  await expect(stale.getByText(/was changed since you opened it \(revision 3, you saw 1\)/)).toBeVisible()
  await stale.context().close()
})

test('a run says what it cost; where no price is known it leads to the fuel', async ({ page }) => {
  await open(page, CALM)
  const figures = page.locator('#figures')
  await expect(figures).toContainText(/Cost: 0\.\d{3} ± 0\.0\d\d EUR a boil, 0\.\d{3} EUR\/L \(.* EUR for \d+\sg since/)
  const unpriced = (await (await page.request.get('/api/runs?words=Kerosene')).json()) as { lines: { id: string }[] }
  await open(page, `/runs/${unpriced.lines[0]!.id}`)
  await expect(figures).toContainText('Cost: no price is known of Kerosene')
  await figures.getByRole('link', { name: 'Add the price' }).click()
  await expect(page.getByRole('heading', { name: 'Price' })).toBeVisible()
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
  await chooseWord(page, 'The boil', 'first steady bubbles')
  await expect(page).toHaveURL(/boil=firstBubbles/)
  const bubbles = await reduced(page)
  expect(bubbles.timeToBoilS!).toBeLessThan(rolling.timeToBoilS!)
  await expect(page.locator('[data-figure=gPerL]')).toHaveText(formatWithU(bubbles.gPerL!, 2 * bubbles.gPerLU!))
  await open(page, '/runs/01960000-0000-7000-8000-000000000001')
  await expect(page.locator('[data-figure=time]')).toHaveText('6:34')
  await chooseWord(page, 'The clock starts at', 'lighting')
  await expect(page.locator('[data-figure=time]')).toHaveText('7:22')
})
