/** Runs by the service that a person's come in by, on PostgreSQL itself. */
import { sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { RunAnswer } from '../../core/formats/answer'
import { reduce } from '../../core/reduce'
import { readReduceRequest } from '../../shared/reduceRequest'
import { emptyTypedRun, type TypedRun } from '../../shared/typedRun'
import { kitChoices } from '../../server/kit/kitChoices'
import { findRun } from '../../server/runs/repository/findRuns'
import { claimDatabase, migrateDatabase } from '../../server/database/migrate'
import { event, measurement, result, run } from '../../server/database/schema'
import { loadDemonstration } from '../../server/demo/load'
import { answerRun, requestFor } from '../../server/runs/answerRun'
import { logRun } from '../../server/runs/logRun'
import { allLines } from './lines'
import { makeTestDatabase, MIGRATIONS, type TestDatabase } from './database'

const NOW = Date.parse('2026-11-01T12:00:00Z')
let bench: TestDatabase
let typed: () => TypedRun

beforeAll(async () => {
  bench = await makeTestDatabase('runs_test', 'demonstration')
  await loadDemonstration(bench.db, () => undefined, NOW)
  const kit = await kitChoices(bench.db, NOW)
  const base = emptyTypedRun('', 'metric')
  typed = () => ({
    ...base,
    id: uuidv7(),
    startedAt: '2026-05-04T10:00:00Z',
    zone: 'Atlantic/Azores',
    personId: kit.people[0]!.id,
    placeId: kit.places[0]!.id,
    setupId: kit.setups.find((one) => one.name === 'Fumarole with narrow pot')!.id,
    fuelBatchId: kit.fuels.find((one) => one.kind === 'isobutane-propane')!.id,
    measured: {
      ...base.measured,
      air: '19',
      wind: 'calm',
      water: '2 cups',
      waterStart: '62F',
      fuelBefore: '212.4',
      fuelAfter: '205.1',
      scaleResolution: '0.1 g',
    },
    times: { ...base.times, rollingBoil: '2:31' },
  })
})
afterAll(() => bench.drop())

const count = async (table: typeof run | typeof measurement | typeof event | typeof result) =>
  Number((await bench.db.select({ n: sql<number>`count(*)` }).from(table))[0]!.n)

describe('logging a run', () => {
  it('keeps what was typed beside its SI value, and gives the figures of the core', async () => {
    const one = typed()
    expect(await logRun(bench.db, one, NOW)).toEqual({ status: 'created', id: one.id })
    const found = (await findRun(bench.db, one.id))!
    const { record } = found
    expect(record.measurements.find((reading) => reading.quantity === 'waterStart')).toMatchObject({
      typed: '62F',
      unit: 'degF',
      value: 50 / 3,
    })
    const answer = await answerRun(bench.db, found)
    // The JSON that is downloaded, read and reduced as the command line does, says the same.
    const document = JSON.parse(JSON.stringify(await requestFor(bench.db, found))) as unknown
    const read = readReduceRequest(document)
    const again = read.ok ? reduce(read.request, { workings: true }) : null
    expect({ ...again, runs: again!.runs.slice(0, 1) }).toEqual(answer)
  })

  it('acknowledges the same again, refuses another under its id, and changes nothing either time', async () => {
    const one = typed()
    await logRun(bench.db, one, NOW)
    const before = [await count(run), await count(measurement), await count(event)]
    expect(await logRun(bench.db, structuredClone(one), NOW)).toEqual({ status: 'known', id: one.id })
    expect(await logRun(bench.db, { ...one, notes: 'other' }, NOW)).toMatchObject({ status: 'conflict' })
    expect([await count(run), await count(measurement), await count(event)]).toEqual(before)
  })

  it('two at once of one id store one run', async () => {
    const one = typed()
    const outcomes = await Promise.all(Array.from({ length: 8 }, () => logRun(bench.db, one, NOW)))
    expect(outcomes.map((outcome) => outcome.status).sort()).toEqual(['created', ...Array(7).fill('known')])
  })

  it.each<[string, (one: TypedRun) => void, string, RegExp]>([
    [
      'an unknown set-up',
      (one) => {
        one.setupId = uuidv7()
      },
      'setupId',
      /not known here/,
    ],
    [
      'no set-up',
      (one) => {
        one.setupId = ''
      },
      'setupId',
      /choose one/,
    ],
    [
      'fuel after above fuel before',
      (one) => {
        one.measured.fuelAfter = '220'
      },
      'measured.fuelAfter',
      /Fuel after \(220\) is more than fuel before \(212\.4\)\. Swapped\?/,
    ],
    [
      'a start above the boiling point',
      (one) => {
        one.measured.waterStart = '101'
      },
      'measured.waterStart',
      /not below the boiling point/,
    ],
    [
      'a boil before pot-on',
      (one) => {
        one.times.potOn = '4:52'
        one.times.rollingBoil = '4:10'
      },
      'times.rollingBoil',
      /Boil \(4:10\) is before pot-on \(4:52\)\. Swapped\?/,
    ],
    [
      'a future date',
      (one) => {
        one.startedAt = '2027-01-01T00:00:00Z'
      },
      'startedAt',
      /in the future/,
    ],
    [
      'NaN',
      (one) => {
        one.measured.water = 'NaN'
      },
      'measured.water',
      /read "NaN"/,
    ],
    [
      '12 oz of water',
      (one) => {
        one.measured.water = '12 oz'
      },
      'measured.water',
      /Ounces of weight, or fluid\?/,
    ],
    [
      'notes without end',
      (one) => {
        one.notes = 'x'.repeat(30_000)
      },
      'notes',
      /read 30000 characters, expected at most 20000/,
    ],
  ])(
    'refuses %s, naming the field, what was read and what to do, and stores nothing',
    async (_, spoil, path, words) => {
      const before = await count(run)
      const one = typed()
      spoil(one)
      const outcome = await logRun(bench.db, one, NOW)
      expect('problems' in outcome && outcome.problems.find((problem) => problem.path === path)?.text).toMatch(words)
      expect(await count(run)).toBe(before)
    },
  )

  it('refuses what is no run at all', async () => {
    for (const input of [null, 7, 'run', [], {}])
      expect(await logRun(bench.db, input, NOW)).toMatchObject({ status: 'invalid' })
  })

  it('keeps the decision to take the share of burn time', async () => {
    const one = typed()
    one.times.shutOff = '5:02'
    await logRun(bench.db, one, NOW)
    expect((await answerRun(bench.db, (await findRun(bench.db, one.id))!)).runs[0]).toMatchObject({ fuelToBoilG: null })
    const two = { ...typed(), takeBurnShare: true, times: one.times }
    await logRun(bench.db, two, NOW)
    expect((await answerRun(bench.db, (await findRun(bench.db, two.id))!)).runs[0]).toMatchObject({
      fuelToBoilG: expect.closeTo(3.65, 6),
    })
  })
})

describe('answers', () => {
  it('are kept, and worked out anew when their input changed', async () => {
    const one = typed()
    await logRun(bench.db, one, NOW)
    const found = (await findRun(bench.db, one.id))!
    const first = await answerRun(bench.db, found)
    const rows = await count(result)
    expect(await answerRun(bench.db, found)).toEqual(first)
    expect(await count(result)).toBe(rows)
    const changed = structuredClone(found)
    changed.stored.measured.fuelAfter!.value += 0.001
    const [answer] = (await answerRun(bench.db, changed)).runs
    expect(answer && 'gPerL' in answer && answer.gPerL).toBeLessThan((first.runs[0] as { gPerL: number }).gPerL)
    expect(await count(result)).toBe(rows)
  })
})

describe('a set-up’s own series', () => {
  it('one run in wind changes the figures of the others, in the list as on their pages', async () => {
    const windy = {
      ...typed(),
      measured: { ...typed().measured, wind: '2 m/s', fuelAfter: '198.2' },
      times: { ...typed().times, rollingBoil: '4:20' },
    }
    await logRun(bench.db, windy, NOW)
    const figures = async () => {
      const answer = await answerRun(bench.db, (await findRun(bench.db, windy.id))!)
      const line = (await allLines(bench.db)).find((one) => one.id === windy.id)!
      const own = answer.runs[0] as RunAnswer
      expect(own.ladder[3]).toMatchObject({
        rung: 'wind',
        basis: expect.stringMatching(/ownSeries|classDefault/) as string,
      })
      expect(line.normalisedGPerL).toBe(own.normalisedGPerL)
      return { gPerL: own.normalisedGPerL!, v0MS: answer.setups[0]!.flame!.v0.value }
    }
    const before = await figures()
    await logRun(
      bench.db,
      {
        ...windy,
        id: uuidv7(),
        measured: { ...windy.measured, wind: '3.6 m/s', fuelAfter: '185.0' },
        times: { ...windy.times, rollingBoil: '9:30' },
      },
      NOW,
    )
    const after = await figures()
    expect(after.v0MS).not.toBe(before.v0MS)
    expect(after.gPerL).not.toBe(before.gPerL)
  })
})

describe('the demonstration', () => {
  it('shows what it is meant to show', async () => {
    const lines = await allLines(bench.db)
    const demo = lines.filter((line) => line.id.startsWith('019'))
    expect(demo.length).toBeGreaterThanOrEqual(40)
    expect(demo.some((line) => line.ended === 'gaveUp')).toBe(true)
    expect(demo.some((line) => line.worstFlag?.text === 'impossible')).toBe(true)
    expect(demo.some((line) => line.ended === 'stopped')).toBe(true)
    expect(demo.some((line) => line.status === 'partly')).toBe(true)
    expect([...lines].sort((a, b) => b.startedAt.localeCompare(a.startedAt))).toEqual(lines)
  })

  it('is never loaded over anything, and a database keeps its purpose', async () => {
    await expect(loadDemonstration(bench.db, () => undefined, NOW)).rejects.toThrow(/not loaded over them/)
    expect(await claimDatabase(bench.db, 'own')).toMatchObject({ purpose: 'demonstration', loaded: true })
  })
})

it('migrating again, and from two sides at once, changes nothing', async () => {
  const before = await count(run)
  await Promise.all([migrateDatabase(bench.db, MIGRATIONS), migrateDatabase(bench.db, MIGRATIONS)])
  expect(await count(run)).toBe(before)
})
