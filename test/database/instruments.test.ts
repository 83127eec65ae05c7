/**
 * Instruments that send, on PostgreSQL: every sample once, whatever is sent again, at once, wrong, or by another; and
 * the open protocol over TCP.
 */
import { surveysOf } from '../../server/kit/repository/windSurveys'
import { connect } from 'node:net'
import { eq, type SQL } from 'drizzle-orm'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { anyFreePort } from '../../scripts/lib/ports.mjs'
import { INGEST, type FeedLanes } from '../../shared/feed'
import { hashOfLists } from '../../server/database/hash'
import type { RunAnswer } from '../../core/formats/answer'
import { findRun } from '../../server/runs/repository/findRuns'
import { membersOf } from '../../server/runs/repository/series'
import { channelTraces } from '../../server/database/repositories/traces'
import { ingestBatch, run, trace, traceChunk } from '../../server/database/schema'
import { feedOf, revokeFeed, saveFeed, type Feed } from '../../server/instruments/feeds'
import { NOW_CHANNEL } from '../../server/instruments/repository/batches'
import { startTcpGateway } from '../../server/instruments/tcpGateway'
import { takeActs } from '../../server/bench/takeActs'
import { readBenchNow } from '../../server/bench/lanes'
import { LiveSamples } from '../../server/bench/liveSamples'
import type { Notices } from '../../server/database/notices'
import { openWorkspace, type Workspace } from '../../server/workspace/workspace'
import { addSurvey } from '../../server/kit/windSurveys'
import { answerRun } from '../../server/runs/answerRun'
import { runPage } from '../../server/runs/runPage'
import type { SamplesPush, SentNow } from '../../shared/bench'
import { burnOne } from '../../server/runs/burnOne'
import type { Preparation, BenchDeed } from '../../shared/benchAct'
import type { BurnOneKit } from '../../shared/burnOne'
import { emptyTypedRun } from '../../shared/typedRun'
import { makeTestDatabase, type TestDatabase } from './database'

const NOW = Date.parse('2026-11-01T12:00:00Z')
let bench: TestDatabase
let workspace: Workspace
let kit: BurnOneKit
const at = (s: number) => new Date(NOW + s * 1000).toISOString()

beforeAll(async () => {
  bench = await makeTestDatabase('instruments_test')
  workspace = openWorkspace(bench.url, bench.db)
  kit = await burnOne(
    bench.db,
    {
      units: 'metric',
      who: 'Odra Vell',
      burner: 'Cup',
      burnerKind: 'alcohol',
      fuelKind: 'methanol',
      place: 'Porch',
      altitude: '940 m',
      zone: 'UTC',
    },
    940,
  )
})
afterAll(async () => {
  await workspace.notices.close()
  await bench.drop()
})

async function newFeed(name: string, lanes: FeedLanes): Promise<Feed & { token: string }> {
  const made = await saveFeed(bench.db, {
    id: uuidv7(),
    name,
    lanes: { water: [], air: [], container: [], wind: [], scale: [], pressure: [], ...lanes },
  })
  if (made.status !== 'saved') throw new Error(JSON.stringify(made))
  return { ...(await feedOf(bench.db, made.value.token))!, token: made.value.token }
}
const act = (runId: string, atMs: number, deed: BenchDeed) => ({
  id: uuidv7(),
  runId,
  units: 'metric',
  atMs,
  monoMs: 0,
  wallMs: atMs,
  clockSession: 'test',
  deed,
})
const tell = async (...acts: object[]) =>
  (await takeActs(bench.db, { device: { id: uuidv7(), name: 'test' }, acts })).acks.map((ack) => ack.as)
