/**
 * Simulated instruments on two lanes at sixty times a stove's pace, with a reload and a killed server in the middle:
 * what is stored is what was sent, sample for sample.
 */
import { fork, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import { anyFreePort } from '../../scripts/lib/ports.mjs'
import { clearBench, mark, stage } from '../../scripts/lib/stageBench.mjs'
import type { Bench, SamplesPush } from '../../shared/bench'
import type { NewFeed } from '../../shared/feed'
import { ownServer } from './ownServer'
import { choose, chosenIn, expect, open, test } from './page'
import { afterAPress } from './typing'

/** [ms since 1970, value as it was sent]. */
const sentBy = (file: string) =>
  readFileSync(file, 'utf8')
    .trim()
    .split('\n')
    .map((line): [number, number] => [Number(line.split(',')[0]), Number(line.split(',')[2])])

test('two lanes, four instruments, a reload and a killed server: every sample that was sent is stored once', async ({
  browser,
  request,
}) => {
  test.setTimeout(120_000)
  const port = (await anyFreePort()) as number
  const server = await ownServer(null, port)
  const folder = mkdtempSync(join(tmpdir(), 'vulcanum-instruments-'))
  const programs: ChildProcess[] = []
  try {
    await clearBench(server.url)
    await stage(server.url, [
      { lane: 'A', measured: { fuelBefore: '210 g' } },
      { lane: 'B', measured: { fuelBefore: '210 g' } },
    ])
    const logs: Record<string, string> = {}
    for (const lane of ['A', 'B']) {
      for (const [kind, channel] of [
        ['thermometer', 'water'],
        ['scale', 'scale'],
      ] as const) {
        const made = (await (
          await request.post(`${server.url}/api/instruments/feeds`, {
            data: { id: uuidv7(), name: `${kind} ${lane}`, lanes: { [channel]: [lane] } },
          })
        ).json()) as { value: NewFeed }
        const log = (logs[`${lane} ${channel}`] = join(folder, `${lane}-${kind}.csv`))
        programs.push(
          fork(
            join(process.cwd(), 'simulators', `${kind}.ts`),
            [
              '--port',
              String(port),
              '--bench',
              server.url,
              '--lane',
              lane,
              '--hz',
              '10',
              '--speed',
              '60',
              '--log',
              log,
            ],
            {
              execArgv: ['--import', 'tsx'],
              env: { ...process.env, VULCANUM_TOKEN: made.value.token },
              stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
            },
          ),
        )
      }
    }
    const page = await (
      await browser.newContext({ baseURL: server.url, viewport: { width: 1280, height: 800 } })
    ).newPage()
    await open(page, '/bench')
    const lane = (name: string) => page.locator(`[data-lane=${name}]`)
    await expect(lane('A').getByText('sent', { exact: false }).first()).toBeVisible({ timeout: 20_000 })
    const standing = async () => (await (await request.get(`${server.url}/api/bench`)).json()) as Bench
    const marksOf = async (name: string) =>
      (await standing()).lanes.find((one) => one.lane === name)?.state.marks.map((mark) => mark.kind)
    for (const name of ['A', 'B']) {
      await page.keyboard.press(name.toLowerCase())
      await page.keyboard.press('Space')
      await expect.poll(() => marksOf(name)).toEqual(['lit'])
      await afterAPress(page)
      await page.keyboard.press('Space')
      await expect.poll(() => marksOf(name)).toEqual(['lit', 'potOn'])
    }
    await page.reload()
    await expect(lane('B').getByText('sent', { exact: false }).first()).toBeVisible()
    server.kill()
    await expect(page.locator('[data-offline]')).toBeVisible()
    await server.again()
    // At sixty times the pace the water boils within seconds; nobody pressed, and the trace says when.
    await expect(lane('A').getByText(/The readings say it boiled at/)).toBeVisible({ timeout: 30_000 })
    await lane('A').getByRole('button', { name: 'I was late' }).click()
    await page.keyboard.press('b')
    await page.keyboard.press('Space')
    for (const name of ['A', 'B']) {
      await expect.poll(() => marksOf(name)).toEqual(['lit', 'potOn', 'rollingBoil'])
      await page.keyboard.press(name.toLowerCase())
      await page.keyboard.press('o')
      await expect.poll(() => marksOf(name)).toEqual(['lit', 'potOn', 'rollingBoil', 'flameOut'])
    }
    const bench = await standing()
    // Each ends when what it sent is stored.
    for (const one of programs) one.kill('SIGTERM')
    await Promise.all(programs.map((one) => one.exitCode ?? once(one, 'exit')))
    const acts = bench.lanes.map(({ runId }) => ({
      id: uuidv7(),
      runId,
      units: 'metric',
      atMs: bench.serverMs + 60_000,
      monoMs: 0,
      wallMs: Date.now(),
      clockSession: 'test',
      deed: { type: 'finish' },
    }))
    expect(
      (
        await request.post(`${server.url}/api/bench/acts`, { data: { device: { id: uuidv7(), name: 'test' }, acts } })
      ).status(),
    ).toBe(200)
    const { Client } = (await import('pg')).default
    const sql = new Client({ connectionString: process.env.DATABASE_URL })
    await sql.connect()
    for (const { lane: name, runId } of bench.lanes) {
      for (const channel of ['water', 'scale']) {
        const { rows } = await sql.query<{ at: number; v: number }>(
          'select extract(epoch from r.started_at) * 1000 + t.ms as at, t.v from run r join trace on trace.run_id = r.id join trace_chunk c on c.trace_id = trace.id, unnest(c.t_ms, c.v) as t (ms, v) where r.id = $1 and trace.channel = $2 order by 1',
          [runId, channel],
        )
        const stored = rows.map(({ at, v }): [number, number] => [
          Math.round(Number(at)),
          Number((channel === 'scale' ? v * 1000 : v).toFixed(6)),
        ])
        const sent = sentBy(logs[`${name} ${channel}`]!)
        expect(sent.length, `${name} ${channel}`).toBeGreaterThan(60)
        expect(stored, `${name} ${channel}`).toEqual(sent)
      }
    }
    await sql.end()
  } finally {
    for (const one of programs) one.kill('SIGKILL')
    await clearBench(server.url).catch(() => undefined)
    await server.stop()
    rmSync(folder, { recursive: true, force: true })
  }
})

/** What a stream tells first: the bench, whole or what changed, and the samples. */
async function firstTold(url: string): Promise<{ bench: Bench; whole: boolean; samples: SamplesPush[] }> {
  const over = new AbortController()
  const reader = (await fetch(url, { signal: over.signal })).body!.pipeThrough(new TextDecoderStream()).getReader()
  let text = ''
  const told = (name: string) => new RegExp(`event: ${name}\\n(?:.+\\n)*?data: (.*)\\n`).exec(text)?.[1]
  while (!(told('bench') ?? told('change')) || !told('samples')) text += (await reader.read()).value ?? ''
  over.abort()
  return {
    bench: JSON.parse((told('bench') ?? told('change'))!) as Bench,
    whole: told('bench') !== undefined,
    samples: JSON.parse(told('samples')!) as SamplesPush[],
  }
}

test('a page that was away is told what came since and no more; one that has nothing, and a second tab, the whole', async ({
  page,
  request,
  baseURL,
}) => {
  await clearBench(baseURL!)
  await stage(baseURL!, [
    {
      lane: 'A',
      measured: { fuelBefore: '210 g' },
      marks: [
        [200, mark('lit', undefined)],
        [190, mark('potOn', undefined)],
      ],
    },
  ])
  const made = (await (
    await request.post('/api/instruments/feeds', { data: { id: uuidv7(), name: 'probe', lanes: { water: ['A'] } } })
  ).json()) as { value: NewFeed }
  const { serverMs } = (await (await request.get('/api/bench')).json()) as Bench
  const send = async (batch: string, fromS: number, value: number[]) => {
    const sent = await request.post(`/api/instruments/samples?batch=${batch}`, {
      headers: { authorization: `Bearer ${made.value.token}`, 'content-type': 'text/plain' },
      data: JSON.stringify({
        t: Math.round(serverMs) - fromS * 1000,
        everyMs: 1000,
        channel: 'water',
        value,
        unit: 'degC',
      }),
    })
    expect(await sent.json()).toMatchObject({ stored: value.length })
  }
  await send(
    'one',
    180,
    Array.from({ length: 60 }, (_, i) => 15 + i),
  )
  const stream = `${baseURL!}/api/bench/stream`
  const first = await firstTold(stream)
  const [{ runId }] = first.bench.lanes as [Bench['lanes'][number]]
  expect(first).toMatchObject({
    whole: true,
    samples: [{ runId, channel: 'water', seq: 1, whole: true, last: [Math.round(serverMs) - 121_000, 74] }],
  })
  expect(first.samples[0]!.points).toHaveLength(60)
  await open(page, '/bench')
  const drawn = (of: typeof page) => of.locator('[data-lane=A] .lane-trace')
  await expect(drawn(page)).toHaveAttribute('aria-label', /Water, 60 readings/)
  await send('two', 100, [80, 81, 82])
  const since = await firstTold(
    `${stream}?seen=${first.bench.seq}&had=${encodeURIComponent(JSON.stringify({ [runId]: { water: 1 } }))}`,
  )
  expect(since).toMatchObject({
    whole: false,
    bench: { seq: first.bench.seq, lanes: [] },
    samples: [{ whole: false, seq: 2, last: [Math.round(serverMs) - 98_000, 82] }],
  })
  expect(since.samples[0]!.points.map((point) => point[1])).toEqual([80, 81, 82])
  // Garbage and another database's numbers are as nothing heard.
  expect(await firstTold(`${stream}?seen=99999999&had=%7B%22a`)).toMatchObject({
    whole: true,
    samples: [{ whole: true }],
  })
  const second = await page.context().newPage()
  await open(second, '/bench')
  for (const one of [page, second]) await expect(drawn(one)).toHaveAttribute('aria-label', /Water, 63 readings/)
  await request.delete(`/api/instruments/feeds/${made.value.id}`)
  await clearBench(baseURL!)
})

test('of two server processes each shows at once what the other was sent, readings and presses; killed and come back, it shows what came meanwhile', async ({
  page,
  browser,
  request,
  baseURL,
}) => {
  await clearBench(baseURL!)
  await stage(baseURL!, [
    {
      lane: 'A',
      measured: { fuelBefore: '210 g' },
      marks: [
        [60, mark('lit', undefined)],
        [50, mark('potOn', undefined)],
      ],
    },
  ])
  const made = (await (
    await request.post('/api/instruments/feeds', { data: { id: uuidv7(), name: 'probe', lanes: { water: ['A'] } } })
  ).json()) as { value: NewFeed }
  // A second apart by their own time: a page draws what is closer than 0.4 s as one point.
  const began = Date.now()
  const send = async (to: string, value: number, agoS: number) =>
    expect(
      await (
        await request.post(`${to}/api/instruments/samples?batch=${uuidv7()}`, {
          headers: { authorization: `Bearer ${made.value.token}`, 'content-type': 'text/plain' },
          data: `${new Date(began - agoS * 1000).toISOString()},water,${value},degC`,
        })
      ).json(),
    ).toMatchObject({ stored: 1 })
  const server = await ownServer()
  const context = await browser.newContext({ baseURL: server.url, serviceWorkers: 'block' })
  try {
    const theirs = await context.newPage()
    for (const one of [page, theirs]) await open(one, '/bench')
    const lane = (of: typeof page) => of.locator('[data-lane=A]')
    await send(baseURL!, 41.5, 3)
    for (const one of [page, theirs]) await expect(lane(one)).toContainText('41.5')
    await send(server.url, 42.5, 2)
    for (const one of [page, theirs]) await expect(lane(one)).toContainText('42.5')
    await theirs.keyboard.press('Space')
    for (const one of [page, theirs]) await expect(lane(one).locator('[data-next]')).toHaveText('Out')
    server.kill()
    await send(baseURL!, 43.5, 1)
    await page.keyboard.press('Space')
    await expect(lane(page).locator('[data-next]')).not.toHaveText('Out')
    await server.again()
    await expect(lane(theirs)).toContainText('43.5', { timeout: 20_000 })
    await expect(lane(theirs).locator('[data-next]')).not.toHaveText('Out')
    await expect(lane(theirs).locator('.lane-trace')).toHaveAttribute('aria-label', /Water, 3 readings/)
  } finally {
    await context.close()
    await server.stop()
    await request.delete(`/api/instruments/feeds/${made.value.id}`)
    await clearBench(baseURL!)
  }
})

test('an instrument is added with its token, sends, shows on the lane, and is taken back; a simulated one starts and stops', async ({
  page,
  request,
  baseURL,
}) => {
  await clearBench(baseURL!)
  await stage(baseURL!, [
    {
      lane: 'A',
      measured: { fuelBefore: '210 g' },
      marks: [
        [20, { type: 'mark', kind: 'lit', payload: {} }],
        [18, { type: 'mark', kind: 'potOn', payload: {} }],
      ],
    },
  ])
  await open(page, '/bench/instruments')
  const own = page.getByRole('region', { name: 'Your instruments' })
  await own.getByRole('button', { name: 'Add it' }).click()
  await expect(own.getByRole('alert')).toContainText('Name: read nothing')
  await own.getByLabel('Called').fill('probe in pot A')
  await own.getByRole('button', { name: 'Add it' }).click()
  const token = await own.getByRole('status').locator('code').innerText()
  const send = (batch: string, line: string, bearer = token) =>
    request.post(`/api/instruments/samples?batch=${batch}`, {
      headers: { authorization: `Bearer ${bearer}`, 'content-type': 'text/plain' },
      data: line,
    })
  await open(page, '/bench')
  expect(await (await send('one', ',water,41.5,degC')).json()).toMatchObject({ stored: 1, refused: 0 })
  await expect(page.locator('[data-lane=A]')).toContainText('41.5')
  expect((await send('two', ',water,42,degC', 'not a token')).status()).toBe(401)
  await open(page, '/bench/instruments')
  await own.getByRole('listitem').filter({ hasText: 'probe in pot A' }).getByRole('button').click()
  await expect(own.getByRole('listitem').filter({ hasText: 'probe in pot A' })).toHaveCount(0)
  await expect.poll(async () => (await send('three', ',water,43,degC')).status()).toBe(401)
  const simulated = page.getByRole('region', { name: 'Simulated instruments' })
  await simulated.getByRole('button', { name: 'Start it' }).click()
  // The server of these tests opens no port for instruments: it says so.
  await expect(simulated.getByRole('alert')).toContainText('No port is open for instruments here')
  await clearBench(baseURL!)
})

test('a wind meter that sends shows in the strip of every page and fills a wind survey; the survey is offered when a lane is prepared there', async ({
  page,
  request,
  baseURL,
}) => {
  await clearBench(baseURL!)
  const made = (await (
    await request.post('/api/instruments/feeds', { data: { id: uuidv7(), name: 'vane', lanes: { wind: ['A'] } } })
  ).json()) as { value: NewFeed }
  const send = (batch: string, value: number) =>
    request.post(`/api/instruments/samples?batch=${batch}`, {
      headers: { authorization: `Bearer ${made.value.token}`, 'content-type': 'text/plain' },
      data: `,wind,${value},m/s`,
    })
  await open(page, '/kit/wind')
  // The stream may open a moment after the page.
  await expect
    .poll(
      async () => {
        await send(uuidv7(), 2.5)
        // Not there at all before anything is known of the wind.
        return (await page.locator('[data-strip=wind]').allInnerTexts()).join()
      },
      { timeout: 15_000, intervals: [700] },
    )
    .toContain('2.5')
  const form = page.getByRole('form', { name: 'Wind survey' })
  await choose(form.getByLabel('Place'), 'Ash Gate hut')
  await form.getByRole('button', { name: 'Keep this survey' }).click()
  await expect(form.getByRole('alert').first()).toBeVisible()
  await choose(form.getByLabel('Who'), 'Odra Vell')
  await form.getByLabel('Fan', { exact: true }).fill('box fan, 40 cm')
  await form.getByRole('button', { name: 'Take the meter at Station 1, Step 1' }).click()
  await form.getByLabel('Wind at Station 2, Step 3').fill('8 mph')
  await form.getByRole('button', { name: 'One more step' }).click()
  // What was read outdoors is there after another page, on another place too.
  await open(page, '/kit')
  await open(page, '/kit/wind')
  await choose(form.getByLabel('Place'), 'Ash Gate hut')
  await choose(form.getByLabel('Who'), 'Odra Vell')
  await expect(form.getByLabel('Wind at Station 2, Step 3')).toHaveValue('8 mph')
  await expect(form.getByLabel('Name of step 4')).toBeVisible()
  await form.getByRole('button', { name: 'Keep this survey' }).click()
  await expect(form.getByRole('status').last()).toContainText('Kept')
  await expect(page.getByRole('region', { name: /Survey of/ }).first()).toContainText('2.5')
  await expect(form.getByLabel('Wind at Station 2, Step 3')).toHaveValue('')
  await request.delete(`/api/instruments/feeds/${made.value.id}`)
  // The place that is so now is asked first, and answered last.
  const places = (await (await request.get('/api/kit/places')).json()) as { id: string; name: string }[]
  const idOf = (name: string) => places.find((one) => one.name === name)!.id
  const now = { units: 'metric', placeId: idOf('Ice saddle'), measured: {}, clear: [] }
  expect((await request.put('/api/now', { data: now })).status()).toBe(200)
  let answer = () => {}
  await page.route(`**/places/${idOf('Ice saddle')}/surveys`, async (route) => {
    await new Promise<void>((done) => {
      answer = done
    })
    await route.fulfill({ json: [] })
  })
  await open(page, '/bench/prepare')
  await expect.poll(() => chosenIn(page.getByLabel('Place', { exact: true }))).toBe('Ice saddle')
  await choose(page.getByLabel('Place', { exact: true }), 'Ash Gate hut')
  await expect(page.getByLabel('Fan')).toBeVisible()
  const late = page.waitForResponse(`**/places/${idOf('Ice saddle')}/surveys`)
  answer()
  await (await late).finished()
  await choose(page.getByLabel('Fan'), 'Station 2, Step 3: 3.6 m/s')
  await expect(page.getByLabel('Wind', { exact: true })).toHaveValue('8 mph')
})

test('a recording is sent again to a lane, by the page; the same lines come over a web socket', async ({
  browser,
  request,
}) => {
  test.setTimeout(90_000)
  const server = await ownServer(null, (await anyFreePort()) as number)
  try {
    await clearBench(server.url)
    await stage(server.url, [
      {
        lane: 'A',
        measured: { fuelBefore: '210 g' },
        marks: [
          [5, { type: 'mark', kind: 'lit', payload: {} }],
          [4, { type: 'mark', kind: 'potOn', payload: {} }],
        ],
      },
      { lane: 'B', measured: { fuelBefore: '210 g' } },
    ])
    const page = await (
      await browser.newContext({ baseURL: server.url, viewport: { width: 1280, height: 800 } })
    ).newPage()
    await open(page, '/bench/instruments')
    const form = page.getByRole('form', { name: 'Send a recording' })
    const lines = Array.from(
      { length: 40 },
      (_, i) => `2026-05-01T10:00:${String(i).padStart(2, '0')}Z,water,${(30 + i / 2).toFixed(1)},degC`,
    )
    await form.getByLabel('File').setInputFiles({
      name: 'bad.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('time,channel,value,unit\nyesterday,water,3,degC'),
    })
    await form.getByRole('button', { name: 'Send it' }).click()
    await expect(form.getByRole('alert')).toContainText('Line 2: Time')
    await form.getByLabel('File').setInputFiles({
      name: 'porch.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(`time,channel,value,unit\n${lines.join('\n')}`),
    })
    await choose(form.getByLabel('Time runs'), '10')
    await form.getByRole('button', { name: 'Send it' }).click()
    await expect(page.getByRole('region', { name: 'A recording' }).getByRole('listitem')).toContainText('porch.csv')
    await open(page, '/bench')
    await expect(page.locator('[data-lane=A]')).toContainText('49.5', { timeout: 20_000 })
    const made = (await (
      await request.post(`${server.url}/api/instruments/feeds`, {
        data: { id: uuidv7(), name: 'by socket', lanes: { water: ['B'] } },
      })
    ).json()) as { value: NewFeed }
    const said = await page.evaluate(
      async ({ token, url }) => {
        const socket = new WebSocket(url)
        const answers: string[] = []
        socket.onmessage = (event) => void answers.push(String(event.data))
        await new Promise((done) => {
          socket.onopen = done
        })
        socket.send(JSON.stringify({ token }))
        socket.send(',water,61.5,degC\n{"batch":"one"}')
        for (let waited = 0; waited < 100 && answers.length < 2; waited++)
          await new Promise((done) => setTimeout(done, 50))
        socket.close()
        return answers.map((one) => JSON.parse(one) as { hello?: string; stored?: number })
      },
      { token: made.value.token, url: `${server.url.replace('http', 'ws')}/api/instruments/socket` },
    )
    expect(said).toMatchObject([{ hello: 'by socket' }, { stored: 1 }])
    await expect(page.locator('[data-lane=B]')).toContainText('61.5')
  } finally {
    await clearBench(server.url).catch(() => undefined)
    await server.stop()
  }
})
