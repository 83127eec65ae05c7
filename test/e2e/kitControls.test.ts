/** The smaller controls of kit, methods and log, each by what it stores. */
import type { Page } from '@playwright/test'
import sharp from 'sharp'
import type { KitChoices } from '../../shared/kitChoices'
import type { BatchLine, PlacePage, ThingLine } from '../../shared/kitRecords'
import type { MethodLine } from '../../shared/method'
import { choose, chooseWord, expect, open, test } from './page'
import { openEmpty, typeTheRun } from './typing'

const read = async <T>(page: Page, url: string) => (await (await page.request.get(url)).json()) as T
const save = (page: Page, form: string) =>
  page.getByRole('form', { name: form }).getByRole('button', { name: 'Save', exact: true }).click()
const idOf = async (page: Page, list: string, name: string) =>
  (await read<{ id: string; name: string }[]>(page, list)).find((one) => one.name === name)!.id

test('what is retired is no longer offered, and comes back', async ({ page }) => {
  const id = await idOf(page, '/api/kit/setups', 'Dacite with mug')
  for (const retired of [true, false]) {
    await open(page, `/kit/setups/${id}`)
    await page.getByLabel('No longer in use').setChecked(retired)
    await save(page, 'Set-up')
    await expect
      .poll(async () => (await read<KitChoices>(page, '/api/kit')).setups.some((one) => one.id === id))
      .toBe(!retired)
    await open(page, '/kit/setups')
    const listed = page.getByRole('listitem').filter({ hasText: 'Dacite with mug' })
    await expect(listed).toContainText(retired ? 'retired' : 'run')
  }
})

test('a thing has a price, a photo, and what it was made from; a set-up has a photo', async ({ page }) => {
  const png = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#445566' } })
    .png()
    .toBuffer()
  await open(page, `/kit/things/${await idOf(page, '/api/kit/things', 'Mug lid with felt')}`)
  await expect(page.locator('main p').filter({ hasText: 'made from' })).toContainText('made from Mug lid')
  await page.getByRole('button', { name: 'Add a price' }).click()
  await page.getByLabel('Price', { exact: true }).fill('3,50')
  await page.getByLabel('From', { exact: true }).fill('2026-03-01')
  await save(page, 'A new price')
  await expect(page.getByRole('region', { name: 'Prices' })).toContainText('3.50 EUR from 2026-03-01')
  for (const path of [page.url(), `/kit/setups/${await idOf(page, '/api/kit/setups', 'Lahar alone')}`]) {
    await open(page, path)
    await page.getByRole('button', { name: 'Add a photo' }).click()
    await page.locator('input[type=file]').setInputFiles({ name: 'felt.png', mimeType: 'image/png', buffer: png })
    await page.getByLabel('Says').fill('as it stood')
    await page.getByRole('button', { name: 'Add the photo' }).click()
    await expect(page.getByRole('img', { name: 'as it stood' })).toBeVisible()
  }
})

