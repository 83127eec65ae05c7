/** Runs held against each other, as a tester logs and picks them. */
import { spawnSync } from 'node:child_process'
import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import Papa from 'papaparse'
import type { CompareAnswer } from '../../core/formats/comparison'
import type { TwoAnswer } from '../../shared/comparison'
import { choose, chooseWord, expect, open, test } from './page'
import { barriers, brightest } from './sight'
import { openEmpty } from './typing'

test('three runs and three on a scale of whole grams are told to show nothing', async ({ page }) => {
  const ids: string[] = []
  for (const [setup, after] of [
    ['Ignimbrite, plain pot', '200 g'],
    ['Fumarole with narrow pot', '199 g'],
  ] as const)
    for (let i = 0; i < 3; i++) {
      await openEmpty(page)
      const type = (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text)
      await type('Altitude', '210 m')
      await type('Air', '18 °C')
      await type('Wind', 'calm')
      await choose(page.getByLabel('Who', { exact: true }), 'Odra Vell')
      await choose(page.getByLabel('Set-up', { exact: true }), setup)
      await type('Water', '500 g')
      await type('Start temperature', '15 °C')
      await choose(page.getByLabel('Fuel', { exact: true }), 'Isobutane')
      await type('Fuel before', '210 g')
      await type('Fuel after', after)
      await type('Scale reads to', '1 g')
      await type('Boil', '4:30')
      await page.getByRole('button', { name: 'Save and see the figure' }).click()
      await expect(page.locator('[data-figure=normalisedGPerL]')).toBeVisible()
      ids.push(page.url().split('/').at(-1)!)
    }
  await page.goto(`/runs/compare?runs=${ids.join(',')}`)
  const compared = page.getByRole('region', { name: 'Set-ups' })
  await expect(compared.getByRole('row')).toHaveCount(3)
  await expect(compared).toContainText(
    /No difference shown: [\d.]+ % less to [\d.]+ % more fits\. To see 5 %: \d+ runs each/,
  )
  await expect(compared).not.toContainText(/used \S+ % (more|less) fuel/)
  // What else changed between the two is said before.
  await expect(page.getByRole('region', { name: 'Like with like' })).toContainText(/differ in burner/)
  await expect(page.getByText('Left out')).toHaveCount(0)
})

test('from what the runs can answer to a difference, its runs counted out and in, and on to a ranking', async ({
  page,
  faults,
}) => {
  await page.goto('/compare')
  const shown = page.getByRole('region', { name: 'Shown' })
  await expect(shown.locator('[data-question=part]').first()).toBeVisible()
  const fins = shown.getByRole('listitem').filter({ hasText: 'Does Spatter 1000 F save fuel on Solfatara?' })
  await expect(fins).toContainText(/2[5-9] % less; \d\d to \d\d % fits/)
  const difference = fins.getByRole('img')
  await expect(difference).toHaveAccessibleName(/% less/)
  await fins.getByRole('link').click()
  const answer = page.locator('[data-answer]')
  await expect(answer).toHaveText(/^\d\d % less; \d\d to \d\d % fits\.$/)
  const whole = await answer.innerText()
  await expect(page.getByRole('complementary', { name: 'What it rests on' })).toContainText(
    /Without any one run: \d\d to \d\d % less\.\s+Welch’s test on logarithms/,
  )
  const leftOut = page.locator('[data-left-out]')
  // By the keyboard: the first run's tick is taken off and put back; the address holds it.
  const tick = page.getByRole('region', { name: 'Runs' }).getByRole('checkbox').first()
  await tick.focus()
  await page.keyboard.press('Space')
  await expect(page).toHaveURL(/out=/)
  await expect(leftOut).toContainText(/1 left out by hand; with it \d\d to \d\d % less\./)
  await page.reload()
  await expect(leftOut).toContainText(/1 left out by hand; with it \d\d to \d\d % less\./)
  await page.getByRole('button', { name: 'Count all again' }).press('Enter')
  await expect(page).not.toHaveURL(/out=/)
  await expect(answer).toHaveText(whole)
  // With no network the answer stands, and so do the ticks.
  await page.context().setOffline(true)
  await tick.press('Space')
  await expect(page.getByRole('alert')).toContainText('Vulcanum does not answer. What stands here is from before')
  await expect(answer).toHaveText(whole)
  await page.context().setOffline(false)
  await tick.press('Space')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(answer).toHaveText(whole)
  // The browser says so too.
  expect(faults.splice(0).every((one) => one.includes('ERR_INTERNET_DISCONNECTED'))).toBe(true)
  expect(await barriers(page, 'day')).toEqual([])

  await page.getByRole('link', { name: 'Compare', exact: true }).last().click()
  await page
    .getByRole('link', { name: /^Which set-up boils/ })
    .first()
    .click()
  const ranking = page.getByRole('region', { name: 'Ranking' })
  await expect(ranking.locator('[data-place]').first()).toHaveAttribute('data-place', /^1/)
  await expect(ranking.getByRole('img').first()).toHaveAccessibleName(/g a boil$/)
  expect(await barriers(page, 'day')).toEqual([])
})

