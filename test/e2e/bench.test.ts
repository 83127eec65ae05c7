/** The bench beside the flame, as a person has it: keys, thumbs, a reload, a dead server, two devices; the stored run equals what was pressed. */
import type { Page } from '@playwright/test'
import type { Bench } from '../../shared/bench'
import type { RunPage } from '../../shared/runRecord'
import { expect, open, test } from './page'
import { ownServer } from './ownServer'
import { optionLike } from './typing'

const bench = async (page: Page) => (await (await page.request.get('/api/bench')).json()) as Bench
const lane = (page: Page, name: string) => page.getByRole('region', { name: `Lane ${name}` })
const next = (page: Page, name: string) => lane(page, name).locator('[data-next]')
/** The run of the first lane, once the server has it. */
async function standing(page: Page): Promise<string> {
  await expect.poll(async () => (await bench(page)).lanes.length).toBeGreaterThan(0)
  return (await bench(page)).lanes[0]!.runId
}
/** Between two presses of one device longer than a glove's double. */
const AFTER_A_PRESS_MS = 1300
const settle = (page: Page) => page.waitForTimeout(AFTER_A_PRESS_MS)

async function armLane(page: Page, name: string, { method = 'Boil', setup = 'Ignimbrite, plain', fuel = 'Isobutane', measured = {} as Record<string, string>, base = '' } = {}): Promise<void> {
  await open(page, `${base}/bench/arm?lane=${name}`)
  await page.getByLabel('Method').selectOption({ label: method })
  await page.getByLabel('Set-up', { exact: true }).selectOption({ label: await optionLike(page, 'Set-up', setup) })
  await page.getByLabel('Fuel', { exact: true }).selectOption({ label: await optionLike(page, 'Fuel', fuel) })
  await page.getByLabel('Who').selectOption({ label: 'Odra Vell' })
  await page.getByLabel('Place', { exact: true }).selectOption({ label: 'Ash Gate hut' })
  for (const [label, text] of Object.entries({ 'Water': '473 g', 'Start temperature': '19 °C', 'Air': '18 °C', 'Wind': 'calm', ...measured })) await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByRole('button', { name: `Arm lane ${name}` }).click()
  await expect(lane(page, name)).toBeVisible()
}

async function takeReading(page: Page, text: string): Promise<void> {
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
}

test.afterEach(async ({ page }) => {
  // What a test left standing does not stand in the next one's way.
  for (const { runId } of (await bench(page)).lanes) {
    const stamp = { units: 'metric', atMs: Date.now(), monoMs: 0, wallMs: Date.now(), clockSession: 'test:0' }
    await page.request.post('/api/bench/acts', { data: { device: { id: crypto.randomUUID(), name: 'test' }, acts: [{ id: crypto.randomUUID(), runId, ...stamp, deed: { type: 'clear' } }] } })
  }
})

test('a whole run by keyboard alone: weighed in, lit, read, boiled, out, weighed out, and its page', async ({ page }) => {
  await armLane(page, 'A')
  await expect(next(page, 'A')).toBeFocused()
  await expect(next(page, 'A')).toHaveText('Weigh in')
  await page.keyboard.press('Enter')
  await takeReading(page, '212.4')
  await expect(next(page, 'A')).toContainText('Light')
  // The safety card stands on the button before the first light of the day.
  await expect(lane(page, 'A').locator('[data-cautions]')).toContainText('canister')
  await page.keyboard.press('Space')
  await expect(next(page, 'A')).toHaveText('Pot on')
  await expect(lane(page, 'A')).toHaveAttribute('data-state', 'burning')
  // Pressed twice in a second: kept, and not gone on.
  await page.keyboard.press('Enter')
  await expect(next(page, 'A')).toHaveText('Pot on')
  await settle(page)
  await page.keyboard.press('Enter')
  await expect(next(page, 'A')).toHaveText('Boil')
  await takeReading(page, '54.5')
  await expect(lane(page, 'A').getByRole('button', { name: /^Water 54\.5/ })).toBeVisible()
  // The unit says what it is of.
  await takeReading(page, '0.4 m/s')
  await page.keyboard.press('k')
  await page.keyboard.press('z')
  await page.keyboard.press('l')
  await page.keyboard.press('s')
  await page.keyboard.press('Enter')
  await page.keyboard.press('n')
  await page.keyboard.type('steam at the lid')
  await page.keyboard.press('Enter')
  await settle(page)
  await page.keyboard.press('Enter')
  await expect(next(page, 'A')).toHaveText('Out')
  await settle(page)
  await page.keyboard.press('Enter')
  await expect(next(page, 'A')).toContainText('Weigh out')
  await expect(lane(page, 'A')).toContainText('cool about')
  await expect(page.locator('[data-kept]')).toHaveCount(0)
  const { lanes: [stood] } = await bench(page)
  await page.keyboard.press('Enter')
  await takeReading(page, '204.1')
  await expect(next(page, 'A')).toHaveText('Finish')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(new RegExp(`/runs/${stood!.runId}$`))
  await expect(page.locator('[data-figure=time]')).toHaveText(/^0:0\d$/)
  const { record } = (await (await page.request.get(`/api/runs/${stood!.runId}`)).json()) as RunPage
  expect(record.events.map(event => event.kind)).toEqual(['lit', 'potOn', 'reading', 'lidOff', 'settingChanged', 'rollingBoil', 'shutOff'])
  expect(record.events.map(event => event.atMs)).toEqual(stood!.state.marks.map(mark => mark.atMs - stood!.state.marks[0]!.atMs))
  expect(Object.fromEntries(record.measurements.map(one => [one.quantity, one.typed]))).toMatchObject({ fuelBefore: '212.4', fuelAfter: '204.1', wind: '0.4 m/s', water: '473 g' })
  await expect(page.getByText('steam at the lid')).toBeVisible()
})

