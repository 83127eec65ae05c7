/**
 * The logbook as a person has it: found, filtered, grouped, its columns chosen, views kept, many runs picked and dealt
 * with; Today answered in place.
 */
import { readFileSync } from 'node:fs'
import type { APIRequestContext } from '@playwright/test'
import Papa from 'papaparse'
import type { KitChoices } from '../../shared/kitChoices'
import type { RunList } from '../../shared/runList'
import { choose, expect, open, test, runsOf } from './page'

/** Runs that other tests burned on the bench in seconds: each would want to be settled first. */
async function voidBurnedToday(request: APIRequestContext): Promise<void> {
  const day = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10)
  const { lines } = (await (await request.get(`/api/runs?remark=impossible&from=${day}`)).json()) as RunList
  if (lines.length === 0) return
  const { people } = (await (await request.get('/api/kit')).json()) as KitChoices
  const done = await request.post('/api/runs/many', {
    data: {
      id: crypto.randomUUID(),
      what: 'void',
      runIds: lines.map((line) => line.id),
      personId: people[0]!.id,
      reason: 'burned by another test',
      tag: '',
    },
  })
  expect(done.status()).toBe(200)
}

test('by keyboard alone: found by words, filtered, grouped, picked, tagged, and the tag filters', async ({ page }) => {
  await open(page, '/runs')
  const filters = page.getByRole('form', { name: 'Which runs' })
  const find = async () => {
    await page.getByRole('button', { name: 'Find in these' }).focus()
    await page.keyboard.press('Enter')
  }
  await find()
  await expect(filters.getByRole('searchbox', { name: 'Words' })).toBeFocused()
  await page.keyboard.type('cone')
  await expect(page).toHaveURL(/words=cone/)
  await expect(page.locator('[data-count]')).not.toHaveText(/^1\d\d runs/)
  const count = Number((await page.locator('[data-count]').innerText()).split(' ')[0])
  expect(count).toBeGreaterThan(3)
  await expect(page.locator('tbody tr[data-id]')).toHaveCount(count)
  await filters.getByRole('combobox', { name: 'Group by' }).focus()
  await page.keyboard.type('place')
  await expect(page).toHaveURL(/group=place/)
  await expect(page.locator('tbody tr[data-group]').first()).toContainText(/· \d+ runs?, normalised/)
  const heads = await page.locator('tbody tr[data-group] th').allInnerTexts()
  expect(heads).toEqual([...heads].sort((a, b) => a.localeCompare(b)))
  expect(heads.reduce((sum, words) => sum + Number(/· (\d+) run/.exec(words)![1]), 0)).toBe(count)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'Find in these' })).toBeFocused()
  for (const key of ['j', 'x', 'j', 'x']) await page.keyboard.press(key)
  const picked = page.getByRole('region', { name: 'Picked runs' })
  await expect(picked.getByText('2 picked')).toBeVisible()
  await picked.getByRole('button', { name: 'Tag', exact: true }).focus()
  await page.keyboard.press('Enter')
  await picked.getByRole('textbox', { name: 'Tag' }).focus()
  await page.keyboard.type('Spring')
  await picked.getByLabel('Who').focus()
  await page.keyboard.type('Odra')
  await picked.getByRole('button', { name: 'Tag: 2 runs' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('2 runs changed.')).toBeVisible()
  await find()
  await filters.getByRole('combobox', { name: 'Tag', exact: true }).focus()
  await page.keyboard.type('spring')
  await expect(page).toHaveURL(/tag=spring/)
  await expect(page.locator('tbody tr[data-id]')).toHaveCount(2)
})

test('columns are chosen and remembered, a view is kept and comes back, that nothing matches is said', async ({
  page,
}) => {
  await open(page, '/runs')
  await page.getByRole('button', { name: 'Columns' }).click()
  await page.getByRole('checkbox', { name: 'Efficiency' }).check()
  await page.getByRole('checkbox', { name: 'Fuel' }).uncheck()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('columnheader', { name: /^Efficiency/ })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('columnheader', { name: /^Efficiency/ })).toBeVisible()
  await expect(page.getByRole('columnheader', { name: /^Fuel/ })).toHaveCount(0)
  await open(page, await runsOf(page, { place: 'Ice saddle' }, 'sort=normalisedGPerL.up'))
  const shown = async () =>
    page.locator('tbody tr[data-id]').evaluateAll((rows) => rows.map((row) => (row as HTMLElement).dataset.id))
  const before = await shown()
  await page.getByRole('button', { name: 'Columns' }).click()
  await page.getByLabel('This view, named').fill('Saddle, thrifty first')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'Show all, newest first' }).click()
  await expect(page).toHaveURL(/\/runs$/)
  await page.getByRole('button', { name: 'Columns' }).click()
  await page.getByRole('link', { name: 'Saddle, thrifty first' }).click()
  await expect.poll(shown).toEqual(before)
  await open(page, '/runs?place=Ice+saddle&sort=normalisedGPerL.up')
  await expect.poll(shown).toEqual(before)
  await expect(page).toHaveURL(/place=[0-9a-f-]{36}/)
  await open(page, '/runs?words=no+such+words+anywhere')
  await expect(page.getByText('No runs match.')).toBeVisible()
})