/** The question of the list that begins so, as its page. */
async function questionNamed(page: Page, group: string, begins: string) {
  await open(page, '/compare')
  const listed = page.getByRole('region', { name: group }).getByRole('link', { name: begins })
  await listed.first().click()
}

test('screen, API, command line and CSV say the same of the same runs', async ({ page }) => {
  await questionNamed(page, 'Shown', 'Does Spatter 1000 F save fuel on Solfatara?')
  await expect(page.locator('[data-answer]')).toBeVisible()
  const query = new URL(page.url()).search
  const api = (await (await page.request.get(`/api/compare/two${query}`)).json()) as TwoAnswer
  await expect(page.locator('[data-answer]')).toHaveText(api.line)
  const asked = await (await page.request.get(`/api/compare/document${query}`)).text()
  const command = spawnSync(process.execPath, ['scripts/compare.mjs', '-'], { input: asked, encoding: 'utf8' })
  const { verdict, arms } = JSON.parse(command.stdout) as CompareAnswer
  expect(verdict.ratio).toBeCloseTo(api.effect!.ratio, 9)
  expect(verdict.ci95![0]).toBeCloseTo(api.effect!.low, 9)
  expect(verdict.ci95![1]).toBeCloseTo(api.effect!.high, 9)
  expect(arms.map(({ name, n }) => [name, n])).toEqual(api.arms.map(({ name, n }) => [name, n]))
  const drawing = page.getByRole('region', { name: 'Drawing' })
  await drawing.getByRole('button', { name: 'Take it along' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /CSV/ }).click(),
  ])
  const csv = await readFile(await download.path(), 'utf8')
  const rows = Papa.parse<string[]>(csv.trim()).data.slice(1)
  expect(Number(rows[0]![1])).toBeCloseTo(api.arms[0].boilG, 9)
  expect(Number(rows[1]![1])).toBeCloseTo(api.arms[1].boilG, 9)
  expect(Number(rows[2]![2])).toBeCloseTo(100 * (api.effect!.low - 1), 9)
  // The drawing of the same rows, as lines.
  await drawing.getByRole('button', { name: 'Take it along' }).click()
  const [drawn] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /SVG/ }).click(),
  ])
  expect(await readFile(await drawn.path(), 'utf8')).toMatch(/^<svg .*difference.*Not a field promise\./s)
})

