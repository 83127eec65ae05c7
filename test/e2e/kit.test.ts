/** Kit from nothing, as a tester builds it; two pages that edit one thing; checks, weighings, photos that are none. */
import type { Page } from '@playwright/test'
import { choose, chosenIn, expect, open, test } from './page'
import { openEmpty, typeTheRun } from './typing'

const fill = (page: Page, label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text)
const pick = async (page: Page, list: string, start: string) => choose(page.getByLabel(list, { exact: true }), start)
const save = (page: Page) => page.getByRole('button', { name: 'Save', exact: true }).click()

async function add(
  page: Page,
  kind: string,
  fields: Record<string, string>,
  more: () => Promise<unknown> = async () => undefined,
): Promise<void> {
  await open(page, '/kit')
  await page.getByRole('link', { name: `Add a ${kind}` }).click()
  for (const [label, text] of Object.entries(fields)) await fill(page, label, text)
  await more()
  await save(page)
  await expect(page.getByRole('heading', { level: 1, name: fields.Name })).toBeVisible()
}

test('a set-up from nothing: kit with units, drawn to scale, a danger explained, one part swapped, its history told', async ({
  page,
}) => {
  await add(page, 'burner', { Name: 'Rhyodacite', Mass: '3 oz', Height: '90 mm' }, () =>
    pick(page, 'It burns', 'gas, on the canister'),
  )
  await add(page, 'pot', { Name: 'Pumice', Mass: '120 g', 'Base diameter': '4 in', Height: '10 cm' })
  await add(page, 'pot', { Name: 'Obsidian', Mass: '180 g', 'Base diameter': '130 mm' })
  await add(page, 'windscreen', { Name: 'Curtain', Mass: '20 g' }, () => pick(page, 'Form', 'wrap'))

  await open(page, '/kit/setups')
  await page.getByRole('link', { name: 'Put a set-up together' }).click()
  await save(page)
  await expect(page.getByText('Name: read nothing')).toBeVisible()
  await fill(page, 'Name', 'Rhyodacite with Pumice')
  await fill(page, 'Gap under the pot', '2 cm')
  await pick(page, 'Burner', 'Rhyodacite')
  await pick(page, 'Pot', 'Pumice')
  await expect(page.getByRole('img', { name: /Rhyodacite with Pumice|A new set-up/ })).toBeVisible()
  await expect(page.getByText('205.0 g together')).toBeVisible()
  await pick(page, 'Windscreen', 'Curtain')
  await save(page)
  await expect(
    page.getByRole('alert').getByText(/Never wrap a windscreen round a burner that sits on its canister/),
  ).toBeVisible()
  await fill(page, 'Why it goes on', 'open on the lee side, hand on the canister')
  await save(page)
  await expect(page.getByRole('heading', { level: 1, name: 'Rhyodacite with Pumice' })).toBeVisible()
  await expect(page.getByText('Goes on all the same: open on the lee side')).toBeVisible()

  await pick(page, 'Windscreen', 'none')
  await pick(page, 'Pot', 'Obsidian')
  await fill(page, 'Why the change', 'the big pot, and no curtain')
  await save(page)
  const versions = page.getByRole('region', { name: 'Versions' })
  await expect(versions).toContainText('the big pot, and no curtain')
  await expect(versions).toContainText('Pot: Pumice → Obsidian')
  await expect(versions).toContainText('Windscreen: Curtain → none')
  await expect(page.locator('[data-warning]')).toHaveCount(0)

  // The new set-up can be burned at once.
  await openEmpty(page)
  const setup = page.getByLabel('Set-up', { exact: true })
  await choose(setup, 'Rhyodacite with Pumice')
  expect(await chosenIn(setup)).toBe('Rhyodacite with Pumice (Rhyodacite, Obsidian)')
})

test('of two pages that edit one thing the second is shown both, and either can stay; kit in use is not deleted', async ({
  page,
  browser,
  baseURL,
}) => {
  await add(page, 'lid', { Name: 'Slab', Mass: '20 g' })
  const other = await (await browser.newContext({ baseURL })).newPage()
  await open(other, new URL(page.url()).pathname)
  await fill(other, 'Mass', '21 g')
  await save(other)
  await expect(other.getByRole('region', { name: 'Versions' })).toContainText('Mass: 20 g → 21 g')
  await fill(page, 'Mass', '22 g')
  await fill(page, 'Description', '<img src=x onerror=alert(1)> 🌋 مقلاة')
  await save(page)
  const clash = page.getByRole('alert', { name: 'Changed on another page' })
  await expect(clash.getByRole('row').filter({ hasText: 'Mass' })).toHaveText(/22 g.*21 g/)
  await clash.getByRole('button', { name: 'Yours' }).click()
  await expect(page.getByRole('region', { name: 'Versions' })).toContainText('Mass: 21 g → 22 g')
  await expect(page.getByLabel('Description')).toHaveValue('<img src=x onerror=alert(1)> 🌋 مقلاة')
  await fill(other, 'Mass', '30 g')
  await save(other)
  await other.getByRole('button', { name: 'The other’s' }).click()
  await expect(other.getByLabel('Mass', { exact: true })).toHaveValue('22 g')
  await other.context().close()

  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('button', { name: 'Delete it for good' }).click()
  await expect(page).toHaveURL(/\/kit$/)
  await page.getByRole('link', { name: 'Cinder 900' }).click()
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('button', { name: 'Delete it for good' }).click()
  await expect(page.getByRole('alert')).toContainText(
    /Cinder 900 is in \d+ runs, and a run keeps what it was burned with/,
  )
  await expect(page.getByRole('alert').getByRole('link').first()).toContainText('Fumarole with narrow pot')
})