test('boil and burn out on two lanes, with a reload and a killed server in the middle: the stored runs are what was pressed', async ({ page, faults }) => {
  const server = await ownServer()
  try {
    for (const name of ['A', 'B']) await armLane(page, name, { method: 'Boil, then burn out', setup: 'Lahar in the cone', fuel: 'Methanol', base: server.url, measured: { Load: '24 g' } })
    const pressed: { lane: string, words: string }[] = []
    const press = async (name: string) => {
      const button = next(page, name)
      pressed.push({ lane: name, words: (await button.locator('.lane-next-words').innerText()) })
      await button.click()
      await settle(page)
    }
    await press('A')
    await press('B')
    await press('A')
    server.kill()
    await press('B')
    await press('A')
    await expect(lane(page, 'A').locator('[data-kept]')).toContainText('kept here')
    await expect(page.locator('[data-offline]')).toBeVisible()
    await press('B')
    await server.again()
    await expect(page.locator('[data-kept]')).toHaveCount(0)
    const before = await lane(page, 'A').getByRole('timer').innerText()
    await page.reload()
    await expect(next(page, 'A')).toHaveText('Boil')
    expect(await lane(page, 'A').getByRole('timer').innerText() >= before).toBe(true)
    for (const name of ['A', 'B', 'A', 'B']) await press(name)
    expect(pressed.map(one => one.lane + one.words)).toEqual(['ALight', 'BLight', 'AFull flame', 'BFull flame', 'APot on', 'BPot on', 'ABoil', 'BBoil', 'AFlame out', 'BFlame out'])
    const { lanes } = (await (await page.request.get(`${server.url}/api/bench`)).json()) as Bench
    for (const one of lanes) {
      expect(one.state.marks.map(mark => mark.kind)).toEqual(['lit', 'bloomed', 'potOn', 'rollingBoil', 'flameOut'])
      await next(page, one.lane).click()
      await expect(page).toHaveURL(new RegExp(`/runs/${one.runId}$`))
      const { record } = (await (await page.request.get(`${server.url}/api/runs/${one.runId}`)).json()) as RunPage
      expect(record.events.map(event => [event.kind, event.atMs])).toEqual(one.state.marks.map(mark => [mark.kind, mark.atMs - one.state.marks[0]!.atMs]))
      await open(page, `${server.url}/bench`)
    }
  } finally {
    await page.goto('about:blank')
    await server.stop()
  }
  // The browser says of each lost connection that it was lost; that was the point. Requests went to the test's own server.
  faults.splice(0)
})

test('at 390 px by touch: armed, lit, the pot on, water read, given up with a reason', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, baseURL, serviceWorkers: 'block' })
  const page = await context.newPage()
  await armLane(page, 'A')
  await lane(page, 'A').getByRole('button', { name: 'Skip' }).tap()
  for (const words of ['Light', 'Pot on']) {
    await expect(next(page, 'A')).toContainText(words)
    const box = (await next(page, 'A').boundingBox())!
    expect([Math.round(box.height), box.y + box.height <= 844]).toEqual([144, true])
    await next(page, 'A').tap()
    await settle(page)
  }
  await lane(page, 'A').getByRole('button', { name: /^Water/ }).tap()
  await page.getByLabel('Reading', { exact: true }).fill('48')
  await page.getByRole('button', { name: 'Take' }).tap()
  await expect(lane(page, 'A').getByRole('button', { name: /^Water 48\.0/ })).toBeVisible()
  await lane(page, 'A').getByRole('button', { name: 'Flame out' }).tap()
  await expect(lane(page, 'A')).toContainText('Feeding another?')
  await lane(page, 'A').getByRole('button', { name: 'No, it is over' }).tap()
  await lane(page, 'A').getByRole('button', { name: /^Undo flame out/ }).tap()
  await expect(lane(page, 'A')).toHaveAttribute('data-state', 'burning')
  await expect.poll(async () => (await bench(page)).lanes[0]!.state.marks.map(mark => mark.kind)).toEqual(['lit', 'potOn', 'reading'])
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await context.close()
})

