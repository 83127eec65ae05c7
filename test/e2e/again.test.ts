/** The tenth run of a day differs from the ninth by two or three readings: everything else stands already. */
import type { Page } from '@playwright/test'
import { clearBench, mark, stage } from '../../scripts/lib/stageBench.mjs'
import type { Bench } from '../../shared/bench'
import type { RunList } from '../../shared/runList'
import type { RunLine, RunPage } from '../../shared/runRecord'
import { choose, chosenIn, expect, hydrated, open, test } from './page'

const ids = ({ setupId, placeId, fuelId, methodId, personId }: RunLine) => ({
  setupId,
  placeId,
  fuelId,
  methodId,
  personId,
})
const newest = async (page: Page): Promise<RunLine> =>
  ((await (await page.request.get('/api/runs')).json()) as RunList).lines[0]!
const boxOf = (page: Page, label: string) => page.getByLabel(label, { exact: true })

test('the tenth run of a day is logged with three boxes typed; what was taken is marked and cleared by one key', async ({
  page,
}) => {
  const before = await newest(page)
  await open(page, `/runs/new?again=${before.id}`)
  await expect(page.locator('[data-taken-from]')).toContainText(before.setup)
  let typed = 0
  const type = async (label: string, text: string) => {
    await expect(boxOf(page, label)).toHaveValue('')
    await boxOf(page, label).focus()
    await page.keyboard.type(text)
    typed++
  }
  await type('Start temperature', '17.2')
  await page.getByRole('button', { name: /as it was left$/ }).press('Enter')
  await type('Fuel after', String(parseFloat(await boxOf(page, 'Fuel before').inputValue()) - 9.4))
  await type('Boil', '4:31')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-figure=normalisedGPerL]')).toBeVisible()
  expect(typed).toBe(3)
  const logged = await newest(page)
  expect(logged.id).not.toBe(before.id)
  expect(ids(logged)).toEqual(ids(before))
  await page.goto(`/runs/${before.id}`)
  await page.getByRole('link', { name: 'Log another like it' }).click()
  await expect(boxOf(page, 'Start temperature')).toHaveValue('')
  const setup = boxOf(page, 'Set-up')
  await expect.poll(() => chosenIn(setup)).toContain(before.setup)
  await setup.focus()
  await page.keyboard.press('Delete')
  await expect.poll(() => chosenIn(setup)).not.toContain(before.setup)
  await page.getByRole('button', { name: 'Place: as last time. Clear it' }).click()
  await expect(page.getByRole('button', { name: 'Place: as last time. Clear it' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Who: as last time. Clear it' })).toBeVisible()
  await page.getByRole('button', { name: 'Begin empty' }).click()
  await expect(page.locator('[data-taken]')).toHaveCount(0)
})

test('what was chosen outlives a reload, and a draft that was begun is not typed over by another run', async ({
  page,
}) => {
  const { lines } = (await (await page.request.get('/api/runs?words=Lahar')).json()) as RunList
  const [first, second] = [lines[0]!, lines.find((line) => line.fuelId !== lines[0]!.fuelId) ?? lines[1]!]
  await open(page, `/runs/new?again=${first.id}`)
  await expect.poll(() => chosenIn(boxOf(page, 'Set-up'))).toContain(first.setup)
  await choose(boxOf(page, 'Place'), 'Ash Gate hut')
  await page.reload()
  await hydrated(page)
  await expect(page.locator('[data-taken-from]')).toBeVisible()
  expect(await chosenIn(boxOf(page, 'Place'))).toContain('Ash Gate hut')
  await boxOf(page, 'Start temperature').fill('17 °C')
  await open(page, `/runs/${second.id}`)
  await page.getByRole('link', { name: 'Log another like it' }).click()
  await expect(page.getByText('A draft of another run stands here.')).toBeVisible()
  await expect(boxOf(page, 'Start temperature')).toHaveValue('17 °C')
  await page.getByRole('button', { name: 'Begin the one you came for' }).click()
  await expect(boxOf(page, 'Start temperature')).toHaveValue('')
  await expect(page.locator(`[data-taken-from] a[href="/runs/${second.id}"]`)).toBeVisible()
  expect(await chosenIn(boxOf(page, 'Place'))).not.toContain('Ash Gate hut')
})

test('from the logbook one key prepares a run again on a lane: one reading is typed before it is armed', async ({
  page,
  baseURL,
}) => {
  await open(page, '/runs?words=Lahar')
  await page.keyboard.press('j')
  const id = await page.locator('tr:focus-within').getAttribute('data-id')
  await page.keyboard.press('g')
  await expect(page).toHaveURL(new RegExp(`/bench/prepare\\?again=${id}`))
  const { record } = (await (await page.request.get(`/api/runs/${id}`)).json()) as RunPage
  await expect.poll(() => chosenIn(boxOf(page, 'Set-up'))).toContain(record.setup)
  expect(await chosenIn(boxOf(page, 'Fuel'))).toContain(record.fuel!)
  expect(await chosenIn(boxOf(page, 'Who'))).toBe(record.person)
  await boxOf(page, 'Start temperature').fill('16.4')
  await page.getByRole('button', { name: /^Arm lane/ }).click()
  await expect(page).toHaveURL(/\/bench$/)
  await expect(page.getByRole('region', { name: /^Lane/ }).first()).toContainText(record.setup)
  const { typed } = record.measurements.find((one) => one.quantity === 'water')!
  const waterOfLanes = async () => {
    const { lanes } = (await (await page.request.get('/api/bench')).json()) as Bench
    return lanes.flatMap((lane) => lane.readings.filter((one) => one.quantity === 'water').map((one) => one.typed))
  }
  await expect.poll(waterOfLanes).toContainEqual(expect.stringContaining(typed))
  await clearBench(baseURL)
})

test('a lane that is done is finished and prepared again by one press: only readings are empty', async ({
  page,
  baseURL,
}) => {
  await stage(baseURL!, [
    {
      lane: 'C',
      measured: { waterStart: '24 °C', fuelBefore: '210 g', fuelAfter: '201 g', air: '12 °C', wind: 'calm' },
      marks: [
        [700, mark('lit')],
        [690, mark('potOn')],
        [400, mark('rollingBoil')],
        [398, mark('shutOff')],
      ],
    },
  ])
  await open(page, '/bench')
  const lane = page.getByRole('region', { name: 'Lane C' })
  const finish = lane.getByRole('button', { name: 'Finish, and again' })
  // What is still to be read is left out.
  const skip = lane.getByRole('button', { name: 'Skip' })
  await expect(finish.or(skip)).toBeVisible()
  while (!(await finish.isVisible())) await skip.click()
  await finish.click()
  await expect(page).toHaveURL(/\/bench\/prepare\?again=.*&lane=C/)
  await expect.poll(() => chosenIn(boxOf(page, 'Set-up'))).toContain('Ignimbrite, plain pot')
  await expect(page.getByRole('heading', { name: 'Prepare lane C' })).toBeVisible()
  await expect(boxOf(page, 'Start temperature')).toHaveValue('')
})