test('a check is taken back: it corrects nothing more, and stays to be seen', async ({ page }) => {
  await open(page, `/kit/things/${await idOf(page, '/api/kit/things', 'Cup anemometer')}`)
  await page.getByLabel('It showed').fill('2.2 m/s')
  await page.getByLabel('What was so').fill('2 m/s')
  await save(page, 'A new check')
  await expect(page.locator('[data-offset]')).toContainText('−0.18 m/s at 2 m/s')
  await page.getByRole('button', { name: 'Take back the check: beside a better one, 2.2 m/s' }).click()
  await expect(page.getByText('Never checked: readings stand as they are read.')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText('taken back')
  expect(
    (await read<ThingLine[]>(page, '/api/kit/things')).find((one) => one.name === 'Cup anemometer')!.lastCheckDays,
  ).toBeNull()
})

test('a heating value changed after runs asks why, and keeps both', async ({ page }) => {
  const { id } = (await read<BatchLine[]>(page, '/api/kit/fuels')).find((one) => one.batch === 'generator shed')!
  await open(page, `/kit/fuels/${id}`)
  await page.getByLabel('Heating value').fill('42.4')
  await page.getByLabel('Source of these').fill('the supplier')
  await save(page, 'This batch')
  await expect(page.getByText(/This changes the figures of \d+ runs\. Type why/)).toBeVisible()
  await page.getByLabel('Why the change').fill('the sheet came')
  await save(page, 'This batch')
  await expect(page.getByRole('region', { name: 'History' })).toContainText(
    'Heating value, MJ/kg: the usual one → 42.4. the sheet came',
  )
})

test('a place’s altitude changed makes a version; its runs keep theirs', async ({ page }) => {
  const id = await idOf(page, '/api/kit/places', 'Crater rim camp')
  await open(page, `/kit/places/${id}`)
  await page.getByLabel('Altitude').fill('2 140 m')
  await page.getByLabel('Wind measured at').fill('2 m')
  await save(page, 'Place')
  await expect(page.getByRole('region', { name: 'Versions' })).toContainText(/Altitude: 2130 m → 2140 m/)
  expect((await read<PlacePage>(page, `/api/kit/places/${id}`)).versions.map((version) => version.altitudeM)).toEqual([
    2140, 2130,
  ])
  await open(page, '/runs/01960000-0000-7000-8000-000000000002')
  await expect(page.locator('main header')).toContainText('2130')
  await open(page, `/kit/places/${id}`)
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('button', { name: 'Delete it for good' }).click()
  await expect(page.getByRole('alert')).toContainText(/Crater rim camp has \d+ runs/)
})

test('one’s own method is changed by versions, copied, and deleted while no run follows it', async ({ page }) => {
  const boil = (await read<MethodLine[]>(page, '/api/methods')).find((one) => one.test === 'boil' && one.shipped)!
  await open(page, `/methods/${boil.id}/edit`)
  await page.getByLabel('Name').fill('Once only')
  await page.getByRole('button', { name: '15.6 °C (60 °F)' }).click()
  await expect(page.getByLabel('Start from')).toHaveValue('13.6 °C')
  await save(page, 'Method')
  await page.getByRole('link', { name: 'Change it' }).click()
  await page.getByLabel('Runs of each').fill('7')
  await page.getByLabel('Why the change').fill('three were too few')
  await save(page, 'Method')
  await expect(page.getByRole('region', { name: 'Versions' })).toContainText(/three were too few.*Runs of each: 3 → 7/s)
  await page.getByRole('link', { name: 'Copy it', exact: true }).click()
  await page.getByLabel('Name').fill('Once more')
  await save(page, 'Method')
  await expect(page.getByText('a copy of')).toContainText('Once only')
  const gone = async (name: string) => {
    await open(page, `/methods/${await idOf(page, '/api/methods', name)}/edit`)
    await page.getByRole('button', { name: 'Delete' }).click()
    await page.getByRole('button', { name: 'Delete it for good' }).click()
  }
  await gone('Once only')
  await expect(page.getByRole('alert')).toContainText('Once more is a copy of Once only')
  await gone('Once more')
  await expect(page).toHaveURL(/\/methods$/)
  await gone('Once only')
  await expect(page).toHaveURL(/\/methods$/)
  expect((await read<MethodLine[]>(page, '/api/methods')).filter((one) => one.name.startsWith('Once'))).toEqual([])
})

test('what happened on the way, the canister, the instruments and the break-in are stored; a reload keeps them', async ({
  page,
}) => {
  await openEmpty(page)
  await typeTheRun(page)
  await choose(page.getByLabel('Fuel', { exact: true }), 'Isobutane')
  await choose(page.getByLabel('Set-up', { exact: true }), 'Ignimbrite, plain')
  await choose(page.getByLabel('Burned from'), 'Canister F')
  await page.getByLabel(/First burn of a new burner/).check()
  for (const [kind, time, extra] of [
    ['Reading', '2:00', ['Water', '120 F']],
    ['Knock', '3:10', null],
    ['Fuel added', '', null],
  ] as const) {
    await page.getByRole('button', { name: /^Add (something|a piece)/ }).click()
    const line = page.locator('[data-line]').last()
    await choose(line.getByLabel('What happened'), kind)
    await line.getByLabel('At', { exact: true }).fill(time)
    if (extra) await line.getByLabel(extra[0]).fill(extra[1])
  }
  await page.locator('[data-rest] summary').click()
  await choose(page.getByLabel('Scale', { exact: true }), 'Bench scale')
  await page.reload()
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.getByText('Time: read nothing, expected a time such as 5:12')).toBeVisible()
  await page.getByRole('button', { name: 'Take line 3 out' }).click()
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.locator('[data-break-in]')).toBeVisible()
  await expect(page.locator('main header')).toContainText('from Canister F')
  const { events, fuel } = (
    await read<{
      runs: [{ events: { kind: string; s: number; waterC: number | null }[]; fuel: { scaleAccuracyG: number } }]
    }>(page, `/api/runs/${page.url().split('/').at(-1)}/document`)
  ).runs[0]
  expect(events).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ kind: 'reading', s: 120, waterC: expect.closeTo(48.89, 2) }),
      expect.objectContaining({ kind: 'disturbance', s: 190 }),
    ]),
  )
  // ± 0.1 g as a half-width is 0.1/√3 standard.
  expect(fuel.scaleAccuracyG).toBeCloseTo(0.0577, 4)
})

test('the runs are filtered by method; a target is chosen on a run’s page', async ({ page }) => {
  await open(page, '/runs')
  await chooseWord(page, 'Method', '20 → 90 °C')
  await expect(page).toHaveURL(/method=[0-9a-f-]{36}/)
  const method = new URL(page.url()).searchParams.get('method')
  const { lines } = (await (await page.request.get(`/api/runs?method=${method}`)).json()) as { lines: { id: string }[] }
  const shipped = lines.find(({ id }) => id.startsWith('019700'))!
  await page.locator(`tbody a[href="/runs/${shipped.id}"]`).first().click()
  const time = page.locator('[data-figure=time]')
  await expect(time).toBeVisible()
  await page.getByLabel('Target temperature, °C').fill('80')
  await page.getByLabel('Target temperature, °C').blur()
  await expect(page).toHaveURL(/target=80/)
  // It was called at 90 °C, and no trace says when it passed 80.
  await expect(time).toHaveCount(0)
  await page.getByLabel('Target temperature, °C').fill('90')
  await page.getByLabel('Target temperature, °C').blur()
  await expect(time).toBeVisible()
})