async function armed(lane: 'A' | 'B' | 'C', changes: Partial<Preparation> = {}): Promise<string> {
  const runId = uuidv7()
  const { measured, instruments } = emptyTypedRun(runId, 'metric')
  const preparation: Preparation = {
    lane,
    test: 'boil',
    setupId: kit.setupId,
    fuelBatchId: kit.fuelBatchId,
    methodId: null,
    personId: kit.personId,
    placeId: kit.placeId,
    containerId: null,
    setting: '',
    breakIn: false,
    zone: 'UTC',
    instruments,
    measured,
    overrides: {},
    rehearsal: null,
    ...changes,
  }
  expect(await tell(act(runId, NOW - 60_000, { type: 'prepare', preparation }))).toEqual(['taken'])
  return runId
}
/** A run that burns on a lane since NOW. */
async function burning(lane: 'A' | 'B' | 'C'): Promise<string> {
  const runId = await armed(lane)
  expect(await tell(act(runId, NOW, { type: 'mark', kind: 'lit', payload: {} }))).toEqual(['mark'])
  return runId
}
const finish = (runId: string) => tell(act(runId, NOW + 600_000, { type: 'finish' }))
const send = (feed: Feed, id: string, lines: string[], nowMs = NOW + 300_000) =>
  workspace.intake.take(feed, { id, lines }, nowMs)

describe('at the finish', () => {
  it('what nobody read and an instrument sent is the run’s reading; what was read stands', async () => {
    const runId = await armed('A', {
      measured: { ...emptyTypedRun('', 'metric').measured, air: '9 °C', water: '473 g' },
    })
    const feed = await newFeed('station', { air: ['A'], wind: ['A'], water: ['A'], pressure: ['A'] })
    await send(
      feed,
      'before',
      [-20, -10, -5, -1].map((s) => `${at(s)},water,14.2,degC`),
    )
    await tell(
      act(runId, NOW, { type: 'mark', kind: 'lit', payload: {} }),
      act(runId, NOW + 2000, { type: 'mark', kind: 'potOn', payload: {} }),
    )
    await send(
      feed,
      'burning',
      [10, 20, 30, 40].flatMap((s, i) => [
        `${at(s)},air,12,degC`,
        `${at(s)},wind,${i + 1},m/s`,
        `${at(s)},pressure,905,hPa`,
      ]),
    )
    await tell(act(runId, NOW + 60_000, { type: 'mark', kind: 'shutOff', payload: {} }))
    await finish(runId)
    const { measured } = (await findRun(bench.db, runId))!.stored
    expect(measured.air!.value).toBe(9)
    expect(measured.wind!.value).toBeCloseTo(2.5, 10)
    expect(measured.stationPressure!.value).toBeCloseTo(90_500, 6)
    expect(measured.waterStart!.value).toBeCloseTo(14.2, 10)
  })

  it('a scale under the stove says how much of the fuel had burned by the boil', async () => {
    const runId = await armed('B', {
      test: 'boilBurnOut',
      measured: {
        ...emptyTypedRun('', 'metric').measured,
        fuelLoad: '24 g',
        water: '473 g',
        waterStart: '15 °C',
        air: '15 °C',
        wind: 'calm',
      },
    })
    const feed = await newFeed('scale', { scale: ['B'] })
    const marks = [
      [0, 'lit'],
      [10, 'potOn'],
      [400, 'rollingBoil'],
      [600, 'flameOut'],
    ] as const
    for (const [s, kind] of marks) await tell(act(runId, NOW + s * 1000, { type: 'mark', kind, payload: {} }))
    // 3 g a minute to the boil and 1.2 after, the pot set down at ten seconds: 20 of 24 g.
    await send(
      feed,
      'all',
      Array.from(
        { length: 601 },
        (_, s) =>
          `${at(s)},scale,${(300 + (s >= 10 ? 600 : 0) - (Math.min(s, 400) * 3) / 60 - (Math.max(0, s - 400) * 1.2) / 60).toFixed(2)},g`,
      ),
      NOW + 700_000,
    )
    await finish(runId)
    const {
      runs: [answer],
    } = await answerRun(bench.db, (await findRun(bench.db, runId))!)
    expect(answer).toMatchObject({ fuelToBoilG: expect.closeTo(20, 0) as number })
    expect((answer as RunAnswer).flags.map((flag) => flag.code)).toContain('fuel-by-scale')
  })
})

