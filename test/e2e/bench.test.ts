/**
 * The bench beside the flame, as a person has it: keys, thumbs, a reload, a dead server, two devices; the stored run
 * equals what was pressed.
 */
import type { Page } from '@playwright/test'
import sharp from 'sharp'
import type { Bench } from '../../shared/bench'
import type { RunPage } from '../../shared/runRecord'
import { choose, expect, open, test } from './page'
import { clearBench, EVERY_STATE, markElsewhere, stage } from '../../scripts/lib/stageBench.mjs'
import { ownServer } from './ownServer'
import { afterAPress, openEmpty } from './typing'

const bench = async (page: Page) => (await (await page.request.get('/api/bench')).json()) as Bench
const lane = (page: Page, name: string) => page.getByRole('region', { name: `Lane ${name}` })
const next = (page: Page, name: string) => lane(page, name).locator('[data-next]')
/** The run of the first lane, once the server has it. */
async function standing(page: Page): Promise<string> {
  await expect.poll(async () => (await bench(page)).lanes.length).toBeGreaterThan(0)
  return (await bench(page)).lanes[0]!.runId
}

async function armLane(
  page: Page,
  name: string,
  {
    method = 'Boil',
    setup = 'Ignimbrite, plain',
    fuel = 'Isobutane',
    measured = {} as Record<string, string>,
    base = '',
    offline = false,
  } = {},
): Promise<void> {
  // Without the server nothing is taken from the last run.
  await (offline ? open : openEmpty)(page, `${base}/bench/prepare?lane=${name}`)
  await choose(page.getByLabel('Method'), method)
  await choose(page.getByLabel('Set-up', { exact: true }), setup)
  await choose(page.getByLabel('Fuel', { exact: true }), fuel)
  await choose(page.getByLabel('Who'), 'Odra Vell')
  await choose(page.getByLabel('Place', { exact: true }), 'Ash Gate hut')
  for (const [label, text] of Object.entries({
    Water: '473 g',
    'Start temperature': '19 °C',
    Air: '18 °C',
    Wind: 'calm',
    ...measured,
  }))
    await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByRole('button', { name: `Arm lane ${name}` }).click()
  await expect(lane(page, name)).toBeVisible()
}

async function takeReading(page: Page, text: string): Promise<void> {
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
}

test.afterEach(({ baseURL }) => clearBench(baseURL!))

test('a whole run by keyboard alone: weighed in, lit, read, boiled, out, weighed out, and its page', async ({
  page,
}) => {
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
  await afterAPress(page)
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
  await afterAPress(page)
  await page.keyboard.press('Enter')
  await expect(next(page, 'A')).toHaveText('Out')
  await afterAPress(page)
  await page.keyboard.press('Enter')
  await expect(next(page, 'A')).toContainText('Weigh out')
  await expect(lane(page, 'A')).toContainText('cool about')
  await expect(page.locator('[data-kept]')).toHaveCount(0)
  const {
    lanes: [stood],
  } = await bench(page)
  await page.keyboard.press('Enter')
  await takeReading(page, '204.1')
  await expect(next(page, 'A')).toHaveText('Finish')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(new RegExp(`/runs/${stood!.runId}$`))
  await expect(page.locator('[data-figure=time]')).toHaveText(/^0:0\d$/)
  const { record } = (await (await page.request.get(`/api/runs/${stood!.runId}`)).json()) as RunPage
  expect(record.events.map((event) => event.kind)).toEqual([
    'lit',
    'potOn',
    'reading',
    'lidOff',
    'settingChanged',
    'rollingBoil',
    'shutOff',
  ])
  expect(record.events.map((event) => event.atMs)).toEqual(
    stood!.state.marks.map((mark) => mark.atMs - stood!.state.marks[0]!.atMs),
  )
  expect(Object.fromEntries(record.measurements.map((one) => [one.quantity, one.typed]))).toMatchObject({
    fuelBefore: '212.4',
    fuelAfter: '204.1',
    wind: '0.4 m/s',
    water: '473 g',
  })
  await expect(page.getByText('steam at the lid')).toBeVisible()
})