test('what it is corrected to, read by and measured in stand in the address, and go back', async ({ page }) => {
  await questionNamed(page, 'Shown', 'Does Spatter 1000 F save fuel on Solfatara?')
  const figures = page.getByRole('region', { name: 'Drawing' }).locator('.two-rows .figures').first()
  await expect(figures).toHaveText(/^9\.\d \(/)
  await chooseWord(page, 'Corrected to', 'Sixty Fahrenheit')
  await expect(page).toHaveURL(/reference=sixtyFahrenheit/)
  await expect(figures).toHaveText(/^10\.\d \(/)
  await chooseWord(page, 'Unit', 'money')
  await expect(page).toHaveURL(/unit=money/)
  await expect(page.getByRole('region', { name: 'Drawing' })).toContainText('EUR a boil')
  // What was paid for which pack, and since when, stands with it.
  await expect(page.locator('[data-prices]')).toContainText(/: 7\.50 EUR for 230\sg since 1 Feb 2026\./)
  await page.reload()
  await expect(page.getByRole('region', { name: 'Drawing' })).toContainText('EUR a boil')
  await page.getByRole('button', { name: 'As it is listed' }).click()
  await expect(page).not.toHaveURL(/reference=/)
  await chooseWord(page, 'Unit', 'grams')
  await chooseWord(page, 'With how much water', '1000')
  await expect(page).toHaveURL(/with=1000/)
  await expect(figures).toHaveText(/^1[89]\.\d|^2\d\.\d/)
  await chooseWord(page, 'Unit', 'time')
  // These were burned by a method whose clock starts at lighting.
  await chooseWord(page, 'The clock starts at', 'pot-on')
  await expect(page).toHaveURL(/clock=potOn/)
  await page.getByRole('button', { name: 'As it is listed' }).click()
  await expect(page).not.toHaveURL(/with=|clock=/)
  // Another set-up in the place of one.
  await chooseWord(page, 'Asked of', 'Maar as issued')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('as used: which takes less fuel?')
})

test('two parts that changed together name no winner; a fuel without a price is asked for in place', async ({
  page,
}) => {
  await questionNamed(page, 'Changed together', 'Do Ash mug 600 and Close cone save fuel on Lahar?')
  await expect(page.locator('[data-answer]')).toHaveText('Cannot say: the pot and screen changed together.')
  await expect(page.getByRole('region', { name: 'Drawing' }).getByText('difference')).toHaveCount(0)
  await questionNamed(page, 'Changed together', 'White gas or Kerosene')
  await chooseWord(page, 'Unit', 'money')
  const missing = page.locator('[data-unpriced]')
  await expect(missing).toContainText('No price is known of Kerosene, generator shed: add it there')
  await missing.getByRole('link').click()
  await expect(page.getByRole('heading', { name: 'Price' })).toBeVisible()
})

test('a ranking has a newcomer and a tie; kept, it can be read again as it was', async ({ page }) => {
  await questionNamed(page, 'Rankings and volumes', 'Which set-up boils')
  const rows = page.getByRole('region', { name: 'Ranking' }).locator('[data-place]')
  await expect(rows.filter({ hasText: 'too close to call with' }).first()).toBeVisible()
  await page.getByLabel('What moved since').fill('1 Aug 2026')
  await page.getByLabel('What moved since').press('Tab')
  await page.getByRole('button', { name: 'Show it in the rows' }).click()
  const newcomer = page.getByRole('link', { name: 'Fumarole with finned pot', exact: true })
  await expect(rows.filter({ has: newcomer })).toContainText('new since then')
  await expect(rows.filter({ hasText: 'was ' }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Keep this question' }).click()
  await page.getByLabel('Name').fill('The store’s ranking')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('Kept. The list says when its answer changes')).toBeVisible()
  await open(page, '/compare')
  const kept = page.locator('[data-kept]').filter({ hasText: 'The store’s ranking' })
  await kept.getByRole('link', { name: 'as it was then' }).click()
  await expect(page.locator('[data-frozen]')).toContainText('frozen')
  await open(page, '/compare')
  await kept.getByRole('button', { name: 'Do not keep The store’s ranking' }).click()
  await expect(kept).toHaveCount(0)
})

test('flame lines cross; wind has a stall’s lower bound; a chart is read by the arrow keys', async ({ page }) => {
  await questionNamed(page, 'Shown', 'Which flame is thriftiest on Fumarole with wide pot?')
  await choose(page.getByLabel('Beside it'), 'Fumarole with narrow pot')
  await expect(page.locator('[data-crossing]')).toHaveText(
    /^Crossing A at 1\.\d g\/min \(\d\.\d to \d\.\d\): below it Fumarole with narrow pot takes less\.$/,
  )
  const chart = page.getByRole('group', { name: 'Fuel against the flame: arrow keys read it' })
  await chart.focus()
  await chart.press('ArrowRight')
  await expect(page.locator('[data-chart-read]').first()).toHaveText(
    /^Fumarole with wide pot: 1\.\d g\/min, \d\.\d g a boil$/,
  )
  expect(await barriers(page, 'day')).toEqual([])
  await questionNamed(page, 'Wind', 'How does Fumarole with narrow pot stand wind?')
  await expect(page.locator('[data-answer]')).toHaveText(
    /^May fail to boil from \d\.\d\sm\/s on\. Twice the fuel at \d\.\d\sm\/s \(\d\.\d to \d\.\d\)\.$/,
  )
  await chooseWord(page, 'Against', 'cold')
  await expect(page.locator('[data-answer]')).toContainText(/more fuel at −\d+\s°C than at 20\s°C\. Tested/)
})

test('a claim that no number of runs settles; one that is added on its set-up is judged, and taken back', async ({
  page,
}) => {
  await open(page, '/compare/claims')
  const open230 = page.locator('[data-says=cannotSay]').filter({ hasText: '500 mL in 2:35' })
  await expect(open230).toContainText('Cannot say, and no number of runs will')
  await expect(open230).toContainText(/By these runs it fits from about \d\d\s°C on\./)
  await open230.getByRole('link').click()
  const claims = page.getByRole('region', { name: 'Claims' })
  await claims.getByRole('button', { name: 'Add what they say' }).click()
  await chooseWord(page, 'What they say', 'fuel for a boil')
  await claims.getByRole('button', { name: 'Save' }).click()
  await expect(claims.getByRole('alert').first()).toContainText('Fuel for a boil: read nothing')
  await claims.getByLabel('Fuel for a boil', { exact: true }).fill('9 g')
  await claims.getByLabel('Of water').fill('500 mL')
  await claims.getByLabel('From').fill('20 °C')
  await claims.getByRole('button', { name: 'Save' }).click()
  const added = claims.locator('[data-claim]').filter({ hasText: '“9.0 g for 500 mL”' })
  await expect(added).toContainText(/^.*Met: claimed 9\.0 g, measured 6\.\d/)
  await added.getByRole('button', { name: /^Take back/ }).click()
  await expect(added).toHaveCount(0)
})

test('asked by hand, weighed by boils, seen, and on a phone', async ({ page }) => {
  await open(page, '/compare/ask')
  await page.getByRole('button', { name: 'Ask', exact: true }).first().click()
  await expect(page.getByText('Choose both set-ups.')).toBeVisible()
  await choose(page.getByLabel('Does', { exact: true }), 'Maar as issued')
  await choose(page.getByLabel('take less than'), 'Ignimbrite, plain pot')
  await page.getByRole('button', { name: 'Ask', exact: true }).first().click()
  await expect(page.locator('[data-answer]')).toContainText(/% less/)
  await expect(page.locator('[data-time]')).toHaveText(/^\d:\d\d sooner; /)
  await chooseWord(page, 'As what', 'the burner alone')
  await expect(page.locator('[data-answer]')).toHaveText('Cannot say: the burner and pot changed together.')
  await page.setViewportSize({ width: 390, height: 844 })
  for (const path of ['/compare', page.url(), '/compare/claims', '/compare/seen']) {
    await open(page, path)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  }
  await open(page, '/compare/ask')
  await page.getByRole('link', { name: 'What weighs least for so many boils?' }).click()
  await expect(page.locator('[data-crossing]').first()).toHaveText(/From \d+ boils on .* lighter than .*\./)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await barriers(page, 'day')).toEqual([])
})

test('nothing of a chart is too bright in Dark bench', async ({ page }) => {
  await questionNamed(page, 'Wind', 'How does Fumarole with narrow pot stand wind?')
  await page.keyboard.press('Shift+L')
  await page.keyboard.press('Shift+L')
  await expect(page.locator('html')).toHaveAttribute('data-light', 'dark')
  const chart = page.getByRole('group', { name: 'Fuel against wind: arrow keys read it' })
  await chart.hover()
  await expect(chart.locator('canvas')).toBeVisible()
  const { luminance, blue } = await brightest(await page.context().newPage(), await page.screenshot())
  expect(luminance).toBeLessThanOrEqual(0.3)
  expect(blue).toBeLessThanOrEqual(0x40)
})
