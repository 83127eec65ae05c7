/** Every part of the interface kit, in its states: by role and key, in three lights. */
import type { Page } from '@playwright/test'
import { devServer } from './devServer'
import { expect, hydrated, test } from './page'
import { barriers, brightest, nextLight } from './sight'

let server: Awaited<ReturnType<typeof devServer>>
let page: Page
test.describe.configure({ mode: 'serial' })
test.beforeAll(async ({ browser }) => {
  test.setTimeout(240_000)
  server = await devServer('/dev/kit')
  // What it makes of each file it makes at the first visit.
  const first = await browser.newPage()
  await first.goto(server.url, { waitUntil: 'networkidle' })
  await first.close()
  page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(server.url, { waitUntil: 'networkidle' })
  await hydrated(page)
})
test.afterAll(() => server?.stop())
const button = (name: string) => page.getByRole('button', { name, exact: true })

test('the kit answers to its roles and keys @by-the-clock', async () => {
  test.setTimeout(120_000)
  await button('Main').press('Enter')
  await expect(page.locator('[data-said]')).toHaveText('Main')
  await expect(button('Main, not now')).toBeDisabled()
  await button('Menu').press('Enter')
  await expect(page.getByRole('menuitem', { name: /CSV/ })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-said]')).toHaveText('CSV')
  await expect(page.getByLabel('Text that is wrong')).toHaveAccessibleDescription(/expected a number/)
  await page.getByLabel('Quantity, as last time', { exact: true }).focus()
  await page.keyboard.press('Delete')
  await expect(page.getByLabel('Quantity', { exact: true })).toHaveValue('')
  await page.getByLabel('One of many').focus()
  await page.keyboard.type('500')
  await expect(page.locator('[role=listbox] [role=option]')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('One of many')).toHaveValue('Set-up 500, trial 2')
  await page.getByLabel('Day').fill('6 Aug 2026')
  await page.keyboard.press('Tab')
  await page.getByRole('radio', { name: 'low' }).focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('radio', { name: 'medium' })).toBeChecked()
  await button('Flame: low').press('Enter')
  await page.keyboard.type('full')
  await page.keyboard.press('Enter')
  await expect(button('Flame: full')).toBeFocused()
  await button('Throw away').press('Enter')
  await button('Undo').press('Enter')
  await expect(page.locator('[data-said]')).toHaveText('Back')
  for (const name of ['Dialog', 'Drawer']) {
    await button(name).press('Enter')
    await expect(page.getByRole('dialog').getByText('In it.')).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(button(name)).toBeFocused()
  }
})

test('its table sorts and picks by key, a range too; its chart is read by arrows @by-the-clock', async () => {
  const names = () => page.locator('tbody td[data-column=name]').allInnerTexts()
  const head = page.getByRole('button', { name: 'Fuel', exact: true })
  await head.press('Enter')
  expect(await names()).toEqual(['Big pot', 'Cone', 'Bare'])
  await head.press('Enter')
  expect(await names()).toEqual(['Cone', 'Big pot', 'Bare'])
  await expect(page.getByLabel('Pick Big pot')).toBeChecked()
  await page.getByLabel('Pick Cone').click()
  await page.getByLabel('Pick Bare').click({ modifiers: ['Shift'] })
  await expect(page.getByLabel('Pick the 3 shown')).toBeChecked()
  await page.getByRole('group', { name: /^A chart in its frame/ }).focus()
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight')
  await expect(page.locator('[data-chart-read]')).toHaveText('Bare, no g')
  await page.keyboard.press('End')
  await expect(page.locator('[data-chart-read]')).toHaveText('Big pot, 9.8 g')
  await expect(page.getByRole('img', { name: 'Cone against bare: −12 %, −21 to −3' })).toBeVisible()
  await page.setViewportSize({ width: 390, height: 844 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.setViewportSize({ width: 1280, height: 800 })
})

test('no part of it is a barrier in Day or Glare, none is bright in Dark bench @by-the-clock', async ({ browser }) => {
  test.setTimeout(120_000)
  expect(await barriers(page, 'day')).toEqual([])
  await nextLight(page, 'glare')
  expect(await barriers(page, 'glare')).toEqual([])
  await nextLight(page, 'dark')
  const reader = await (await browser.newContext()).newPage()
  const { luminance, blue } = await brightest(reader, await page.screenshot({ fullPage: true }))
  expect(luminance).toBeLessThanOrEqual(0.3)
  expect(blue).toBeLessThanOrEqual(0x40)
})