it('a rehearsal has its scene, no container and a series of its own; its air is not this place’s', async () => {
  const runId = await armed('C', { containerId: null, rehearsal: { stove: 'spirit-cone', speed: 4, trouble: false } })
  const [row] = await bench.db.select().from(run).where(eq(run.id, runId))
  expect(row).toMatchObject({
    origin: 'rehearsal',
    containerId: null,
    bench: { rehearsal: { choice: { stove: 'spirit-cone', speed: 4 } } },
  })
  expect(
    (await readBenchNow(bench.db, NOW)).lanes.find((one) => one.runId === runId)!.rehearsal!.conditions.waterKg,
  ).toBeGreaterThan(0.4)
  const heard: SentNow[] = []
  const listener = new pg.Client({ connectionString: bench.url })
  await listener.connect()
  listener.on('notification', ({ payload }) => heard.push(JSON.parse(payload!) as SentNow))
  await listener.query(`listen ${NOW_CHANNEL}`)
  const [rehearsed, real] = [await newFeed('stands in', { air: ['C'] }), await newFeed('a real one', { air: ['A'] })]
  await send(rehearsed, 'one', [`${at(1)},air,31,degC`])
  await send(real, 'one', [`${at(1)},air,8.5,degC`])
  await expect.poll(() => heard).toEqual([{ air: [NOW + 1000, 8.5] }])
  await listener.end()
  const knock = act(runId, NOW + 10_000, { type: 'mark', kind: 'disturbance', payload: {} })
  await tell(
    act(runId, NOW, { type: 'mark', kind: 'lit', payload: {} }),
    knock,
    act(runId, NOW + 12_000, { type: 'undo', ofId: knock.id }),
    act(runId, NOW + 30_000, { type: 'mark', kind: 'shutOff', payload: {} }),
  )
  await finish(runId)
  // Four times as fast: half a minute of ours is two of the stove's.
  const found = (await findRun(bench.db, runId))!
  expect(found.stored.events.map((event) => event.s)).toEqual([0, 120])
  const page = await runPage(bench.db, found, {})
  expect(page.rehearsed!.judgement.trueUsedG).toBeGreaterThan(3)
  expect(page.presses.map((press) => [press.as, press.atMs])).toEqual([['undone', 40_000]])
  expect(await membersOf(bench.db, [found.seriesKey!])).toEqual([runId])
  expect(
    await tell(
      act(uuidv7(), NOW, {
        type: 'prepare',
        preparation: { rehearsal: { stove: 'a real one', speed: 3, trouble: false } } as unknown as Preparation,
      }),
    ),
  ).toEqual(['refused'])
})

it('a wind survey is kept, each as it was measured, and refused in words', async () => {
  const survey = {
    id: uuidv7(),
    personId: kit.personId,
    units: 'metric',
    fan: 'box fan',
    cells: [
      { station: 'left', step: '1', typed: '1.8 m/s' },
      { station: 'left', step: '2', typed: '8 mph' },
      { station: 'right', step: '1', typed: '' },
    ],
  }
  expect(await addSurvey(bench.db, kit.placeId, survey)).toMatchObject({ status: 'saved' })
  expect(await addSurvey(bench.db, kit.placeId, survey)).toMatchObject({ status: 'saved' })
  // One mile an hour is 0.44704 m/s exactly (the international mile).
  expect(
    (await surveysOf(bench.db, kit.placeId)).map((one) =>
      one.cells.map((cell) => [cell.station, cell.step, cell.windMS]),
    ),
  ).toEqual([
    [
      ['left', '1', 1.8],
      ['left', '2', expect.closeTo(3.57632, 6)],
    ],
  ])
  const bad = async (changes: object) => addSurvey(bench.db, kit.placeId, { ...survey, id: uuidv7(), ...changes })
  expect(await bad({ cells: [{ station: 'left', step: '1', typed: '-3 m/s' }] })).toMatchObject({
    status: 'invalid',
    problems: [{ text: expect.stringContaining('Wind') as string }],
  })
  expect(await bad({ cells: [] })).toMatchObject({
    status: 'invalid',
    problems: [{ text: expect.stringContaining('nothing was read') as string }],
  })
  expect(await bad({ cells: [...survey.cells.slice(0, 1), ...survey.cells.slice(0, 1)] })).toMatchObject({
    status: 'invalid',
    problems: [{ text: expect.stringContaining('stands twice') as string }],
  })
  expect(await addSurvey(bench.db, uuidv7(), { ...survey, id: uuidv7() })).toMatchObject({ status: 'notFound' })
})

