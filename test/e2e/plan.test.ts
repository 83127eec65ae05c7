/** A question becomes a test day, in the browser: planned, turned round, moved, and not overwritten by another page. */
import type { Page } from '@playwright/test'
import { choose, expect, hydrated, open, tabTo, test } from './page'

const STUDY = '/plan/01980000-0000-7000-8000-000000000001'
const labels = (page: Page) => page.locator('[data-run] strong').allInnerTexts()
const laidOut = (page: Page) => expect(page.locator('[data-fits]')).toContainText(/\d+ of \d+ fit\./)

test('does the finned pot save 15 %: planned, with what so many runs would show, moved by the keys, reshuffled', async ({
  page,
}) => {
  await open(page, '/plan/new')
  const box = (label: string) => page.getByLabel(label, { exact: true })
  await page.getByRole('button', { name: 'Plan it' }).click()
  // What is missing is said where it is missing, and nothing typed is lost.
  await expect(page.getByText('Set-up: choose one.').first()).toBeVisible()
  await choose(box('A'), 'Ignimbrite, plain pot')
  await choose(box('B'), 'Ignimbrite, finned pot')
  await choose(box('Fuel'), 'Isobutane')
  await box('Worth seeing, %').fill('15')
  // A reload half-way: what was typed stands.
  await page.reload()
  await hydrated(page)
  await expect(box('Worth seeing, %')).toHaveValue('15')
  await page.getByRole('button', { name: 'Plan it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('save 15\u202f% or more on Ignimbrite?')
  await laidOut(page)
  await expect(page.locator('[data-differs]')).toContainText('nothing')
  expect((await labels(page)).map((label) => label[0]).join('')).toMatch(/^(ABBAABBA|BAABBAAB)$/)

  const slider = page.getByRole('slider')
  const shows = async () => Number(/([\d.]+)\u202f%/.exec(await page.locator('[data-shows]').innerText())![1])
  const before = await shows()
  await slider.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('[data-run]')).toHaveCount(12)
  expect(await shows()).toBeLessThan(before)

  const order = await labels(page)
  await tabTo(page, page.getByRole('button', { name: `Move ${order[0]} down` }))
  await page.keyboard.press('Alt+ArrowDown')
  await expect(page.locator('[data-run]').first()).not.toContainText(order[0]!.slice(0, 1) === 'A' ? 'A1' : 'B1')
  await page.getByRole('button', { name: 'reshuffle' }).click()
  await expect(page.getByText('shuffle 2')).toBeVisible()
  await expect(page.getByText('Reshuffled: shuffle 1 became 2.')).toBeVisible()

  await page.goto('/plan')
  await expect(page.getByRole('row', { name: /on Ignimbrite/ })).toContainText('0 of 12')
})

test('in a wind series each arm keeps its station: it is told, and rotated by one press', async ({ page }) => {
  await open(page, '/plan/new')
  const box = (label: string) => page.getByLabel(label, { exact: true })
  await choose(box('A'), 'Fumarole with narrow pot')
  await choose(box('B'), 'Solfatara with wide pot')
  await choose(box('Fuel'), 'Isobutane')
  await choose(box('Varied besides'), 'wind at the pot')
  await box('Levels').fill('0, 1.8 m/s, 8 mph')
  await box('Stations').fill('north fan, south fan')
  await choose(box('Arms at stations'), 'each arm keeps its own')
  await page.getByRole('button', { name: 'Plan it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('in calm and 2 fan steps?')
  await expect(page.locator('[data-differs]')).toContainText('Each arm stands at its own station')
  await page.getByRole('button', { name: 'Rotate the stations' }).click()
  await expect(page.locator('[data-differs]')).toContainText('nothing')
  await laidOut(page)
  // 24 runs are more than a morning: those left say why.
  await expect(page.locator('[data-when]', { hasText: 'does not fit before you are back' }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Give this study up' }).click()
  await page.getByRole('button', { name: 'Give it up', exact: true }).click()
  await expect(page).toHaveURL('/plan')
})

test('of two who move the same day the second is told, and nothing of the first’s is lost', async ({
  page,
  context,
}) => {
  await open(page, STUDY)
  await laidOut(page)
  const other = await context.newPage()
  await open(other, STUDY)
  await laidOut(other)
  const order = await labels(page)
  await page.getByRole('button', { name: `Move ${order[0]} down` }).click()
  await expect(page.getByText('Moved.')).toBeVisible()
  const moved = await labels(page)
  await other.getByRole('button', { name: 'reshuffle' }).click()
  await expect(other.getByRole('alert')).toContainText('was changed on another page')
  await other.reload()
  await expect(other.locator('[data-run] strong').first()).toHaveText(moved[0]!)
  // Put back for who comes after.
  await other.getByRole('button', { name: `Move ${moved[0]} down` }).click()
  await expect(other.getByText('Moved.')).toBeVisible()
})
