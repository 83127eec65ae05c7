/** The frame: lights, units, keys, the strip, finding; and the list's filters and order. */
import { choose, chooseWord, expect, hydrated, open, showColumns, test } from './page'

const RUN = '/runs/01950000-0000-7000-8000-000000000106'

test('lights are set on the server, walk by a key, and leaving the dark takes two presses', async ({
  page,
  context,
}) => {
  await open(page, RUN)
  const html = page.locator('html')
  await expect(html).toHaveAttribute('data-light', 'day')
  await page.keyboard.press('Shift+L')
  await expect(html).toHaveAttribute('data-light', 'glare')
  await page.keyboard.press('Shift+L')
  await expect(html).toHaveAttribute('data-light', 'dark')
  expect((await context.cookies()).find((cookie) => cookie.name === 'vulcanum_light')?.value).toBe(
    encodeURIComponent('"dark"'),
  )
  // The first bytes from the server are dark already.
  expect(await (await page.request.get(RUN)).text()).toMatch(/<html[^>]*data-light="dark"/)
  await page.keyboard.press('Shift+L')
  await expect(html).toHaveAttribute('data-light', 'dark')
  await page.locator('[data-light-switch]').click()
  await expect(html).toHaveAttribute('data-light', 'day')
})

test('units change values in show only', async ({ page }) => {
  await open(page, RUN)
  const shown = page.locator('[data-reading=waterStart] + [data-shown]')
  const before = await (await page.request.get(`/api${RUN}/document`)).text()
  await expect(shown).toContainText('°C')
  await page.keyboard.press('U')
  await expect(shown).toContainText('°F')
  await expect(page.locator('[data-rung=start]')).toContainText('68.0')
  await expect(page.locator('[data-strip=boiling]')).toContainText('°F')
  await page.reload()
  await expect(shown).toContainText('°F')
  expect(await (await page.request.get(`/api${RUN}/document`)).text()).toBe(before)
})

test('the strip keeps what is so now, with its age, and tells then and corrected to', async ({ page }) => {
  await open(page, RUN)
  await page.getByRole('button', { name: 'Now, then' }).click()
  await expect(page.getByText('Standard bench: start 20.0')).toBeVisible()
  const now = page.getByRole('form', { name: 'Now' })
  await choose(now.getByLabel('Place'), 'Crater rim camp')
  await now.getByLabel('Air').fill('much')
  await now.getByRole('button', { name: 'Set what is so now' }).click()
  await expect(now.getByText(/Air: Not a quantity: read "much"/)).toBeVisible()
  await now.getByLabel('Air').fill('3.5 °C')
  await now.getByLabel('Wind').fill('4 mph')
  await now.getByRole('button', { name: 'Set what is so now' }).click()
  await expect(page.locator('[data-strip=air]')).toContainText('3.5')
  await expect(page.locator('[data-strip=wind]')).toContainText('1.8')
  await page.reload()
  await expect(page.getByText('Now at Crater rim camp')).toBeVisible()
  await expect(page.locator('[data-strip=boiling]')).toContainText('92.')
  const kept = (await (await page.request.get('/api/now')).json()) as {
    readings: { quantity: string; typed: string }[]
  }
  expect(kept.readings.find((one) => one.quantity === 'wind')?.typed).toBe('4 mph')
})

test('keys: ignored in boxes, listed, re-mapped, switched off; the margin hides', async ({ page }) => {
  await open(page, RUN)
  await page.keyboard.press('M')
  await expect(page.getByRole('complementary', { name: 'Margin' })).toHaveCount(0)
  await page.keyboard.press('M')
  await expect(page.getByRole('complementary', { name: 'Margin' })).toBeVisible()
  await page.keyboard.press('Shift+?')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Metric or trail units').fill('y')
  await dialog.getByLabel('Show or hide the margin').fill('')
  await dialog.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('U')
  await page.keyboard.press('M')
  await expect(page.locator('[data-units]')).toContainText('Metric')
  await expect(page.getByRole('complementary', { name: 'Margin' })).toBeVisible()
  await page.keyboard.press('Y')
  await expect(page.locator('[data-units]')).toContainText('Trail')
  await open(page, '/runs/new')
  await page.getByLabel('Notes').pressSequentially('yummy')
  await expect(page.locator('[data-units]')).toContainText('Trail')
  await expect(page.getByLabel('Notes')).toHaveValue('yummy')
})

test('finds a run by a few words', async ({ page }) => {
  await open(page, '/')
  await page.keyboard.press('Control+K')
  await page.getByRole('combobox', { name: 'Find or do' }).fill('lapilli wrap saddle')
  await expect(page.getByRole('option')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Lapilli with wrap' })).toBeVisible()
})

/** Says whether more than one figure stands in the order asked: the address changes before the rows do. */
const inOrder = (figures: number[], by: (a: number, b: number) => number) =>
  figures.length > 1 && figures.every((figure, index) => index === 0 || by(figures[index - 1]!, figure) <= 0)

test('runs are filtered, sorted and walked by keys, and the address says how', async ({ page }) => {
  await open(page, '/runs')
  await showColumns(page, ['when', 'setup', 'measured'])
  await chooseWord(page, 'Place', 'Ice saddle')
  await expect(page).toHaveURL(/place=[0-9a-f-]{36}/)
  await expect(page.locator('[data-count]')).toHaveText('16 runs')
  await page.getByRole('button', { name: 'Measured', exact: true }).click()
  await expect(page).toHaveURL(/sort=gPerL\.up/)
  const measured = async () =>
    (await page.locator('tbody td[data-column=measured]').allInnerTexts()).filter((text) => text !== '').map(Number)
  await expect.poll(async () => inOrder(await measured(), (a, b) => a - b)).toBe(true)
  await page.getByRole('button', { name: 'Measured', exact: true }).click()
  await expect(page).toHaveURL(/sort=gPerL\.down/)
  await page.reload()
  await expect.poll(async () => inOrder(await measured(), (a, b) => b - a)).toBe(true)
  await hydrated(page)
  await page.keyboard.press('J')
  await page.keyboard.press('J')
  await page.keyboard.press('K')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-figure=gPerL]')).toBeVisible()
  await page.locator('[data-sentence]').waitFor({ state: 'detached' })
  await open(page, '/runs?from=2026-04-20&to=2026-04-23')
  await expect(page.locator('[data-count]')).toHaveText('2 runs')
})

test('today shows the last test day and what wants settling', async ({ page }) => {
  await open(page, '/')
  await expect(page.getByText(/the last test day|burned today/i)).toBeVisible()
  await page.getByRole('region', { name: 'To settle' }).getByRole('link').first().click()
  await expect(page.getByRole('region', { name: 'Ladder' })).toBeVisible()
})