describe('a batch', () => {
  it('sent again, at once and in parts by several is stored once; at the finish its chunks are one, in the order of time', async () => {
    const runId = await burning('A')
    const feed = await newFeed('probe', { water: ['A'], scale: ['A'] })
    const lines = Array.from({ length: 120 }, (_, i) =>
      i % 2
        ? `${at(i)},water,${(20 + i / 2).toFixed(1)},degC`
        : JSON.stringify({ t: NOW + i * 1000, channel: 'water', value: 20 + i / 2, unit: 'C' }),
    )
    const halves = [lines.slice(60), lines.slice(0, 60)]
    const acks = await Promise.all([
      send(feed, 'two', halves[0]!),
      send(feed, 'one', halves[1]!),
      send(feed, 'two', halves[0]!),
      send(feed, 'three', lines),
    ])
    expect(acks.every((one) => one.ok)).toBe(true)
    expect(acks[2]).toEqual(acks[0])
    expect(acks.reduce((sum, one, i) => sum + (one.ok && i !== 2 ? one.ack.stored : 0), 0)).toBe(120)
    expect(await send(feed, 'one', ['other lines'])).toMatchObject({ ok: false, status: 409 })
    const [own] = await bench.db.select().from(trace).where(eq(trace.runId, runId))
    expect(await bench.db.$count(traceChunk, eq(traceChunk.traceId, own!.id))).toBeGreaterThan(1)
    expect(await finish(runId)).toEqual(['taken'])
    const chunks = await bench.db.select().from(traceChunk).where(eq(traceChunk.traceId, own!.id))
    expect(chunks).toHaveLength(1)
    expect(chunks[0]!.hash).toBe(hashOfLists(chunks[0]!.tMs, chunks[0]!.v))
    expect((await findRun(bench.db, runId))!.stored.trace).toEqual(
      Array.from({ length: 120 }, (_, i) => [i, 20 + i / 2]),
    )
  })

  it('as blocks is what its lines are, to the last bit; beyond what a batch may hold it is refused whole', async () => {
    const runId = await burning('C')
    const feed = await newFeed('fast', { wind: ['C'], container: ['C'] })
    // Longer than a chunk, out of order; values that no short decimal is.
    const values = Array.from({ length: 5000 }, (_, i) => Number((Math.abs(Math.sin(i)) * 10).toPrecision(12)))
    const part = (first: number, list: number[]) =>
      JSON.stringify({ t: NOW + first * 40, everyMs: 40, channel: 'wind', value: list, unit: 'm/s' })
    const lines = [
      part(3000, values.slice(3000)),
      part(0, values.slice(0, 3000)),
      JSON.stringify({ t: [NOW - 2000, NOW + 500_000], channel: 'container', value: [-4.2, 3], unit: 'degC' }),
    ]
    expect(await send(feed, 'blocks', lines)).toMatchObject({
      ok: true,
      ack: {
        stored: 5001,
        refused: 1,
        problems: [{ line: 3, text: expect.stringContaining('in the future') as string }],
      },
    })
    expect(
      await send(
        feed,
        'as lines',
        values.slice(4990).map((value, i) => `${NOW + (4990 + i) * 40},wind,${value},m/s`),
      ),
    ).toMatchObject({ ok: true, ack: { stored: 0, known: 10 } })
    expect(
      await send(
        feed,
        'too many',
        Array.from({ length: 13 }, () => part(0, values)),
      ),
    ).toMatchObject({ ok: false, status: 413, text: expect.stringContaining('read 65000 samples') as string })
    const stored = await channelTraces(bench.db, runId)
    expect(stored.get('wind')).toEqual(values.map((value, i) => [(i * 40) / 1000, value]))
    expect(stored.get('container')).toEqual([[-2, -4.2]])
    await finish(runId)
  })

  it('garbage is refused line by line and in words, and what is good beside it is stored', async () => {
    const runId = await burning('B')
    const feed = await newFeed('probe B', { water: ['B'] })
    const taken = await send(feed, 'mixed', [
      `${at(1)},water,21,degC`,
      'nonsense',
      `${at(2)},water,NaN,degC`,
      `${at(3)},water,400,degC`,
      `${at(4)},water,70,furlongs`,
      `${at(5)},wind,2,m/s`,
      `${at(6)},gas,2,m/s`,
      `${at(9999)},water,22,degC`,
      '2020-01-01T00:00:00Z,water,22,degC',
      '2026-11-01 12:00,water,22,degC',
      `${at(7)},__proto__,1,g`,
    ])
    expect(taken).toMatchObject({ ok: true, ack: { stored: 1, refused: 10 } })
    expect(taken.ok && taken.ack.problems.map((problem) => `${problem.line} ${problem.text}`)).toEqual([
      expect.stringMatching(/^2 The line: read "nonsense"/),
      expect.stringMatching(/^3 Value: read "NaN"/),
      expect.stringMatching(/^4 water: read "400 degC", expected water between/),
      expect.stringMatching(/^5 Unit: read "furlongs"/),
      expect.stringMatching(/^6 Wind: this instrument is not said to follow it/),
      expect.stringMatching(/^7 Channel: read "gas"/),
      expect.stringMatching(/^8 Time: .* is in the future/),
      expect.stringMatching(/^9 Time: .* more than an hour old/),
      expect.stringMatching(/^10 Time: read/),
      expect.stringMatching(/^11 Channel/),
    ])
    // The moment of another sample with another value: the first stays. Of another instrument: kept out, and said.
    expect(await send(feed, 'differs', [`${at(1)},water,33,degC`, `${at(1)},water,21,degC`])).toMatchObject({
      ok: true,
      ack: { stored: 0, known: 1, refused: 1 },
    })
    const second = await newFeed('another probe', { water: ['B'] })
    expect(await send(second, 'mine too', [`${at(8)},water,22,degC`])).toMatchObject({
      ok: true,
      ack: {
        stored: 0,
        refused: 1,
        problems: [{ text: expect.stringContaining('followed by another instrument') as string }],
      },
    })
    expect(
      await send(
        feed,
        'too many',
        Array.from({ length: INGEST.maxLines + 1 }, () => ''),
      ),
    ).toMatchObject({ ok: false, status: 413 })
    expect([...(await channelTraces(bench.db, runId, { but: 'air' })).values()]).toEqual([[[1, 21]]])
    await finish(runId)
    expect(await send(feed, 'late', [`${at(20)},water,22,degC`])).toMatchObject({
      ok: true,
      ack: { stored: 0, idle: 1 },
    })
  })

  it('of several at once that cannot be stored holds up no other', async () => {
    const runId = await burning('C')
    const feeds = await Promise.all(
      ['one', 'two', 'three', 'four'].map((name, i) =>
        newFeed(`at once ${name}`, { [(['water', 'wind', 'air', 'container'] as const)[i]!]: ['C'] }),
      ),
    )
    const channels = ['water', 'wind', 'air', 'container']
    // The third is no instrument that is known: its batch has nowhere to stand.
    const sent = await Promise.allSettled(
      feeds.map((feed, i) =>
        send(i === 2 ? { ...feed, id: uuidv7() } : feed, 'same id', [
          `${at(5)},${channels[i]},${i + 1},${i === 1 ? 'm/s' : 'degC'}`,
        ]),
      ),
    )
    expect(sent.map((one) => (one.status === 'fulfilled' && one.value.ok ? one.value.ack.stored : one.status))).toEqual(
      [1, 1, 'rejected', 1],
    )
    expect([...(await channelTraces(bench.db, runId)).keys()]).toEqual(['container', 'water', 'wind'])
    expect(await send(feeds[0]!, 'with\u0000nothing', [])).toMatchObject({
      ok: false,
      status: 422,
      text: expect.stringContaining('control characters') as string,
    })
    await finish(runId)
  })

  it('sampled before the first mark stays where it was in time when the clock begins', async () => {
    const runId = await armed('A')
    const feed = await newFeed('early', { water: ['A'] })
    expect(await send(feed, 'before', [`${at(-30)},water,15,degC`, `${at(-10)},water,15.1,degC`])).toMatchObject({
      ok: true,
      ack: { stored: 2, idle: 0 },
    })
    expect(await tell(act(runId, NOW, { type: 'mark', kind: 'lit', payload: {} }))).toEqual(['mark'])
    await send(feed, 'after', [`${at(5)},water,16,degC`])
    await finish(runId)
    expect((await findRun(bench.db, runId))!.stored.trace).toEqual([
      [-30, 15],
      [-10, 15.1],
      [5, 16],
    ])
  })

  it('is told once to a page that hears, also when one comes that has less and all is read anew', async () => {
    const runId = await burning('B')
    const feed = await newFeed('probe', { water: ['B'] })
    const sendAt = (id: string, ...seconds: number[]) =>
      send(
        feed,
        id,
        seconds.map((s) => `${at(s)},water,${20 + s},degC`),
      )
    await sendAt('one', 1, 2)
    await sendAt('two', 3, 4)
    const told: SamplesPush[][] = []
    const begins: SamplesPush[][] = []
    let leave = () => undefined as unknown
    await workspace.samples.since({ [runId]: { water: 1 } }, (pushes) => {
      begins.push(JSON.parse(pushes) as SamplesPush[])
      leave = workspace.samples.subscribe((more) => told.push(JSON.parse(more) as SamplesPush[]))
    })
    await sendAt('three', 5)
    await workspace.samples.since({}, (pushes) => begins.push(JSON.parse(pushes) as SamplesPush[]))
    leave()
    const values = (pushes: SamplesPush[]) =>
      pushes.filter((one) => one.runId === runId).flatMap((one) => one.points.map(([, value]) => value))
    expect(begins.map(values)).toEqual([
      [23, 24],
      [21, 22, 23, 24, 25],
    ])
    expect(told.map(values)).toEqual([[25]])
    await finish(runId)
  })

  it('reaches the first page that hears, though it was stored while that page’s past was read', async () => {
    const runId = await burning('B')
    const feed = await newFeed('scale with a print key', { water: ['B'] })
    let came: (runId: string | null) => void = () => undefined
    const notices = Object.assign(Object.create(workspace.notices) as Notices, {
      subscribe: (_channel: string, subscriber: typeof came) => {
        came = subscriber
        return () => undefined
      },
    })
    /** What a reading of chunks found, before it is told. */
    let afterRead = () => Promise.resolve()
    const db = new Proxy(bench.db, {
      get(target, name) {
        const found: unknown = Reflect.get(target, name)
        if (name !== 'execute') return found
        return async (asked: SQL) => {
          const rows = await target.execute(asked)
          await afterRead()
          return rows
        }
      },
    })
    const samples = new LiveSamples({ db, notices })
    samples.subscribe(() => undefined)()
    afterRead = async () => {
      afterRead = () => Promise.resolve()
      await send(feed, 'between', [`${at(1)},water,41.5,degC`])
      came(runId)
    }
    const told: SamplesPush[] = []
    const hear = (pushes: string) => told.push(...(JSON.parse(pushes) as SamplesPush[]))
    await samples.since({}, (pushes) => {
      hear(pushes)
      samples.subscribe(hear)
    })
    await expect.poll(() => told.map(({ last }) => last[1])).toEqual([41.5])
    await finish(runId)
  })

  it('of a token that was taken back is not known any more', async () => {
    // A program gets it on its command line: one that begins with a hyphen in sixty-four would be taken for an option.
    for (let i = 0; i < 200; i++) expect((await newFeed(`token ${i}`, { air: ['C'] })).token).toMatch(/^[A-Za-z0-9]/)
    const feed = await newFeed('lent', { water: ['C'] })
    expect(await revokeFeed(bench.db, feed.id)).toMatchObject({ status: 'saved' })
    expect(await feedOf(bench.db, feed.token)).toBeNull()
  })

  it('of a token opens nothing in another workspace of the same process', async () => {
    const other = await makeTestDatabase('instruments_elsewhere')
    const { token } = await newFeed('here', { water: ['C'] })
    expect(await feedOf(other.db, token)).toBeNull()
    expect(await feedOf(bench.db, token)).toMatchObject({ name: 'here' })
    await other.drop()
  })

  it('of no lanes is refused', async () => {
    expect((await saveFeed(bench.db, { id: uuidv7(), name: 'no lanes', lanes: {} })).status).toBe('invalid')
  })
})