test('picked runs are exported, compared, voided with a reason and counted again', async ({ page }) => {
  await open(page, await runsOf(page, { setup: 'Fumarole with narrow pot', method: 'Boil' }))
  const picked = page.getByRole('region', { name: 'Picked runs' })
  const all = (await page.locator('[data-count]').innerText()).split(' ')[0]
  await page.getByRole('button', { name: 'Export' }).click()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /^CSV/ }).click(),
  ])
  const { data } = Papa.parse<string[]>(readFileSync(await file.path(), 'utf8').trim())
  expect([file.suggestedFilename(), data.length - 1]).toEqual(['vulcanum-runs.csv', Number(all)])
  await page.getByRole('checkbox', { name: /^Pick the \d+ shown/ }).check()
  await picked.getByRole('link', { name: 'Compare' }).click()
  await expect(page.getByText('All of one set-up: there is nothing to hold it against.')).toBeVisible()
  await page.goBack()
  await page.locator('tbody input[type=checkbox]').first().check()
  await picked.getByRole('button', { name: 'Make void' }).click()
  await choose(picked.getByLabel('Who'), 'Odra Vell')
  await picked.getByRole('button', { name: 'Make void: 1 run' }).click()
  await expect(picked.getByRole('alert')).toContainText('Reason: read nothing')
  await picked.getByLabel('Reason').fill('the scale stood in the wind')
  await picked.getByRole('button', { name: 'Make void: 1 run' }).click()
  await expect(page.locator('[data-count]')).toHaveText(`${Number(all) - 1} runs`)
  await page.getByRole('button', { name: 'Find in these' }).click()
  await page.getByRole('checkbox', { name: 'Void ones too' }).check()
  await page.keyboard.press('Escape')
  await page.locator('tbody tr', { hasText: 'void' }).getByRole('checkbox').check()
  await picked.getByRole('button', { name: 'Count after all' }).click()
  await picked.getByLabel('Reason').fill('it stood in the lee')
  await picked.getByRole('button', { name: 'Count after all: 1 run' }).click()
  await expect(page.locator('tbody').getByText('void', { exact: true })).toHaveCount(0)
})

test('today is answered in place: what is left with a reason does not ask again', async ({ page, request }) => {
  await voidBurnedToday(request)
  await open(page, '/')
  const settle = page.getByRole('region', { name: 'To settle' })
  const stopped = settle.locator('[data-settle=stopped]').first()
  await expect(stopped).toContainText('Not a failure to boil; burn it again?')
  const at = (await stopped.getByRole('link').first().getAttribute('href'))!
  await stopped.getByRole('button', { name: 'Leave it so' }).click()
  await stopped.getByLabel('Reason').fill('the rain says it all')
  await choose(stopped.getByLabel('Who'), 'Odra Vell')
  await stopped.getByRole('button', { name: 'Leave it so' }).last().click()
  await expect(settle.locator(`a[href="${at}"]`)).toHaveCount(0)
  const page_ = (await (await request.get(`/api${at}`)).json()) as { decisions: { question: string; reason: string }[] }
  expect(page_.decisions).toContainEqual(
    expect.objectContaining({ question: 'settle', reason: 'the rain says it all' }),
  )
})

test('a page of the list that is none, and an export of nothing, are refused in words', async ({ request }) => {
  expect((await request.get('/api/runs?after=nonsense')).status()).toBe(400)
  const nothing = await request.post('/api/runs/export', {
    data: { format: 'csv', filter: { words: 'no such words anywhere' } },
  })
  expect([nothing.status(), JSON.stringify(await nothing.json())]).toEqual([
    422,
    expect.stringContaining('none passes'),
  ])
  expect((await request.post('/api/runs/export', { data: { format: 'doc' } })).status()).toBe(422)
  expect(
    ((await (await request.get('/api/runs?sort=nonsense&from=2026-99-99&place=%27%3B--')).json()) as RunList).count,
  ).toBe(0)
})

test('a logbook of many is gone down to its last run, part after part, and up again', async ({ page }) => {
  const { lines } = (await (await page.request.get('/api/runs')).json()) as RunList
  const [all, part] = [450, 200]
  const run = (i: number) => ({ ...lines[i % lines.length]!, id: `run-${i}`, setup: `Pot ${i}.` })
  await open(page, '/')
  // More than the demonstration has: the same again under other names.
  await page.route(
    (url) => url.pathname === '/api/runs',
    (route) => {
      const from = Number(new URL(route.request().url()).searchParams.get('after') ?? 0)
      const to = Math.min(all, from + part)
      const json = {
        lines: Array.from({ length: to - from }, (_, i) => run(from + i)),
        next: to < all ? String(to) : null,
        count: from === 0 ? all : null,
      }
      return route.fulfill({ json })
    },
  )
  await page.getByRole('link', { name: 'Runs', exact: true }).click()
  const row = (i: number) => page.getByRole('row').filter({ hasText: `Pot ${i}.` })
  await expect(row(0)).toBeInViewport()
  await page.mouse.move(640, 500)
  const goTo = async (i: number, px: number) => {
    await expect(async () => {
      await page.mouse.wheel(0, px)
      await expect(row(i)).toBeInViewport({ timeout: 500 })
    }).toPass()
    // Only what is in view is drawn.
    expect(await page.getByRole('row').count()).toBeLessThan(120)
  }
  await goTo(all - 1, 5000)
  await goTo(0, -5000)
})
