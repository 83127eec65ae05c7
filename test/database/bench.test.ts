/** The bench's service on PostgreSQL: each act once, whatever is sent twice, late, at once or wrong. */
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { eq } from 'drizzle-orm'
import type { Bench, Lane } from '../../shared/bench'
import type { Preparation, BenchAct, BenchDeed } from '../../shared/benchAct'
import { LANES } from '../../shared/lanes'
import { emptyTypedRun } from '../../shared/typedRun'
import { BenchClock } from '../../server/bench/benchClock'
import { eventRows } from '../../server/bench/repository/eventRows'
import { readBenchNow, readBenchSince } from '../../server/bench/lanes'
import { takeActs } from '../../server/bench/takeActs'
import { findRun } from '../../server/runs/repository/findRuns'
import { benchClock, event, method, runSummary } from '../../server/database/schema'
import { burnOne } from '../../server/runs/burnOne'
import type { BurnOneKit } from '../../shared/burnOne'
import { makeTestDatabase, type TestDatabase } from './database'

const T0 = 1_800_000_000_000
const PHONE = { id: uuidv7(), name: 'phone' }
const LAPTOP = { id: uuidv7(), name: 'laptop' }

describe('the bench’s service', () => {
  let base: TestDatabase
  let kit: BurnOneKit
  let methodId: string
  const act = (runId: string, atMs: number, deed: BenchDeed, id = uuidv7()): BenchAct => ({
    id,
    runId,
    units: 'metric',
    atMs: T0 + atMs,
    monoMs: atMs,
    wallMs: T0 + atMs,
    clockSession: 'page:0',
    deed,
  })
  const mark = (runId: string, atMs: number, kind: Extract<BenchDeed, { type: 'mark' }>['kind'], payload = {}) =>
    act(runId, atMs, { type: 'mark', kind, payload })
  const send = async (acts: unknown[], device = PHONE) => (await takeActs(base.db, { device, acts })).acks
  const preparation = (changes: Partial<Preparation> = {}): Preparation => {
    const { measured, instruments } = emptyTypedRun(uuidv7(), 'metric')
    return {
      lane: 'A',
      test: 'boil',
      setupId: kit.setupId,
      fuelBatchId: kit.fuelBatchId,
      methodId,
      personId: kit.personId,
      placeId: kit.placeId,
      containerId: null,
      setting: '',
      breakIn: false,
      zone: 'UTC',
      instruments,
      measured: { ...measured, water: '473 g', waterStart: '15 °C' },
      overrides: {},
      rehearsal: null,
      ...changes,
    }
  }
  const bench = (): Promise<Bench> => readBenchNow(base.db, T0)
  const laneOf = async (runId: string): Promise<Lane> => (await bench()).lanes.find((lane) => lane.runId === runId)!
  async function armed(changes: Partial<Preparation> = {}): Promise<string> {
    const runId = uuidv7()
    expect(await send([act(runId, 0, { type: 'prepare', preparation: preparation(changes) })])).toMatchObject([
      { as: 'taken' },
    ])
    return runId
  }
  const cleared = async () => {
    for (const lane of (await bench()).lanes) await send([act(lane.runId, 9_000_000, { type: 'clear' })])
  }

  beforeAll(async () => {
    base = await makeTestDatabase('bench')
    kit = await burnOne(
      base.db,
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
    methodId = (await base.db.select().from(method).where(eq(method.shippedKey, 'boil')))[0]!.id
  })
  afterAll(() => base.drop())

  it('takes a run from preparation to its page: marks, readings, a note, a nudge and an undo, each once though all is sent three times', async () => {
    const runId = uuidv7()
    const lit = mark(runId, 60_000, 'lit')
    const knock = mark(runId, 90_000, 'disturbance')
    const boil = mark(runId, 600_000, 'rollingBoil')
    const acts = [
      act(runId, 0, { type: 'prepare', preparation: preparation() }),
      act(runId, 30_000, { type: 'read', quantity: 'fuelBefore', typed: '120.4 g' }),
      lit,
      mark(runId, 75_000, 'potOn'),
      knock,
      act(runId, 92_000, { type: 'undo', ofId: knock.id }),
      mark(runId, 120_000, 'reading', { typed: '31.5 °C', waterC: 99 }),
      act(runId, 130_000, { type: 'note', text: 'wind from the sea' }),
      boil,
      act(runId, 602_000, { type: 'move', ofId: boil.id, toMs: T0 + 599_000 }),
      mark(runId, 601_300, 'snuffed'),
      act(runId, 900_000, { type: 'read', quantity: 'fuelAfter', typed: '99.2 g' }),
    ]
    const first = await send(acts)
    expect(first.map((ack) => ack.as)).toEqual([
      'taken',
      'taken',
      'mark',
      'mark',
      'mark',
      'taken',
      'mark',
      'taken',
      'mark',
      'taken',
      'mark',
      'taken',
    ])
    expect(await send([...acts, ...acts])).toEqual([...first, ...first])
    const lane = await laneOf(runId)
    expect(lane.state.marks.map((one) => [one.kind, one.atMs - T0])).toEqual([
      ['lit', 60_000],
      ['potOn', 75_000],
      ['reading', 120_000],
      ['rollingBoil', 599_000],
      ['snuffed', 601_300],
    ])
    // What was typed is read by the server: the page's own reading of it does not count.
    expect([lane.state.marks[2]!.payload.waterC, lane.boilingC, lane.notes[0]!.text, lane.state.undone]).toEqual([
      31.5,
      expect.closeTo(96.84, 1),
      'wind from the sea',
      [knock.id],
    ])
    expect((await base.db.select().from(runSummary).where(eq(runSummary.runId, runId))).length).toBe(0)
    expect(await send([act(runId, 910_000, { type: 'finish' })])).toMatchObject([{ as: 'taken' }])
    const found = (await findRun(base.db, runId))!
    expect([
      found.record.state,
      found.record.startedAt,
      found.record.events.map((one) => [one.kind, one.atMs]),
    ]).toEqual([
      'finished',
      new Date(T0 + 60_000).toISOString(),
      [
        ['lit', 0],
        ['potOn', 15_000],
        ['reading', 60_000],
        ['rollingBoil', 539_000],
        ['snuffed', 541_300],
      ],
    ])
    const [row] = await base.db.select().from(runSummary).where(eq(runSummary.runId, runId))
    expect([row!.line.timeToBoilS, row!.line.gPerL]).toEqual([524, expect.closeTo(21.2 / 0.4734, 1)])
    expect((await bench()).lanes).toEqual([])
    expect(await send([mark(runId, 920_000, 'disturbance')])).toMatchObject([{ as: 'refused' }])
  })

  it('the same mark from two devices at once is one event with both times; one id with another content is refused', async () => {
    const runId = await armed()
    await send([mark(runId, 1000, 'lit')])
    const boils = await Promise.all([
      send([mark(runId, 300_000, 'rollingBoil')], PHONE),
      send([mark(runId, 302_500, 'rollingBoil')], LAPTOP),
    ])
    expect(
      boils
        .flat()
        .map((ack) => ack.as)
        .sort(),
    ).toEqual(['mark', 'twin'])
    const { state } = await laneOf(runId)
    const stands = state.marks.find((one) => one.kind === 'rollingBoil')!
    expect([stands.atMs, ...stands.twins.map((twin) => twin.atMs)].map((ms) => ms - T0).sort()).toEqual([
      300_000, 302_500,
    ])
    const id = uuidv7()
    expect(await send([act(runId, 310_000, { type: 'note', text: 'one' }, id)])).toMatchObject([{ as: 'taken' }])
    expect(await send([act(runId, 310_000, { type: 'note', text: 'two' }, id)])).toMatchObject([{ as: 'conflict' }])
    // A press is kept, whatever it is.
    expect(
      (await send([mark(runId, 302_900, 'rollingBoil'), mark(runId, 500_000, 'rollingBoil')]))
        .map((ack) => ack.as)
        .every((as) => ['double', 'already', 'twin'].includes(as)),
    ).toBe(true)
    expect(await base.db.select().from(event).where(eq(event.runId, runId))).toHaveLength(5)
    await cleared()
  })

  it('of a lane only what came since is read: what was undone is not there, what came meanwhile is, each once', async () => {
    const runId = await armed()
    const whole = () =>
      base.db.select({ id: event.id, seq: event.seq }).from(event).where(eq(event.runId, runId)).orderBy(event.seq)
    const read = async () => (await eventRows(base.db, [runId])).get(runId)!.map(({ id, seq }) => ({ id, seq }))
    await send([mark(runId, 60_000, 'lit'), mark(runId, 62_000, 'potOn')])
    expect(await read()).toEqual(await whole())
    await expect(
      base.db.transaction(async (tx) => {
        await tx.insert(event).values({
          id: uuidv7(),
          runId,
          seq: 3,
          kind: 'disturbance',
          atMs: 9000,
          source: 'bench',
          payload: {},
          personId: kit.personId,
        })
        expect((await eventRows(tx, [runId])).get(runId)).toHaveLength(3)
        throw new Error('undone')
      }),
    ).rejects.toThrow('undone')
    await send([mark(runId, 70_000, 'disturbance')])
    expect(await read()).toEqual(await whole())
    await Promise.all(
      Array.from({ length: 12 }, (_, i) => [
        send([mark(runId, 80_000 + i * 2000, 'disturbance')]),
        read(),
        bench(),
      ]).flat(),
    )
    expect(await read()).toEqual(await whole())
    expect((await laneOf(runId)).state.marks).toHaveLength(15)
    await cleared()
  })

  it('a bad act is refused by itself, in words; what follows it is taken', async () => {
    const runId = await armed()
    const acks = await send([
      { id: 'x' },
      { ...mark(runId, 0, 'lit'), deed: { type: 'mark', kind: 'sneezed' } },
      act(uuidv7(), 0, { type: 'mark', kind: 'lit', payload: {} }),
      act(runId, 0, { type: 'read', quantity: 'air', typed: 'warm' }),
      mark(runId, 10_000, 'lit'),
      act(runId, 0, { type: 'prepare', preparation: preparation({ setupId: uuidv7() }) }),
    ])
    expect(acks.map((ack) => ack.as)).toEqual(['refused', 'refused', 'refused', 'refused', 'mark', 'refused'])
    expect(acks.map((ack) => ack.problems?.[0]?.text)).toEqual([
      expect.stringContaining('expected an id'),
      expect.stringContaining('expected an event'),
      expect.stringContaining('not on the bench'),
      expect.stringContaining('Air'),
      undefined,
      expect.stringContaining('not known here'),
    ])
    await cleared()
  })

  it('acts that no database or calendar can hold are each refused in words, and hold up none before or after', async () => {
    const runId = await armed()
    const good = () => mark(runId, 60_000 + Math.round(Math.random() * 1e6) * 2000, 'disturbance')
    const bad: unknown[] = [
      { ...good(), atMs: 1e300 },
      { ...good(), wallMs: 1e20 },
      { ...good(), monoMs: -1 },
      { ...good(), atMs: Date.UTC(-1, 0, 1) },
      { ...good(), atMs: Number.NaN },
      mark(runId, 5, 'stopped', { reason: 'rain\0' }),
      act(runId, 6, { type: 'note', text: 'lone \ud800' }),
      mark(runId, 7, 'stopped', { reason: '\ud800' }),
      JSON.parse('{"__proto__": {"id": 1}}'),
      { ...good(), deed: JSON.parse('{"type": "__proto__"}') as object },
      { ...good(), deed: { type: 'move', ofId: uuidv7(), toMs: 1e300 } },
      { ...good(), units: { toString: 1 } },
      null,
      'x',
      [[]],
    ]
    for (const one of bad) {
      const acks = await send([good(), one, good()])
      expect([acks[0]!.as, acks[2]!.as], JSON.stringify(one)).toEqual(['mark', 'mark'])
      // Text that is not well formed may be refused or kept as it can be; never is it the end of the others.
      if (acks[1]!.as === 'refused') expect(acks[1]!.problems!.every((problem) => problem.text.length > 5)).toBe(true)
      else expect(JSON.stringify(one)).toContain('\\ud800')
    }
    await cleared()
  })

  it('six lanes and no more; a taken one gives way to the next free; a cleared one leaves nothing behind', async () => {
    const ids = await Promise.all(LANES.map(() => armed()))
    expect((await bench()).lanes.map((lane) => lane.lane)).toEqual([...LANES])
    expect(await send([act(uuidv7(), 0, { type: 'prepare', preparation: preparation() })])).toMatchObject([
      { as: 'refused', problems: [{ path: 'lane' }] },
    ])
    await cleared()
    expect(await findRun(base.db, ids[0]!)).toBeNull()
  })

  it('the outbox gives every change once, in order, though ten devices commit at once', async () => {
    const runId = await armed()
    const { seq } = await bench()
    const heard: number[] = []
    let at = seq
    const reader = (async () => {
      for (let i = 0; i < 200 && at < seq + 10; i++) {
        const push = await readBenchSince(base.db, at, T0)
        if (push.seq > at) heard.push(push.lanes[0]!.state.marks.length)
        at = push.seq
      }
    })()
    await Promise.all(
      Array.from({ length: 10 }, (_, i) => send([mark(runId, i * 10_000, 'lidOff')], { id: uuidv7(), name: `d${i}` })),
    )
    await reader
    expect([at, heard.at(-1), [...heard].sort((a, b) => a - b)]).toEqual([seq + 10, 10, heard])
    await cleared()
    expect((await readBenchSince(base.db, at, T0)).gone).toEqual([{ runId, finished: false }])
  })

  it('a date changed while a lane burns moves the bench’s clock not at all; with none burning it is believed', async () => {
    const clock = new BenchClock(base.db)
    const before = await clock.now()
    const runId = await armed()
    await base.db.update(benchClock).set({ epochMs: (await base.db.select().from(benchClock))[0]!.epochMs - 3_600_000 })
    await clock.start()
    expect(await clock.now()).toBeLessThan(before - 3_500_000)
    await send([act(runId, 0, { type: 'clear' })])
    await clock.start()
    expect(Math.abs((await clock.now()) - Date.now())).toBeLessThan(2000)
  })
})
