import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import type { RunAnswer } from '../../core/formats/answer'
import { formatWithU } from '../../core/quantity/format'
import { expect, open, test } from './page'
import { openEmpty, typeTheRun } from './typing'

test('a run typed in trail units gives a figure with its rungs, is found again, and its JSON says the same', async ({
  page,
}) => {
  await openEmpty(page)
  await typeTheRun(page)
  await expect(page.getByText('= 473.2 mL').or(page.getByText('= 473.2\u202fmL'))).toBeVisible()
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.getByRole('heading', { name: 'Lahar in the cone' })).toBeVisible()
  const shown = async () => ({
    measured: await page.locator('[data-figure=gPerL]').innerText(),
    normalised: await page.locator('[data-figure=normalisedGPerL]').innerText(),
    rungs: await page
      .locator('[data-rung]')
      .evaluateAll((rows) =>
        rows.map((row) => [row.getAttribute('data-rung'), row.querySelector('[data-factor]')?.textContent?.trim()]),
      ),
  })
  const figures = await shown()
  await page.reload()
  expect(await shown()).toEqual(figures)

  const id = page.url().split('/').at(-1)!
  await page.getByRole('navigation', { name: 'Work' }).getByRole('link', { name: 'Runs' }).click()
  await page.locator(`a[href="/runs/${id}"]`).click()
  const downloading = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Run as JSON' }).click()
  const file = await (await downloading).path()
  const reduced = spawnSync(process.execPath, ['scripts/reduce.mjs', file], { encoding: 'utf8' })
  const answer = (JSON.parse(reduced.stdout) as { runs: [RunAnswer] }).runs[0]
  expect(figures.measured).toBe(formatWithU(answer.gPerL!, 2 * answer.gPerLU!))
  expect(figures.normalised).toBe(formatWithU(answer.normalisedGPerL!, 2 * answer.normalisedU!))
  expect(figures.rungs.map(([rung]) => rung)).toEqual(answer.ladder.map((rung) => rung.rung))
  expect(figures.rungs[0]![1]).toContain(answer.ladder[0]!.factor!.toFixed(3))
  // Behind the run stand the others of its set-up: they are its series.
  const document = JSON.parse(readFileSync(file, 'utf8')) as { format: string; runs: { id: string; setup: string }[] }
  expect(document.format).toBe('vulcanum-reduce')
  expect(document.runs[0]).toMatchObject({ id, place: { windMS: 0 }, water: { startC: 13.3333333333 } })
  expect(new Set(document.runs.map((run) => run.setup)).size).toBe(1)
  expect(document.runs.length).toBeGreaterThan(5)

  const csv = await (await page.request.get(`/api/runs/${id}/results`)).text()
  const [header, row] = csv.split('\n').map((line) => line.split(','))
  expect(Number(row![header!.indexOf('normalisedGPerL')])).toBe(answer.normalisedGPerL)
})

test('a number answers "says who?" down to its readings; a working is pinned and copied', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await open(page, '/runs/01950000-0000-7000-8000-000000000101')
  await page.locator('[data-figure=normalisedGPerL]').click()
  const margin = page.getByRole('complementary', { name: 'Margin' })
  await expect(margin.getByRole('heading', { name: 'Fuel per litre, normalised' })).toBeVisible()
  await margin.getByRole('button', { name: 'As measured, or predicted' }).click()
  await margin.getByRole('button', { name: 'Pin' }).click()
  await margin.getByRole('button', { name: 'Copy' }).click()
  expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(
    /^Fuel per litre, as measured: [\d.]+ g\/L\n= m \/ V\n= [\d.]+ \/ 0\.\d+\n {2}Fuel to the boil: /,
  )
  await margin.getByRole('button', { name: 'Fuel to the boil' }).click()
  await expect(margin.getByRole('heading', { name: 'Fuel per litre, as measured' })).toBeVisible()
  await margin.getByRole('button', { name: 'Fuel used' }).click()
  await expect(margin.getByText('Weighed before')).toBeVisible()
  await expect(margin.getByText('Source:')).toHaveCount(2)
})

test('slips are named at their box, nothing typed is lost by a reload, and saving waits for them', async ({ page }) => {
  await openEmpty(page)
  await typeTheRun(page)
  await page.getByLabel('Water', { exact: true }).fill('12 oz')
  await page.getByLabel('Fuel used', { exact: true }).fill('')
  await page.getByLabel('Fuel before', { exact: true }).fill('198 g')
  await page.getByLabel('Fuel after', { exact: true }).fill('212 g')
  await page.getByLabel('Notes').fill('typed before the reload')
  await page.reload()
  await expect(page.getByLabel('Notes')).toHaveValue('typed before the reload')
  await expect(page.getByLabel('Start temperature')).toHaveValue('56 F')
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.getByText('Water: Ounces of weight, or fluid?: read "12 oz".')).toBeVisible()
  await expect(page.getByLabel('Water', { exact: true })).toBeFocused()
  await page.getByLabel('Water', { exact: true }).fill('12 fl oz')
  await expect(page.getByText('Fuel after (212 g) is more than fuel before (198 g). Swapped?')).toBeVisible()
  await page.getByLabel('Fuel after', { exact: true }).fill('177 g')
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.locator('[data-figure=gPerL]')).toBeVisible()
})

test('bodies that are no runs are refused with words and a status in the 400s', async ({ request }) => {
  const cases: [unknown, number, RegExp][] = [
    ['x'.repeat(10_000_000), 413, /read 10\.0 MB, expected at most 2 MB/],
    ['{"half":', 400, /not JSON/],
    [{ id: 'x' }, 422, /expected an id|Choose/],
  ]
  for (const [data, status, words] of cases) {
    const response = await request.post('/api/runs', {
      data: typeof data === 'string' ? Buffer.from(data) : data,
      headers: { 'content-type': 'application/json' },
    })
    expect(response.status()).toBe(status)
    expect(JSON.stringify(await response.json())).toMatch(words)
  }
  expect((await request.get('/api/runs/not-an-id')).status()).toBe(400)
  expect((await request.get('/api/runs/01960000-0000-7000-8000-0000000000ff')).status()).toBe(404)
  expect((await request.get('/api/runs', { headers: { host: 'elsewhere.example' } })).status()).toBe(403)
  // Another site's page in the same browser, plain, sandboxed or garbled, neither reads nor writes.
  for (const origin of ['http://elsewhere.example', 'null', 'no origin']) {
    expect((await request.post('/api/runs', { data: {}, headers: { origin } })).status(), origin).toBe(403)
  }
})

test('an impossible figure stands on black iron, with its reason', async ({ page }) => {
  await open(page, '/runs')
  await page.locator('td[data-column=remarks]').getByText('impossible', { exact: true }).first().waitFor()
  await page.getByRole('row').filter({ hasText: 'impossible' }).first().getByRole('link').click()
  await expect(page.getByText(/^Impossible: /)).toBeVisible()
})