test('boil and burn out on two lanes, with a reload and a killed server in the middle: the stored runs are what was pressed', async ({
  page,
  faults,
}) => {
  const server = await ownServer()
  try {
    for (const name of ['A', 'B'])
      await armLane(page, name, {
        method: 'Boil, then burn out',
        setup: 'Lahar in the cone',
        fuel: 'Methanol',
        base: server.url,
        measured: { Load: '24 g' },
      })
    const pressed: { lane: string; words: string }[] = []
    const press = async (name: string) => {
      const button = next(page, name)
      pressed.push({ lane: name, words: await button.locator('.lane-next-words').innerText() })
      await button.click()
      await afterAPress(page)
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
    expect((await lane(page, 'A').getByRole('timer').innerText()) >= before).toBe(true)
    for (const name of ['A', 'B', 'A', 'B']) await press(name)
    expect(pressed.map((one) => one.lane + one.words)).toEqual([
      'ALight',
      'BLight',
      'AFull flame',
      'BFull flame',
      'APot on',
      'BPot on',
      'ABoil',
      'BBoil',
      'AFlame out',
      'BFlame out',
    ])
    const { lanes } = (await (await page.request.get(`${server.url}/api/bench`)).json()) as Bench
    for (const one of lanes) {
      expect(one.state.marks.map((mark) => mark.kind)).toEqual(['lit', 'bloomed', 'potOn', 'rollingBoil', 'flameOut'])
      await next(page, one.lane).click()
      await expect(page).toHaveURL(new RegExp(`/runs/${one.runId}$`))
      const { record } = (await (await page.request.get(`${server.url}/api/runs/${one.runId}`)).json()) as RunPage
      expect(record.events.map((event) => [event.kind, event.atMs])).toEqual(
        one.state.marks.map((mark) => [mark.kind, mark.atMs - one.state.marks[0]!.atMs]),
      )
      await open(page, `${server.url}/bench`)
    }
  } finally {
    await page.goto('about:blank')
    await server.stop()
  }
  // The browser says of each lost connection that it was lost; that was the point. Requests went to the test's own
  // server.
  faults.splice(0)
})

test('at 390 px by touch: armed, lit, the pot on, water read, given up with a reason', async ({ browser, baseURL }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    baseURL,
    serviceWorkers: 'block',
  })
  const page = await context.newPage()
  await armLane(page, 'A')
  await lane(page, 'A').getByRole('button', { name: 'Skip' }).tap()
  for (const words of ['Light', 'Pot on']) {
    await expect(next(page, 'A')).toContainText(words)
    const box = (await next(page, 'A').boundingBox())!
    expect([Math.round(box.height), box.y + box.height <= 844]).toEqual([144, true])
    await next(page, 'A').tap()
    await afterAPress(page)
  }
  await lane(page, 'A')
    .getByRole('button', { name: /^Water/ })
    .tap()
  await page.getByLabel('Reading', { exact: true }).fill('48')
  await page.getByRole('button', { name: 'Take' }).tap()
  await expect(lane(page, 'A').getByRole('button', { name: /^Water 48\.0/ })).toBeVisible()
  await lane(page, 'A').getByRole('button', { name: 'Flame out' }).tap()
  await expect(lane(page, 'A')).toContainText('Feeding another?')
  await lane(page, 'A').getByRole('button', { name: 'No, it is over' }).tap()
  await lane(page, 'A')
    .getByRole('button', { name: /^Undo flame out/ })
    .tap()
  await expect(lane(page, 'A')).toHaveAttribute('data-state', 'burning')
  await expect
    .poll(async () => (await bench(page)).lanes[0]!.state.marks.map((mark) => mark.kind))
    .toEqual(['lit', 'potOn', 'reading'])
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await context.close()
})

