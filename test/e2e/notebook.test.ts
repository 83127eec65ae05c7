/** Ten old runs from a notebook: typed by keyboard, kept while they are, stored together and undone together. */
import type { RunList } from '../../shared/runList'
import { choose, expect, hydrated, open, test } from './page'

const cell = (name: string, row: number) => `${name}, row ${row}`

test('ten old runs are typed by the keyboard, outlive a reload, come in together and go together', async ({ page }) => {
  await open(page, '/runs/notebook')
  const box = (label: string) => page.getByLabel(label, { exact: true })
  // What the last run had stands there: another test's, perhaps, with a fuel that is not its burner's.
  for (const [label, name] of [
    ['Set-up', 'Ignimbrite, plain pot'],
    ['Fuel', 'Isobutane'],
    ['Method', 'Boil'],
    ['Place', 'Harbour store, 12 m'],
    ['Who', 'Tamsin Quay'],
  ] as const)
    await choose(box(label), name)
  await box('Day').fill('14 March 2025')
  for (const [name, text] of [
    ['Air', '11'],
    ['Wind', 'calm'],
    ['Water', '500'],
    ['Scale reads to', '0.1'],
  ] as const)
    await box(`${name}, the same in all`).fill(text)
  const down = async (name: string, texts: string[]) => {
    await box(cell(name, 1)).focus()
    for (const text of texts) {
      await page.keyboard.type(text)
      await page.keyboard.press('Enter')
    }
  }
  const tens = Array.from({ length: 10 }, (_, i) => i)
  await down(
    'Fuel before',
    tens.map((i) => String(400 - 10 * i)),
  )
  await down(
    'Fuel after',
    tens.map((i) => String(389.6 - 10 * i)),
  )
  await down('Boil', ['4:12', ...tens.slice(1).map(() => '"')])
  await down('Start temperature', ['cold', ...tens.slice(1).map((i) => String(10 + i))])
  await page.reload()
  await hydrated(page)
  await expect(box(cell('Boil', 10))).toHaveValue('4:12')
  await page.getByRole('button', { name: 'Store 10 runs' }).press('Enter')
  await expect(box(cell('Start temperature', 1))).toBeFocused()
  await expect(page.getByRole('alert').filter({ hasText: 'read "cold"' })).toBeVisible()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('52F')
  await page.keyboard.press('ArrowDown')
  await page.getByRole('button', { name: 'Take row 10 out' }).click()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await page.getByRole('button', { name: 'Store 10 runs' }).press('Enter')
  await expect(page.getByRole('region', { name: 'Stored' })).toContainText('10 runs stored')
  const shown = await page.getByRole('link', { name: 'Show them in the logbook' }).getAttribute('href')
  const query = new URL(shown!, 'http://localhost').search
  const stored = async () => ((await (await page.request.get(`/api/runs${query}`)).json()) as RunList).lines
  const runs = await stored()
  expect(runs).toHaveLength(10)
  expect(runs.every((run) => run.timeToBoilS === 252 && Math.abs(run.gPerL! - 20.8) < 0.1)).toBe(true)
  await page.getByRole('button', { name: 'Undo all of it' }).click()
  await page.getByLabel('Why').fill('typed to see how it goes')
  await choose(page.getByLabel('Who', { exact: true }), 'Tamsin Quay')
  await page.getByRole('button', { name: 'Undo 10 runs' }).click()
  await expect(page.getByRole('region', { name: 'Stored' })).toContainText('were undone')
  await open(page, '/runs/notebook')
  await expect(box(cell('Boil', 1))).toHaveValue('')
})
