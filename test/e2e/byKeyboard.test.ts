/** By keyboard alone: the logbook narrowed, sorted and taken along; one of five hundred chosen; a form left and come back to. */
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import type { KitChoices } from '../../shared/kitChoices'
import { choose, chosenIn, expect, hydrated, open, tabTo, test } from './page'
import { openEmpty } from './typing'

async function find(page: Page, words: string) {
  await page.keyboard.press('Control+K')
  await expect(page.getByRole('combobox', { name: 'Find or do' })).toBeFocused()
  await page.keyboard.type(words)
  await expect(page.getByRole('option').first()).toContainText(words)
  await page.keyboard.press('Enter')
}

test('the logbook is narrowed, sorted and exported without a mouse', async ({ page }) => {
  await open(page, '/runs')
  const setup = page.getByRole('button', { name: /^Set-up: / }).first()
  await tabTo(page, setup)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('combobox')).toBeFocused()
  await page.keyboard.type('Maar')
  await expect(page.locator('[role=listbox] [role=option]')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/setup=/)
  await tabTo(page, page.getByRole('button', { name: 'Boil', exact: true }))
  await page.keyboard.press('Enter')
  await expect(page.locator('th[data-column=boil]')).toHaveAttribute('aria-sort', 'ascending')
  const times = (await page.locator('tbody td[data-column=boil]').allInnerTexts()).filter(Boolean)
  expect(times.length).toBeGreaterThan(3)
  expect(times).toEqual([...times].sort())
  const [download] = await Promise.all([page.waitForEvent('download'), find(page, 'Export these runs as CSV')])
  const rows = readFileSync(await download.path(), 'utf8')
    .trim()
    .split('\n')
  expect(rows.length).toBe((await page.locator('tbody tr[data-id]').count()) + 1)
})

test('one of five hundred set-ups is found by a word of it', async ({ page }) => {
  await page.route('**/api/kit', async (route) => {
    const kit = (await (await route.fetch()).json()) as KitChoices
    const [first] = kit.setups
    const many = Array.from({ length: 500 }, (_, i) => ({
      ...first!,
      id: crypto.randomUUID(),
      name: `Trial ${i} at dawn`,
    }))
    await route.fulfill({ json: { ...kit, setups: [...many, ...kit.setups] } })
  })
  await open(page, '/runs')
  await page.getByRole('link', { name: 'Log a run', exact: true }).first().click()
  await expect(page.getByRole('heading', { name: 'Log a run' })).toBeVisible()
  const box = page.getByLabel('Set-up', { exact: true })
  await box.focus()
  await page.keyboard.type('dawn 437')
  await expect(page.locator('[role=listbox] [role=option]')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect.poll(() => chosenIn(box)).toContain('Trial 437 at dawn')
  await page.keyboard.press('ArrowDown')
  await expect(page.getByText(/ more: type a word of it/)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect.poll(() => chosenIn(box)).toContain('Trial 437 at dawn')
})

test('what is typed and left before the list came is chosen where it can mean one alone, else nothing is', async ({
  page,
}) => {
  await openEmpty(page)
  await page.route('**/*.js', () => new Promise(() => undefined))
  const box = page.getByLabel('Set-up', { exact: true })
  for (const [typed, stands] of [
    ['lahar cone', /^Lahar in the cone/],
    ['a', /^Lahar in the cone/],
  ] as const) {
    await box.focus()
    await page.keyboard.type(typed)
    await page.keyboard.press('Tab')
    await expect(box).toHaveValue(stands)
  }
})

test('a form that is left half-way stands as it was left, until it is begun again', async ({ page }) => {
  await open(page, '/kit/places/new')
  await page.getByLabel('Name', { exact: true }).fill('Sulphur bank')
  await page.getByRole('link', { name: 'Runs', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Runs' })).toBeVisible()
  await page.goBack()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Sulphur bank')
  await page.getByRole('button', { name: 'Begin again' }).press('Enter')
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('')
  await page.reload()
  await expect(page.getByRole('button', { name: 'Begin again' })).toHaveCount(0)
  await open(page, '/kit/setups')
  await page.getByRole('link', { name: 'Lahar in the cone', exact: true }).click()
  const lid = page.getByLabel('Lid', { exact: true })
  const before = await chosenIn(lid)
  await choose(lid, 'none')
  await page.getByRole('link', { name: 'Runs', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Runs' })).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('button', { name: 'Begin again' })).toBeVisible()
  expect(await chosenIn(lid)).toBe('none')
  await page.getByRole('button', { name: 'Begin again' }).click()
  expect(await chosenIn(lid)).toBe(before)
  await page.reload()
  await hydrated(page)
  await expect(lid).toBeVisible()
  await expect(page.getByRole('button', { name: 'Begin again' })).toHaveCount(0)
})
