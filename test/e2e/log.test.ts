/** Logging by keyboard, by stop-watch, by a logger's file; and drafts that nothing loses. */
import type { RunChoices } from '../../shared/runList'
import { choose, expect, open, tabTo, test } from './page'
import { afterAPress, openEmpty, typeTheRun } from './typing'

test('a run is logged by keyboard alone', async ({ page }) => {
  await open(page, '/runs')
  await page.keyboard.press('Control+K')
  await page.keyboard.type('log a run')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Begin empty' }).focus()
  await page.keyboard.press('Enter')
  /** What is offered from earlier runs may stand between. */
  const toBox = (label: string) => tabTo(page, page.getByLabel(label, { exact: true }), 6)
  await page.getByLabel('Altitude').focus()
  await page.keyboard.type('700 ft')
  await toBox('Air')
  await page.keyboard.type('16 °C')
  await toBox('Wind')
  await page.keyboard.type('calm')
  await page.getByLabel('Who').focus()
  for (const [typed, then] of [
    ['Odra', 'Set-up'],
    ['Ignimbrite, plain', 'Water'],
    ['473 g', 'Start temperature'],
    ['14 °C', 'Fuel'],
    ['Isobutane', 'Fuel before'],
    ['240.2 g', 'Fuel after'],
    ['229.1 g', 'Scale reads to'],
  ] as const) {
    await page.keyboard.type(typed)
    await toBox(then)
  }
  await page.keyboard.type('0.1 g')
  await page.getByLabel('Boil', { exact: true }).focus()
  await page.keyboard.type('4:02')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-figure=normalisedGPerL]')).toBeVisible()
  await expect(page.locator('[data-reading=fuelAfter]')).toHaveText('229.1 g')
})

test('a messy logger’s file is mapped, previewed and drawn; a broken one is named by row and column and loses nothing', async ({
  page,
}) => {
  await openEmpty(page)
  await typeTheRun(page)
  const file = (name: string, text: string) =>
    page.getByLabel('A logger’s file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await file('broken.csv', 'Zeit;Wasser °C\n0:00;13,3\n0:30;offen\n1:00;20,1\n1:30;24,2')
  await expect(page.getByText('Row 3, column 2: read "offen", expected a temperature.')).toBeVisible()
  await expect(page.getByLabel('Water', { exact: true })).toHaveValue('2 cups')
  const rows = Array.from(
    { length: 19 },
    (_, i) => `${Math.floor(i / 2)}:${i % 2 ? '30' : '00'};${(13.3 + i * 4.8).toFixed(1).replace('.', ',')};ok`,
  )
  await file('probe.csv', `\uFEFFLogger 4\nZeit;Wasser °C;Zustand\n${rows.join('\n')}`)
  await expect(page.getByText('As it would be kept: 0:00 13.3 °C · 0:30 18.1 °C')).toBeVisible()
  await page.getByRole('button', { name: 'Take this trace' }).click()
  await expect(page.getByText('A trace of 19 samples, to 9:00')).toBeVisible()
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.getByRole('img', { name: 'Water temperature over time, 19 samples' })).toBeVisible()
  const document = (await (await page.request.get(`/api/runs/${page.url().split('/').at(-1)}/document`)).json()) as {
    runs: [{ trace: unknown[] }]
  }
  expect(document.runs[0].trace).toHaveLength(19)
})

test('a run is stop-watched, with a reload in the middle', async ({ page }) => {
  await openEmpty(page)
  await typeTheRun(page)
  await page.getByLabel('Boil', { exact: true }).fill('')
  await page.getByText('Time it here, by a stop-watch').click()
  const next = page.locator('[data-next]')
  await expect(next).toHaveText('Light')
  await next.click()
  await expect(next).toHaveText('Full flame')
  await afterAPress(page)
  await page.getByRole('button', { name: 'Pot on' }).click()
  await page.reload()
  await expect(next).toHaveText('Boil')
  const running = await page.getByRole('timer').innerText()
  expect(running).toMatch(/^0:0\d/)
  await afterAPress(page)
  await next.click()
  await afterAPress(page)
  await next.click()
  await expect(next).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo shut off' }).click()
  await expect(page.getByLabel('Shut off')).toHaveValue('')
  const boil = await page.getByLabel('Boil', { exact: true }).inputValue()
  await page.getByRole('button', { name: 'Last mark a second later' }).click()
  const later = (text: string) => Number(text.split(':')[0]) * 60 + Number(text.split(':')[1])
  expect(later(await page.getByLabel('Boil', { exact: true }).inputValue()) - later(boil)).toBeCloseTo(1, 5)
  await expect(page.getByLabel('Lit', { exact: true })).toHaveValue('0:00.0')
})