test('a fed test is stopped by rain: pieces with their mass, a gap, and no failure to boil', async ({ page }) => {
  await armLane(page, 'A', {
    method: 'Fed with tablets or sticks',
    setup: 'Lapilli with wrap',
    fuel: 'Hexamine',
    measured: { Load: '14 g' },
  })
  const runId = await standing(page)
  for (const words of ['Light', 'Pot on']) {
    await expect(next(page, 'A')).toContainText(words)
    await page.keyboard.press('Enter')
    await afterAPress(page)
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
  expect(record.events.map(({ kind, massG, waterC, reason }) => [kind, massG ?? waterC ?? reason])).toEqual([
    ['lit', null],
    ['potOn', null],
    ['reading', 61],
    ['flameOut', null],
    ['fuelAdded', 4.1],
    ['relit', null],
    ['stopped', 'rain'],
  ])
  expect(answer.ended).toBe('stopped')
})

test(
  'four lanes are lit together, and a second device shows them within 300 ms; the same mark from both is one event',
  { tag: '@by-the-clock' },
  async ({ page, browser, baseURL }) => {
    await stage(
      baseURL!,
      (['A', 'B', 'C', 'D'] as const).map((name) => ({ lane: name, measured: { fuelBefore: '210 g' } })),
    )
    await open(page, '/bench')
    await expect(next(page, 'D')).toBeVisible()
    const other = await browser.newContext({ baseURL, serviceWorkers: 'block' })
    const phone = await other.newPage()
    await open(phone, '/bench')
    await expect(next(phone, 'D')).toBeVisible()
    await page.keyboard.press('w')
    const lag = phone.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const watch = () =>
            document.querySelectorAll('[data-state=burning]').length === 4
              ? resolve(performance.timeOrigin + performance.now())
              : requestAnimationFrame(watch)
          watch()
        }),
    )
    const pressedAt = await page.evaluate(() => {
      ;[...document.querySelectorAll('button')]
        .find((button) => button.textContent!.trim().startsWith('Light A'))!
        .click()
      return performance.timeOrigin + performance.now()
    })
    expect((await lag) - pressedAt).toBeLessThan(2000)
    await afterAPress(page)
    // One mark alone, as it is pressed here and shown there; the middle of four, since a machine that others use may
    // stumble once.
    const lags: number[] = []
    for (const name of ['A', 'B', 'C', 'D']) {
      const seen = phone.evaluate(
        (wanted) =>
          new Promise<number>((resolve) => {
            const watch = () =>
              document.querySelector(`[data-lane=${wanted}] .lane-next-words`)!.textContent === 'Boil'
                ? resolve(performance.timeOrigin + performance.now())
                : requestAnimationFrame(watch)
            watch()
          }),
        name,
      )
      const at = await page.evaluate((wanted) => {
        document.querySelector<HTMLElement>(`[data-lane=${wanted}] [data-next]`)!.click()
        return performance.timeOrigin + performance.now()
      }, name)
      lags.push((await seen) - at)
    }
    expect(lags.sort((a, b) => a - b)[2]).toBeLessThan(300)
    await afterAPress(page)
    // At the same moment of the one clock: a press that came later would find Next gone on.
    const together = Date.now() + 500
    for (const one of [page, phone])
      await one.evaluate(
        (at) =>
          void setTimeout(
            () => document.querySelector<HTMLElement>('[data-lane=A] [data-next]')!.click(),
            at - Date.now(),
          ),
        together,
      )
    await expect(next(page, 'A')).toHaveText('Out')
    await expect(next(phone, 'A')).toHaveText('Out')
    await expect
      .poll(async () => (await bench(page)).lanes[0]!.state.marks.at(-1))
      .toMatchObject({ kind: 'rollingBoil', twins: [{ kind: 'rollingBoil' }] })
    await page.keyboard.press('w')
    await page.getByRole('button', { name: /^Stopped from outside A B C D/ }).click()
    await expect(phone.locator('[data-state=burning]')).toHaveCount(0)
    await other.close()
  },
)