test('an instrument is checked at the ice point, and the next reading carries its offset; the earlier one does not', async ({
  page,
}) => {
  await add(page, 'instrument', { Name: 'Steam probe' }, async () => {
    await pick(page, 'Measures', 'temperature')
    await fill(page, 'Reads to (°C)', '0.1')
    await fill(page, 'Accuracy, ± (°C)', '0.5')
  })
  const address = page.url()
  const logOne = async () => {
    await openEmpty(page)
    await typeTheRun(page)
    await page.locator('[data-rest] summary').click()
    await pick(page, 'Thermometer', 'Steam probe')
    await page.getByRole('button', { name: 'Save and see the figure' }).click()
    await expect(page.locator('[data-figure=gPerL]')).toBeVisible()
  }
  await logOne()
  const earlier = new URL(page.url()).pathname
  await open(page, new URL(address).pathname)
  await fill(page, 'It showed', '0.8 °C')
  const checks = page.getByRole('form', { name: 'A new check' })
  // Before either run began, by the page's clock, which is up to an hour behind UTC: the box is by the minute, and the
  // second run began seconds ago.
  await checks.getByLabel('When').fill(new Date(Date.now() - 3 * 3_600_000).toISOString().slice(0, 16))
  await checks.getByRole('button', { name: 'Save' }).click()
  await expect(page.locator('[data-offset]')).toContainText('−0.80 K at 20 °C')
  await logOne()
  await expect(page.locator('[data-correction=waterStart]')).toHaveText(/−0\.80\sK, Steam probe/)
  const document = (await (await page.request.get(`/api/runs/${page.url().split('/').at(-1)}/document`)).json()) as {
    runs: [{ water: { startC: number } }]
  }
  expect(document.runs[0].water.startC).toBeCloseTo(13.3333 - 0.8, 3)
  await open(page, earlier)
  await expect(page.locator('[data-shown]').filter({ hasText: '13.3' }).first()).toBeVisible()
  await expect(page.locator('[data-correction=waterStart]')).toHaveCount(0)
})

test('a part-used canister is weighed: its fill, its boils, and what cannot be', async ({ page }) => {
  await open(page, '/kit/containers/new')
  await fill(page, 'Name', 'Canister Z')
  await pick(page, 'Fuel in it', 'Isobutane-propane')
  await fill(page, 'Fuel when full', '110 g')
  await save(page)
  await expect(page.getByText(/Fill not known/)).toBeVisible()
  const weigh = async (kind: string, mass: string) => {
    await pick(page, 'It was', kind)
    await fill(page, 'Scale says', mass)
    await page.getByRole('form', { name: 'A weighing' }).getByRole('button', { name: 'Save' }).click()
  }
  await weigh('weighed full and new', '214.2 g')
  await expect(page.locator('[data-fill]')).toContainText(/110\.0\sg/)
  await weigh('weighed', '166.9 g')
  await expect(page.locator('[data-fill]')).toContainText(/62\.7\sg/)
  await expect(page.getByRole('region', { name: 'Ledger' })).toContainText('47.3 g less than its runs leave')
  await weigh('weighed', '90 g')
  await expect(page.getByRole('alert').filter({ hasText: 'less than the empty container' })).toBeVisible()
})

test('a batch, a place and a tester are added, each with what is wrong said at its box', async ({ page }) => {
  await open(page, '/kit/fuels/new')
  await pick(page, 'Fuel', 'Methanol')
  await fill(page, 'Batch', 'drum 9')
  await fill(page, 'Heating value', '200')
  await save(page)
  await expect(page.getByText('Heating value: read "200", expected a number from 1 to 60 MJ/kg.')).toBeVisible()
  await fill(page, 'Heating value', '19.5')
  await fill(page, 'Source of these', 'its data sheet')
  await save(page)
  await expect(page.getByRole('heading', { level: 1, name: 'Methanol, drum 9' })).toBeVisible()
  await page.getByRole('button', { name: 'Add a price' }).click()
  await fill(page, 'Price', '4.20')
  await page.getByLabel('From', { exact: true }).fill('2026-03-01')
  await fill(page, 'For so much fuel', '1 kg')
  await page.getByRole('form', { name: 'A new price' }).getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('4.20 EUR')).toBeVisible()

  await open(page, '/kit/places/new')
  await fill(page, 'Name', 'Fern gully')
  await fill(page, 'Altitude', '1 300 ft')
  await fill(page, 'Station pressure', '965 hPa')
  await save(page)
  await expect(page.getByRole('heading', { level: 1, name: 'Fern gully' })).toBeVisible()
  await open(page, '/kit/places')
  await expect(page.getByRole('row').filter({ hasText: 'Fern gully' })).toContainText(/98\.[67]/)
  await fill(page, 'A new tester', 'Ketil Brand')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('region', { name: 'People' })).toContainText('Ketil Brand')
})