test('the draft opens on another device; two pages that differ are asked which stays; without a server it says so and keeps', async ({
  page,
  browser,
  baseURL,
}) => {
  await openEmpty(page)
  await typeTheRun(page)
  await page.getByLabel('Notes').fill('from the laptop')
  const state = page.locator('[data-draft-state]')
  await expect(state).toHaveText('Kept here and on the server.')

  const other = await (await browser.newContext({ baseURL })).newPage()
  await open(other, '/runs/new')
  await other.getByRole('button', { name: 'Go on with it' }).first().click()
  await expect(other.getByLabel('Notes')).toHaveValue('from the laptop')
  await other.getByLabel('Notes').fill('from the phone')
  await expect(other.locator('[data-draft-state]')).toHaveText('Kept here and on the server.')

  await page.getByLabel('Notes').fill('from the laptop again')
  await expect(page.getByText('This draft was changed on another page. Which stays?')).toBeVisible()
  await page.getByRole('button', { name: 'The other’s' }).click()
  await expect(page.getByLabel('Notes')).toHaveValue('from the phone')
  await other.context().close()
})

test('with the server gone while typing nothing is lost, and it says so', async ({ page, faults }) => {
  await openEmpty(page)
  await page.route('**/api/drafts', (route) => route.abort())
  await page.getByLabel('Notes').fill('typed while it was away')
  await expect(page.getByText('The server does not answer. Kept in this browser')).toBeVisible()
  await page.unroute('**/api/drafts')
  await expect(page.getByText('Kept here and on the server.')).toBeVisible({ timeout: 10_000 })
  await page.reload()
  await expect(page.getByLabel('Notes')).toHaveValue('typed while it was away')
  // The browser itself reports the requests that were cut.
  faults.splice(0, faults.length, ...faults.filter((fault) => !fault.includes('net::ERR_FAILED')))
})

test('predicts the precision, and has the ice start', async ({ page }) => {
  await openEmpty(page)
  await choose(page.getByLabel('Set-up', { exact: true }), 'Fumarole')
  await page.getByLabel('Water', { exact: true }).fill('473 g')
  const predicted = page.locator('[data-predicted]')
  await expect(predicted).toContainText(/One boil: about ±.\d/)
  const coarse = await predicted.innerText()
  await page.getByLabel('Scale reads to').fill('0.1 g')
  await expect(predicted).not.toHaveText(coarse)
  await page.getByRole('button', { name: 'Ice start' }).click()
  await expect(page.getByLabel('Start temperature')).toHaveValue('0.5 °C')
  await expect(page.getByLabel('Notes')).toHaveValue(/Ice start: 0–1 °C, assumed/)
})

test('burn one now: a few blanks make the kit, and a lane of the bench is next', async ({ page }) => {
  await open(page, '/burn')
  await page.getByRole('button', { name: 'To the bench' }).click()
  await expect(page.getByText('Burner: read nothing, expected a name')).toBeVisible()
  for (const [label, text] of Object.entries({
    Who: 'Somebody new',
    Burner: 'A can with holes',
    Place: 'Back porch',
    Altitude: '340 m',
    Water: '400 mL',
    'Start temperature': '0.5 °C',
  }))
    await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByRole('button', { name: 'To the bench' }).click()
  const lane = page.getByRole('region', { name: 'Lane A' })
  await expect(lane).toContainText('A can with holes')
  const strip = page.getByLabel('Conditions', { exact: true })
  await expect(strip).toContainText('Now at Back porch')
  await expect(strip).toContainText('98.8')
  await lane.getByRole('button', { name: 'Skip' }).click()
  await expect(lane.locator('[data-next]')).toContainText('Light')
  await lane.locator('[data-next]').click()
  await lane.getByRole('button', { name: /Give up/ }).click()
  await page.getByLabel('Reason').fill('a gust')
  await page.getByRole('button', { name: 'Stopped from outside' }).click()
  await lane.getByRole('button', { name: 'Skip' }).click()
  await lane.locator('[data-next]').click()
  await expect(page.getByText('Stopped from outside (a gust). Not a failure to boil.')).toBeVisible()
  await expect(page.getByText('Back porch')).not.toHaveCount(0)
})

test('a lane at another place than the strip says: asked once, and the strip follows where told', async ({ page }) => {
  const choices = (await (await page.request.get('/api/runs/choices')).json()) as RunChoices
  const elsewhere = choices.place.find(({ name }) => name !== 'Harbour store' && name !== 'Crater rim camp')!
  await page.request.put('/api/now', { data: { units: 'metric', placeId: elsewhere.id, measured: {} } })
  await open(page, '/bench/prepare')
  const strip = page.getByLabel('Conditions', { exact: true })
  const place = page.getByLabel('Place', { exact: true })
  const asked = page.getByRole('group', { name: /^Now at/ })
  await choose(place, 'Harbour store')
  await page.getByRole('button', { name: 'Leave the strip' }).click()
  await expect(asked).toHaveCount(0)
  await expect(strip).not.toContainText('Now at Harbour store')
  await choose(place, 'Crater rim camp')
  await asked.getByRole('button', { name: 'Now at Crater rim camp' }).click()
  await expect(strip).toContainText('Now at Crater rim camp')
  await expect(asked).toHaveCount(0)
})