test(
  'the network is cut for a while, the date is changed, the page is frozen: every mark is there once, at its time, and the fault is said',
  { tag: '@by-the-clock' },
  async ({ page, faults }) => {
    await armLane(page, 'A')
    await lane(page, 'A').getByRole('button', { name: 'Skip' }).click()
    await page.keyboard.press('Enter')
    await afterAPress(page)
    await page.context().setOffline(true)
    await page.keyboard.press('Enter')
    await expect(lane(page, 'A').locator('[data-kept]')).toContainText('1 mark kept here')
    // The date alone goes forward an hour: the clock does not.
    const shownS = async () =>
      (await lane(page, 'A').getByRole('timer').innerText())
        .split(':')
        .reduce((sum, part) => sum * 60 + Number(part), 0)
    const before = await shownS()
    await page.evaluate(() => {
      const real = Date.now.bind(Date)
      Date.now = () => real() + 3_600_000
    })
    await expect.poll(shownS).toBeGreaterThan(before)
    expect((await shownS()) - before).toBeLessThan(5)
    await takeReading(page, '40')
    const devtools = await page.context().newCDPSession(page)
    await devtools.send('Page.setWebLifecycleState', { state: 'frozen' })
    const frozenMs = (await bench(page)).serverMs
    await expect.poll(async () => (await bench(page)).serverMs - frozenMs).toBeGreaterThan(3000)
    await devtools.send('Page.setWebLifecycleState', { state: 'active' })
    await expect.poll(async () => (await shownS()) - before).toBeGreaterThanOrEqual(4)
    await page.keyboard.press('Enter')
    const boilS = await shownS()
    await expect(next(page, 'A')).toHaveText('Out')
    await page.context().setOffline(false)
    await expect(page.locator('[data-kept]')).toHaveCount(0)
    const {
      lanes: [stood],
    } = await bench(page)
    const [lit, potOn, reading, boil] = stood!.state.marks
    expect(stood!.state.marks.map((mark) => mark.kind)).toEqual(['lit', 'potOn', 'reading', 'rollingBoil'])
    expect(Math.abs((boil!.atMs - potOn!.atMs) / 1000 - boilS)).toBeLessThan(1.5)
    expect(reading!.atMs - lit!.atMs).toBeLessThan(20_000)
    faults.splice(0)
  },
)

test('what the strip is told while a lane burns is asked about; the margin and the run’s page name a second press', async ({
  page,
}) => {
  await armLane(page, 'A')
  const runId = await standing(page)
  await lane(page, 'A').getByRole('button', { name: 'Skip' }).click()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await afterAPress(page)
  await page.keyboard.press('m')
  const margin = page.getByRole('complementary', { name: 'Margin' })
  await expect(margin).toContainText(/Lit: pressed again 0\.\d s later\. Kept, nothing advanced/)
  await page.keyboard.press('m')
  await expect(margin.getByRole('table')).toHaveCount(0)
  await page.getByRole('button', { name: 'Now, then' }).click()
  await page.getByLabel('Air', { exact: true }).fill('7.5 °C')
  await page.getByRole('button', { name: 'Set what is so now' }).click()
  await page
    .getByRole('group', { name: 'Do burning runs follow?' })
    .getByRole('button', { name: 'Yes, it is read there too' })
    .click()
  await expect(page.getByRole('group', { name: 'Do burning runs follow?' })).toHaveCount(0)
  await next(page, 'A').focus()
  await page.keyboard.press('x')
  await page.getByRole('button', { name: 'Stopped from outside' }).click()
  await lane(page, 'A').getByRole('button', { name: 'Skip' }).click()
  await next(page, 'A').click()
  await expect(page).toHaveURL(new RegExp(`/runs/${runId}$`))
  await expect(page.getByRole('region', { name: 'Other presses' })).toContainText(/Lit: pressed again 0\.\d s later/)
  await expect(page.locator('[data-reading=air]')).toHaveText('7.5 °C')
  await expect(page.getByRole('region', { name: 'History' })).toContainText('18 °C → 7.5 °C. read again on the bench')
})