it('over TCP: the token first, then lines, each batch acknowledged once it is stored; a flood of one does not starve another', async () => {
  const port = (await anyFreePort()) as number
  const stop = startTcpGateway(workspace, port)
  const runId = await burning('C')
  const talk = async (token: string | null) => {
    const answers: Record<string, unknown>[] = []
    let rest = ''
    const socket = await new Promise<ReturnType<typeof connect>>((done) => {
      const attempt = () => {
        const one = connect(port, '127.0.0.1', () => done(one))
        one.on('error', () => setTimeout(attempt, 100))
      }
      attempt()
    })
    socket.setEncoding('utf8').on('data', (piece: string) => {
      const lines = (rest + piece).split('\n')
      rest = lines.pop()!
      answers.push(...lines.map((line) => JSON.parse(line) as Record<string, unknown>))
    })
    if (token !== null) socket.write(`${JSON.stringify({ token })}\n`)
    return {
      socket,
      answers,
      until: async (n: number) => {
        for (let i = 0; i < 400 && answers.length < n; i++) await new Promise((done) => setTimeout(done, 25))
      },
    }
  }
  try {
    const [calm, flood] = [await newFeed('calm', { water: ['C'] }), await newFeed('flood', { wind: ['C'] })]
    const stranger = await talk('no token of ours')
    await stranger.until(1)
    expect(stranger.answers[0]).toMatchObject({ error: expect.stringContaining('not known here') as string })
    const mute = await talk(null)
    mute.socket.write('12:00,water,1,degC\n')
    await mute.until(1)
    expect(mute.answers[0]).toMatchObject({ error: expect.stringContaining('token first') as string })
    const [a, b] = [await talk(calm.token), await talk(flood.token)]
    // The machine's own clock is far from NOW: samples come without a time of theirs, by the bench's.
    const wide = Array.from({ length: 1000 }, (_, i) => `,wind,${(i % 50) / 10},m/s`).join('\n')
    await bench.db
      .update(run)
      .set({ startedAt: new Date(Date.now() - 60_000) })
      .where(eq(run.id, runId))
    for (let i = 0; i < 20; i++) b.socket.write(`${wide}\n{"batch":"f${i}"}\n`)
    const began = performance.now()
    a.socket.write(',water,50.5,degC\n{"batch":"calm 1"}\n')
    await a.until(2)
    expect(performance.now() - began).toBeLessThan(3000)
    expect(a.answers[1]).toMatchObject({ batch: 'calm 1', stored: 1 })
    await b.until(21)
    expect(b.answers.slice(1).map((one) => one.batch)).toEqual(Array.from({ length: 20 }, (_, i) => `f${i}`))
    expect(await bench.db.$count(ingestBatch, eq(ingestBatch.feedId, flood.id))).toBe(20)
    for (const one of [stranger, mute, a, b]) one.socket.destroy()
  } finally {
    await stop()
  }
}, 30_000)