test('a fed test is stopped by rain: pieces with their mass, a gap, and no failure to boil', async ({ page }) => {
  await armLane(page, 'A', { method: 'Fed with tablets or sticks', setup: 'Lapilli with wrap', fuel: 'Hexamine', measured: { Load: '14 g' } })
  const runId = await standing(page)
  for (const words of ['Light', 'Pot on']) {
    await expect(next(page, 'A')).toContainText(words)
    await page.keyboard.press('Enter')
    await settle(page)
  }
  await takeReading(page, '61')
  await page.keyboard.press('o')
  await expect(lane(page, 'A')).toContainText(/Flame out 0:0\d, water 61 °C\. Feeding another\?/)
  await page.keyboard.press('t')
  await takeReading(page, '4.1 g')
  await lane(page, 'A').getByRole('button', { name: 'Lit again' }).click()
  await expect(lane(page, 'A')).toHaveAttribute('data-state', 'burning')
  await page.keyboard.press('x')
  await page.getByLabel('Reason').fill('rain')
  await page.getByRole('button', { name: 'Stopped from outside' }).click()
  await lane(page, 'A').getByRole('button', { name: 'Skip' }).click()
  await next(page, 'A').click()
  await expect(page).toHaveURL(new RegExp(`/runs/${runId}$`))
  const { record, answer } = (await (await page.request.get(`/api/runs/${runId}`)).json()) as RunPage
  expect(record.events.map(({ kind, massG, waterC, reason }) => [kind, massG ?? waterC ?? reason])).toEqual([['lit', null], ['potOn', null], ['reading', 61], ['flameOut', null], ['fuelAdded', 4.1], ['relit', null], ['stopped', 'rain']])
  expect(answer.ended).toBe('stopped')
})

test('four lanes are lit together, and a second device shows them within 300 ms; the same mark from both is one event', async ({ page, browser, baseURL }) => {
  for (const name of ['A', 'B', 'C', 'D']) {
    await armLane(page, name)
    await lane(page, name).getByRole('button', { name: 'Skip' }).click()
  }
  const other = await browser.newContext({ baseURL, serviceWorkers: 'block' })
  const phone = await other.newPage()
  await open(phone, '/bench')
  await expect(next(phone, 'D')).toBeVisible()
  await page.keyboard.press('w')
  const lag = phone.evaluate(() => new Promise<number>((resolve) => {
    const watch = () => (document.querySelectorAll('[data-state=burning]').length === 4 ? resolve(performance.timeOrigin + performance.now()) : requestAnimationFrame(watch))
    watch()
  }))
  const pressedAt = await page.evaluate(() => {
    [...document.querySelectorAll('button')].find(button => button.textContent!.trim().startsWith('Light A'))!.click()
    return performance.timeOrigin + performance.now()
  })
  expect(await lag - pressedAt).toBeLessThan(1000)
  await settle(page)
  // One mark alone, as it is pressed here and shown there.
  const seen = phone.evaluate(() => new Promise<number>((resolve) => {
    const watch = () => (document.querySelector('[data-lane=A] .lane-next-words')!.textContent === 'Boil' ? resolve(performance.timeOrigin + performance.now()) : requestAnimationFrame(watch))
    watch()
  }))
  const at = await page.evaluate(() => {
    document.querySelector<HTMLElement>('[data-lane=A] [data-next]')!.click()
    return performance.timeOrigin + performance.now()
  })
  expect(await seen - at).toBeLessThan(300)
  await settle(page)
  await Promise.all([next(page, 'A').click(), next(phone, 'A').click()])
  await expect(next(page, 'A')).toHaveText('Out')
  await expect(next(phone, 'A')).toHaveText('Out')
  await expect.poll(async () => (await bench(page)).lanes[0]!.state.marks.at(-1)).toMatchObject({ kind: 'rollingBoil', twins: [{ kind: 'rollingBoil' }] })
  await page.keyboard.press('w')
  await page.getByRole('button', { name: /^Stopped from outside A B C D/ }).click()
  await expect(phone.locator('[data-state=burning]')).toHaveCount(0)
  await other.close()
})