test('two tabs on one lane show the same; two calls of the boil are asked about; what a lane’s window misses is said', async ({
  page,
  context,
  baseURL,
}) => {
  await armLane(page, 'A', { measured: { 'Start temperature': '30 °C' } })
  await expect(lane(page, 'A')).toContainText('Start 30.0 °C is outside the method’s 18.0 to 22.0 °C.')
  await lane(page, 'A').getByRole('button', { name: 'Skip' }).click()
  const tab = await context.newPage()
  await open(tab, '/bench')
  // Passed over in one tab is passed over in the other.
  await expect(next(tab, 'A')).toContainText('Light')
  await next(tab, 'A').click()
  await expect(next(page, 'A')).toHaveText('Pot on')
  await afterAPress(page)
  await next(page, 'A').click()
  await expect(next(tab, 'A')).toHaveText('Boil')
  // Only one of the two holds a stream.
  const streams = await Promise.all(
    [page, tab].map((one) =>
      one.evaluate(
        () =>
          performance.getEntriesByType('resource').filter((entry) => entry.name.endsWith('/api/bench/stream')).length,
      ),
    ),
  )
  expect(streams.filter((count) => count > 0).length).toBeLessThanOrEqual(1)
  await afterAPress(page)
  await next(page, 'A').click()
  await expect.poll(async () => (await bench(page)).lanes[0]!.state.marks.length).toBe(3)
  const {
    runId,
    state: { marks },
  } = (await bench(page)).lanes[0]!
  await markElsewhere(baseURL!, runId, marks.at(-1)!.atMs + 9000, { type: 'mark', kind: 'rollingBoil', payload: {} })
  await expect(lane(page, 'A')).toContainText(/Boil called at 0:0\d and at 0:\d\d\. Which\?/)
  const later = (await lane(page, 'A').locator('.bench-says-answer').last().innerText()).trim()
  await lane(page, 'A').locator('.bench-says-answer').last().click()
  await expect
    .poll(async () => {
      const { state } = (await bench(page)).lanes[0]!
      const at = (kind: string) => state.marks.find((mark) => mark.kind === kind)!.atMs
      return Math.round((at('rollingBoil') - at('potOn')) / 1000)
    })
    .toBe(Number(later.split(':')[1]))
})

test('the rest of the bench’s controls: nudge, skip, pedal, glance, prompts, clear, keys re-mapped, a photo', async ({
  page,
}) => {
  await armLane(page, 'A')
  await page.getByRole('button', { name: 'Learn a button' }).click()
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('button', { name: 'Pedal: PageDown' })).toBeVisible()
  await page.keyboard.press('PageDown')
  await takeReading(page, '212 g')
  await expect(next(page, 'A')).toContainText('Light')
  await page.keyboard.press('PageDown')
  await expect(next(page, 'A')).toHaveText('Pot on')
  await expect.poll(async () => (await bench(page)).lanes[0]?.state.marks.length).toBe(1)
  const litAt = (await bench(page)).lanes[0]!.state.marks[0]!.atMs
  for (const key of [',', ',', '.']) await page.keyboard.press(key)
  await expect.poll(async () => (await bench(page)).lanes[0]!.state.marks[0]!.atMs - litAt).toBe(-1000)
  await page.keyboard.press('g')
  const capital = page.getByRole('region', { name: 'Glance' }).getByText('A', { exact: true })
  expect(
    await capital.evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize) * 0.68),
  ).toBeGreaterThanOrEqual(128)
  await page.keyboard.press('g')
  await expect(page.getByRole('region', { name: 'Glance' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Sound on' }).click()
  await page.getByRole('button', { name: 'Speech off' }).click()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Sound off' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Speech on' })).toBeVisible()
  await page.keyboard.press('?')
  await page.getByLabel('Bench: knock').fill('q')
  await page.getByLabel('Bench: knock').blur()
  await page.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('q')
  await expect.poll(async () => (await bench(page)).lanes[0]!.state.marks.at(-1)!.kind).toBe('disturbance')
  const png = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#445566' } })
    .png()
    .toBuffer()
  await lane(page, 'A')
    .locator('input[type=file]')
    .setInputFiles({ name: 'flame.png', mimeType: 'image/png', buffer: png })
  await expect.poll(async () => (await bench(page)).lanes[0]!.photos).toBe(1)
  await page.keyboard.press('x')
  await page.getByRole('button', { name: 'Given up: it does not boil' }).click()
  await expect(lane(page, 'A')).toHaveAttribute('data-state', 'cooling')
  await armLane(page, 'B')
  await page.keyboard.press('x')
  await page.getByRole('button', { name: 'Clear the lane' }).click()
  await expect(lane(page, 'B')).toHaveCount(0)
})

test('once visited, the Bench opens without the server, lanes and all; what is marked there is sent when it is back', async ({
  browser,
  faults,
}) => {
  const server = await ownServer()
  const context = await browser.newContext({
    baseURL: server.url,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'allow',
  })
  const page = await context.newPage()
  try {
    await armLane(page, 'A')
    await page.waitForFunction(
      async () =>
        (await navigator.serviceWorker.ready).active?.state === 'activated' &&
        (await caches.match('/bench', { ignoreSearch: true })) !== undefined,
    )
    await lane(page, 'A').getByRole('button', { name: 'Skip' }).click()
    await next(page, 'A').click()
    await expect(page.locator('[data-kept]')).toHaveCount(0)
    server.kill()
    await open(page, '/bench')
    await expect(next(page, 'A')).toHaveText('Pot on')
    await afterAPress(page)
    await next(page, 'A').click()
    await expect(lane(page, 'A').locator('[data-kept]')).toContainText('kept here')
    await page.reload()
    await expect(next(page, 'A')).toHaveText('Boil')
    // A lane is prepared too, from the kit as it was last seen.
    await armLane(page, 'B', { offline: true })
    await page.goto('/runs')
    await expect(page.getByRole('heading', { name: 'The server does not answer' })).toBeVisible()
    await page.getByRole('link', { name: 'The Bench' }).click()
    await expect(lane(page, 'B')).toBeVisible()
    await server.again()
    await expect(page.locator('[data-kept]')).toHaveCount(0)
    const { lanes } = (await (await page.request.get(`${server.url}/api/bench`)).json()) as Bench
    expect(lanes.map((one) => [one.lane, one.state.marks.map((mark) => mark.kind)])).toEqual([
      ['A', ['lit', 'potOn']],
      ['B', []],
    ])
    // The second mark was made before a reload without the server, and is where it was pressed.
    expect(lanes[0]!.state.marks[1]!.atMs - lanes[0]!.state.marks[0]!.atMs).toBeLessThan(30_000)
  } finally {
    await context.close()
    await server.stop()
  }
  faults.splice(0)
})

// WCAG 2.2, 2.5.8 asks 24 px of a target; interface: 64 px beside a flame. A scroll bar takes 15 px of 1280.
for (const light of ['day', 'glare']) {
  test(`from one lane to six, beside a scroll bar, nothing of a lane is cut in ${light}`, async ({
    page,
    baseURL,
    context,
  }) => {
    await context.addCookies([
      { name: 'vulcanum_light', value: encodeURIComponent(JSON.stringify(light)), url: baseURL! },
    ])
    await page.setViewportSize({ width: 1265, height: 720 })
    for (const count of [1, 2, 3, 4, 6]) {
      await clearBench(baseURL!)
      await stage(baseURL!, EVERY_STATE.slice(0, count))
      await open(page, '/bench')
      await expect(page.locator('.lane')).toHaveCount(count)
      const cut = await page.evaluate(() => {
        const right = document.querySelector('.bench-spine')!.getBoundingClientRect().left
        const inside = (part: DOMRect, whole: DOMRect) =>
          part.left >= whole.left - 1 &&
          part.right <= whole.right + 1 &&
          part.top >= whole.top - 1 &&
          part.bottom <= whole.bottom + 1
        return [...document.querySelectorAll<HTMLElement>('.lane')].flatMap((one) => {
          const box = one.getBoundingClientRect()
          const says = one.querySelector<HTMLElement>('.lane-says')
          return [
            ...(box.right > right + 1 ? [`lane ${one.dataset.lane!} ends at ${box.right}`] : []),
            ...[...one.querySelectorAll('button')]
              .filter((button) => !inside(button.getBoundingClientRect(), box))
              .map((button) => `lane ${one.dataset.lane!}: ${button.textContent}`),
            ...(says && says.scrollHeight > says.clientHeight + 1
              ? [`lane ${one.dataset.lane!}: ${says.textContent}`]
              : []),
            ...[...(says?.querySelectorAll('button') ?? [])]
              .filter(
                (button) =>
                  !inside(button.getBoundingClientRect(), says!.getBoundingClientRect()) ||
                  button.getBoundingClientRect().height < 64,
              )
              .map((button) => `lane ${one.dataset.lane!}, asked: ${button.textContent}`),
          ]
        })
      })
      expect(cut, `${count} lanes`).toEqual([])
    }
    await clearBench(baseURL!)
  })
}
