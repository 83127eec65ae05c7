/**
 * The services of kit, methods and care, on PostgreSQL: what is kept, what is refused, and what moves when something
 * changes.
 */
import { eq, sql } from 'drizzle-orm'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { RunAnswer } from '../../core/formats/answer'
import { toRunDocument } from '../../core/formats/toRunDocument'
import type { TypedRecord } from '../../shared/record'
import { emptyTypedRun, type TypedRun } from '../../shared/typedRun'
import { findRun } from '../../server/runs/repository/findRuns'
import { measurement, photo, run, runSummary, setupVersion, thingVersion } from '../../server/database/schema'
import { addCheck } from '../../server/kit/checks'
import { findContainer, saveContainer, weighContainer } from '../../server/kit/containers'
import { deleteBatch, findBatch, saveBatch } from '../../server/kit/fuels'
import type { Outcome } from '../../server/kit/outcome'
import { readPhoto, savePhoto } from '../../server/kit/photos'
import { savePlace } from '../../server/kit/places'
import { findSetup } from '../../server/kit/setups'
import { deleteSetup, saveSetup } from '../../server/kit/saveSetup'
import { findThing } from '../../server/kit/things'
import { deleteThing, saveThing } from '../../server/kit/saveThing'
import { deleteMethod, findMethod, saveMethod, shippedId } from '../../server/methods/methods'
import { answerRun } from '../../server/runs/answerRun'
import { burnOne, made, newRecord } from '../../server/runs/burnOne'
import { logRun } from '../../server/runs/logRun'
import { careForRun } from '../../server/runs/runCare'
import { runPage } from '../../server/runs/runPage'
import { allLines } from './lines'
import { makeTestDatabase, type TestDatabase } from './database'

const NOW = Date.parse('2026-06-01T12:00:00Z')
let bench: TestDatabase
let base: Awaited<ReturnType<typeof burnOne>>

beforeAll(async () => {
  bench = await makeTestDatabase('kit_test')
  base = await burnOne(
    bench.db,
    {
      units: 'metric',
      who: 'Somebody',
      burner: 'A can',
      burnerKind: 'alcohol',
      fuelKind: 'methanol',
      place: 'Porch',
      altitude: '',
      zone: 'UTC',
    },
    340,
  )
})
afterAll(() => bench.drop())

it('a burn of a new burner by who is known, where one is known, makes neither anew; elsewhere, or higher, it does', async () => {
  const again = {
    units: 'metric',
    who: ' somebody',
    burner: 'Another can',
    burnerKind: 'alcohol',
    fuelKind: 'methanol',
    place: 'porch',
    altitude: '',
    zone: 'UTC',
  } as const
  const second = await burnOne(bench.db, again, 340)
  expect([second.personId, second.placeId]).toEqual([base.personId, base.placeId])
  expect(second.setupId).not.toBe(base.setupId)
  expect((await burnOne(bench.db, again, null)).placeId).toBe(base.placeId)
  expect((await burnOne(bench.db, again, 900)).placeId).not.toBe(base.placeId)
  expect((await burnOne(bench.db, { ...again, who: 'Somebody else' }, 340)).personId).not.toBe(base.personId)
})

const pot = (fields: TypedRecord['fields'] = {}) => ({
  ...newRecord({ name: 'Mug', massKg: '98 g', diameterM: '92 mm', ...fields }),
  kind: 'pot',
})
const refused = (outcome: Outcome<unknown>) =>
  outcome.status === 'saved'
    ? null
    : {
        status: outcome.status,
        text: outcome.problems.map((problem) => problem.text).join(' '),
        path: outcome.problems[0]?.path,
      }
const typed = (more: Partial<TypedRun> = {}): TypedRun => {
  const blank = emptyTypedRun(uuidv7(), 'metric')
  return {
    ...blank,
    ...base,
    startedAt: '2026-05-04T10:00:00Z',
    methodId: shippedId('boil'),
    ...more,
    measured: {
      ...blank.measured,
      air: '17 °C',
      wind: 'calm',
      water: '473 g',
      waterStart: '16 °C',
      fuelUsed: '16.4 g',
      scaleResolution: '0.1 g',
      ...more.measured,
    },
    times: { ...blank.times, rollingBoil: '6:10', ...more.times },
  }
}
const log = async (more: Partial<TypedRun> = {}) => {
  const one = typed(more)
  const outcome = await logRun(bench.db, one, NOW)
  if ('problems' in outcome) throw new Error(outcome.problems.map((problem) => problem.text).join())
  return one.id
}
const answerOf = async (id: string) => (await answerRun(bench.db, (await findRun(bench.db, id))!)).runs[0] as RunAnswer
const lineOf = async (id: string) => (await bench.db.select().from(runSummary).where(eq(runSummary.runId, id)))[0]!.line
const care = (id: string, what: object) =>
  careForRun(bench.db, id, { id: uuidv7(), personId: base.personId, reason: '', ...what })

describe('a thing', () => {
  it('is kept in SI beside what was typed; only what matters to heat makes a version', async () => {
    const first = pot({ name: '鍋 🫖 قدر' })
    const page = made(await saveThing(bench.db, first))
    expect(page.versions[0]!.properties).toMatchObject({ massKg: 0.098, diameterM: 0.092, finned: false })
    expect(page.record.fields).toMatchObject({ massKg: '98 g', name: '鍋 🫖 قدر' })
    const renamed = made(
      await saveThing(bench.db, {
        ...first,
        revision: 1,
        fields: { ...first.fields, name: '<b>Mug</b>', description: '<script>1</script>' },
      }),
    )
    expect(renamed.versions).toHaveLength(1)
    expect(renamed.record.fields.description).toBe('<script>1</script>')
    const heavier = made(
      await saveThing(bench.db, {
        ...first,
        revision: 2,
        reason: 'weighed again',
        fields: { ...first.fields, massKg: '3.6 oz' },
      }),
    )
    expect(heavier.versions.map((version) => [version.n, version.reason])).toEqual([
      [2, 'weighed again'],
      [1, ''],
    ])
  })

  it('of two editors the second is told, shown both, and nothing is lost; the same again is known', async () => {
    const first = pot()
    made(await saveThing(bench.db, first))
    const theirs = { ...first, revision: 1, fields: { ...first.fields, massKg: '101 g' } }
    made(await saveThing(bench.db, theirs))
    const mine = await saveThing(bench.db, { ...first, revision: 1, fields: { ...first.fields, massKg: '99 g' } })
    expect(mine).toMatchObject({ status: 'conflict', theirs: { revision: 2, fields: { massKg: '101 g' } } })
    expect((await findThing(bench.db, first.id))!.versions).toHaveLength(2)
    expect(
      (await saveThing(bench.db, { ...theirs, fields: { ...(await findThing(bench.db, first.id))!.record.fields } }))
        .status,
    ).toBe('saved')
    // Two at the very same moment: one is saved, one is told.
    const both = await Promise.all(
      ['102 g', '103 g'].map((massKg) =>
        saveThing(bench.db, { ...first, revision: 2, fields: { ...first.fields, massKg } }),
      ),
    )
    expect(both.map((one) => one.status).sort()).toEqual(['conflict', 'saved'])
  })

  it.each([
    ['no name', { name: ' ' }, /Name: read nothing/, 'fields.name'],
    ['a mass without end', { massKg: '99999 kg' }, /Mass: Outside/, 'fields.massKg'],
    ['a wrong unit', { diameterM: '92 g' }, /not a unit of length/, 'fields.diameterM'],
    ['a NUL', { description: 'a\u0000b' }, /cannot be kept/, 'fields.description'],
    ['a name without end', { name: 'x'.repeat(121) }, /121 characters/, 'fields.name'],
    ['no such material', { material: 'unobtainium' }, /choice from the list/, 'fields.material'],
  ])('with %s is refused at its field, and nothing is stored', async (_, fields, words, path) => {
    const before = await bench.db.select().from(thingVersion)
    expect(refused(await saveThing(bench.db, pot(fields)))).toMatchObject({
      status: 'invalid',
      text: expect.stringMatching(words),
      path,
    })
    expect(await bench.db.select().from(thingVersion)).toHaveLength(before.length)
  })

  it('cannot be made from itself, through whatever others; nor from another kind; nor be saved under another’s id', async () => {
    const [a, b, c] = [pot({ name: 'A' }), pot({ name: 'B' }), pot({ name: 'C' })]
    made(await saveThing(bench.db, a))
    made(await saveThing(bench.db, { ...b, fields: { ...b.fields, madeFromId: a.id } }))
    made(await saveThing(bench.db, { ...c, fields: { ...c.fields, madeFromId: b.id } }))
    expect(
      refused(await saveThing(bench.db, { ...a, revision: 1, fields: { ...a.fields, madeFromId: c.id } }))!.text,
    ).toMatch(/round in a loop \(C, which was made from B/)
    expect(
      refused(await saveThing(bench.db, { ...a, revision: 1, fields: { ...a.fields, madeFromId: a.id } }))!.text,
    ).toMatch(/itself/)
    const lid = { ...newRecord({ name: 'Lid', madeFromId: a.id }), kind: 'lid' }
    expect(refused(await saveThing(bench.db, lid))!.text).toMatch(/not a lid/)
    expect(refused(await saveThing(bench.db, { ...a, revision: 1, kind: 'lid' }))!.text).toMatch(/belongs to a pot/)
    expect(refused(await saveThing(bench.db, { ...pot(), revision: 3 }))!.status).toBe('notFound')
  })
})

describe('a set-up', () => {
  it('swap one part: a version with its own heat hash; back again, the old hash; runs keep theirs; kit in use is not deleted', async () => {
    const [one, other] = [
      made(await saveThing(bench.db, pot({ name: 'One' }))),
      made(await saveThing(bench.db, pot({ name: 'Other', massKg: '140 g' }))),
    ]
    const burner = (await findSetup(bench.db, base.setupId))!.versions[0]!.parts[0]!.versionId
    const sent = { ...newRecord({ name: 'Swapped', gapM: '20 mm' }), parts: { burner, pot: one.versions[0]!.id } }
    made(await saveSetup(bench.db, sent))
    const id = await log({ setupId: sent.id })
    made(
      await saveSetup(bench.db, {
        ...sent,
        revision: 1,
        reason: 'a heavier pot',
        parts: { burner, pot: other.versions[0]!.id },
      }),
    )
    made(await saveSetup(bench.db, { ...sent, revision: 2, parts: { burner, pot: one.versions[0]!.id } }))
    const hashes = await bench.db
      .select({ n: setupVersion.n, hash: setupVersion.heatHash })
      .from(setupVersion)
      .where(eq(setupVersion.setupId, sent.id))
      .orderBy(setupVersion.n)
    expect(hashes[0]!.hash).toBe(hashes[2]!.hash)
    expect(hashes[0]!.hash).not.toBe(hashes[1]!.hash)
    const page = (await findSetup(bench.db, sent.id))!
    expect(page.versions.map((version) => [version.n, version.runs])).toEqual([
      [3, 0],
      [2, 0],
      [1, 1],
    ])
    expect(page.versions[1]!.massKg).toEqual({ total: 0.14, unweighed: ['A can'] })
    for (const outcome of [
      await deleteThing(bench.db, one.record.id),
      await deleteSetup(bench.db, sent.id),
      await deleteBatch(bench.db, base.fuelBatchId),
    ])
      expect(outcome).toMatchObject({
        status: 'inUse',
        runs: expect.arrayContaining([expect.objectContaining({ id })]),
      })
    expect(refused(await deleteThing(bench.db, other.record.id))!.text).toMatch(/part of Swapped/)
  })

  it('what is dangerous is explained, and goes on with a reason that is kept; a part of another kind is refused', async () => {
    const gas = made(
      await saveThing(bench.db, { ...newRecord({ name: 'Gas', burner: 'canister-top' }), kind: 'burner' }),
    ).versions[0]!.id
    const cone = made(await saveThing(bench.db, { ...newRecord({ name: 'Cone', form: 'cone' }), kind: 'screen' }))
      .versions[0]!.id
    const sent = { ...newRecord({ name: 'Wrapped' }, base.personId), parts: { burner: gas, screen: cone } }
    expect(refused(await saveSetup(bench.db, sent))).toMatchObject({
      status: 'invalid',
      path: 'overrides.screen-round-canister',
      text: expect.stringMatching(/overheats/),
    })
    for (const overrides of [null, 7, { 'screen-round-canister': ['a'] }, { 'screen-round-canister': 'a\u0000b' }])
      expect(refused(await saveSetup(bench.db, { ...sent, overrides })), JSON.stringify(overrides)).toMatchObject({
        status: 'invalid',
        path: expect.stringMatching(/^overrides/),
      })
    const page = made(
      await saveSetup(bench.db, { ...sent, overrides: { 'screen-round-canister': 'half open, hand on the canister' } }),
    )
    expect(page.versions[0]!.decisions).toMatchObject([
      { reason: 'half open, hand on the canister', person: 'Somebody' },
    ])
    expect(refused(await saveSetup(bench.db, { ...sent, id: uuidv7(), parts: { burner: cone } }))!.text).toMatch(
      /That is a screen, not a burner/,
    )
    expect(refused(await saveSetup(bench.db, { ...sent, id: uuidv7(), parts: { burner: uuidv7() } }))!.text).toMatch(
      /not known here/,
    )
    // Without runs it can be deleted, whole.
    expect((await deleteSetup(bench.db, sent.id)).status).toBe('saved')
    expect(await findSetup(bench.db, sent.id)).toBeNull()
  })
})

describe('what runs rest on', () => {
  it('a heating value changed after runs: with a reason, both values stay, and their figures follow', async () => {
    const batch = newRecord({ kind: 'methanol', fuel: 'Methanol', batch: 'drum 9' })
    made(await saveBatch(bench.db, batch))
    const id = await log({ fuelBatchId: batch.id })
    const before = (await answerOf(id)).efficiency!
    const changed = { ...batch, revision: 1, fields: { ...batch.fields, lhvJPerKg: '18' } }
    expect(refused(await saveBatch(bench.db, changed))!.text).toMatch(/Source of these: read nothing/)
    const sourced = { ...changed, fields: { ...changed.fields, source: 'bomb calorimeter' } }
    expect(refused(await saveBatch(bench.db, sourced))).toMatchObject({
      path: 'reason',
      text: expect.stringMatching(/figures of 1 run/),
    })
    made(await saveBatch(bench.db, { ...sourced, reason: 'had drawn water' }))
    expect((await findBatch(bench.db, batch.id))!.amendments).toMatchObject([
      { field: 'lhvJPerKg', was: '', now: '18', reason: 'had drawn water' },
    ])
    // Efficiency is heat gained over m·LHV: methanol's 19.92 (CRC enthalpies) over 18.
    expect((await answerOf(id)).efficiency! / before).toBeCloseTo(19.92 / 18, 2)
  })

  it('a check’s offset is in the next reading and not in the one before; the correction keeps its instrument', async () => {
    const probe = {
      ...newRecord({ name: 'Probe', measures: 'temperature', resolution: '0.1', accuracy: '0.5', lagS: '8' }),
      kind: 'instrument',
    }
    made(await saveThing(bench.db, probe))
    const instruments = { ...emptyTypedRun('', 'metric').instruments, temperature: probe.id }
    const before = await log({ instruments, startedAt: '2026-05-04T10:00:00Z' })
    made(
      await addCheck(
        bench.db,
        probe.id,
        newRecord({ kind: 'icePoint', reading: '0.6 °C', at: '2026-05-05T08:00:00Z' }),
        NOW,
      ),
    )
    expect(
      refused(
        await addCheck(
          bench.db,
          probe.id,
          newRecord({ kind: 'icePoint', reading: '32 °C', at: '2026-05-05T08:00:00Z' }),
          NOW,
        ),
      )!.text,
    ).toMatch(/too far off/)
    const after = await log({ instruments, startedAt: '2026-05-06T10:00:00Z' })
    const start = async (id: string) =>
      (
        await bench.db
          .select()
          .from(measurement)
          .where(sql`${measurement.runId} = ${id} and ${measurement.quantity} = 'waterStart'`)
      )[0]!
    expect(await start(before)).toMatchObject({ value: 16, correction: 0 })
    expect(await start(after)).toMatchObject({
      value: expect.closeTo(15.4, 9),
      correction: expect.closeTo(-0.6, 9),
      typed: '16 °C',
    })
    // ± 0.5 °C and a tenth, stirred water even to 0.2 K: u = hypot(0.5/√3, 0.1/√12, 0.2).
    const { stored } = (await findRun(bench.db, after))!
    expect(stored.thermometer).toEqual({
      id: probe.id,
      resolution: 0.1,
      accuracy: 0.5,
      correctionK: expect.closeTo(-0.6, 9),
      lagS: 8,
    })
    expect(toRunDocument(stored).thermometer).toEqual({
      offsetK: expect.closeTo(0.6, 9),
      offsetU: expect.closeTo(Math.hypot(0.5 / Math.sqrt(3), 0.1 / Math.sqrt(12), 0.2), 9),
      lagS: 8,
    })
    expect(await deleteThing(bench.db, probe.id)).toMatchObject({ status: 'inUse' })
  })

  it('a part-used canister tells its fill from one weighing and what its runs took', async () => {
    const can = newRecord({ name: 'Can 1', fuelBatchId: base.fuelBatchId, tareKg: '150 g' })
    made(await saveContainer(bench.db, can))
    const weigh = (massKg: string, at: string) =>
      weighContainer(bench.db, can.id, newRecord({ kind: 'weighed', massKg, at }), NOW)
    made(await weigh('241.4 g', '2026-05-03T08:00:00Z'))
    const id = await log({ containerId: can.id })
    expect((await findContainer(bench.db, can.id))!.line).toMatchObject({
      fillKg: expect.closeTo(0.0914 - 0.0164, 9),
      runs: 1,
      boils: { about: expect.closeTo(75 / 16.4, 6) },
    })
    expect(refused(await weigh('120 g', '2026-05-05T08:00:00Z'))!.text).toMatch(/less than the empty container/)
    expect(refused(await weigh('240 g', '2027-05-05T08:00:00Z'))!.text).toMatch(/not in the future/)
    made(await weigh('222.0 g', '2026-05-05T08:00:00Z'))
    expect((await findContainer(bench.db, can.id))!.ledger.at(-1)).toMatchObject({
      unexplainedKg: expect.closeTo(-0.003, 9),
      fillKg: expect.closeTo(0.072, 9),
    })
    expect((await findRun(bench.db, id))!.record.container).toEqual({ id: can.id, name: 'Can 1' })
    expect((await logRun(bench.db, typed({ containerId: uuidv7() }), NOW)).status).toBe('unknownId')
  })

  it('a can of gas that was weighed before the burn says how full it was, and a mended tare changes that', async () => {
    const { setupId, fuelBatchId: gas } = await burnOne(
      bench.db,
      {
        units: 'metric',
        who: 'Somebody',
        burner: 'A gas ring',
        burnerKind: 'canister-top',
        fuelKind: 'isobutane-propane',
        place: 'Porch',
        altitude: '',
        zone: 'UTC',
      },
      340,
    )
    const fields = { name: 'Can 2', fuelBatchId: gas, tareKg: '100 g', fullKg: '110 g' }
    const can = newRecord(fields)
    made(await saveContainer(bench.db, can))
    const id = await log({
      containerId: can.id,
      setupId,
      fuelBatchId: gas,
      measured: { ...typed().measured, fuelUsed: '', fuelBefore: '133 g', fuelAfter: '126 g' },
    })
    const share = async () => toRunDocument((await findRun(bench.db, id))!.stored).container?.fillShare
    expect(await share()).toBeCloseTo(33 / 110, 9)
    made(await saveContainer(bench.db, { ...can, revision: 1, fields: { ...can.fields, tareKg: '90 g' } }))
    expect(await share()).toBeCloseTo(43 / 110, 9)
  })

  it('a place’s own pressure decides the boiling point unless the run read one; reduced to sea level it wants the altitude', async () => {
    const place = newRecord({ name: 'Col', zone: 'UTC', altitudeM: '2 500 m', stationPressurePa: '740 hPa' })
    made(await savePlace(bench.db, place))
    // Boiling point at 740 hPa: 91.4 °C (IAPWS-IF97).
    expect((await answerOf(await log({ placeId: place.id }))).boilingPointC).toBeCloseTo(91.42, 1)
    expect(
      (await answerOf(await log({ placeId: place.id, measured: { ...typed().measured, stationPressure: '760 hPa' } })))
        .boilingPointC,
    ).toBeCloseTo(92.13, 1)
    expect(
      refused(await savePlace(bench.db, newRecord({ name: 'X', zone: 'UTC', seaLevelPressurePa: '1020 hPa' })))!.path,
    ).toBe('fields.altitudeM')
    expect(refused(await savePlace(bench.db, newRecord({ name: 'X', zone: 'Mars/Olympus' })))!.text).toMatch(
      /Time zone/,
    )
  })
})

describe('a method', () => {
  it('that ships is copied, not changed; a copy’s versions stay with their runs; its conventions read them', async () => {
    const rise = (await findMethod(bench.db, shippedId('rise')))!
    expect(
      refused(await saveMethod(bench.db, { ...rise.record, fields: { ...rise.record.fields, why: 'x' } }))!.text,
    ).toMatch(/ships with Vulcanum/)
    const copy = {
      ...newRecord({ ...rise.record.fields, name: 'To eighty', targetC: '80' }),
      copiedFromId: shippedId('rise'),
    }
    expect(made(await saveMethod(bench.db, copy)).line).toMatchObject({
      test: 'rise',
      n: 1,
      body: { boil: { targetC: 80 } },
    })
    const id = await log({
      methodId: copy.id,
      test: 'rise',
      times: { ...typed().times, rollingBoil: '', targetReached: '4:40', shutOff: '4:40' },
    })
    made(
      await saveMethod(bench.db, { ...copy, revision: 1, reason: 'hotter', fields: { ...copy.fields, targetC: '85' } }),
    )
    const page = await runPage(bench.db, (await findRun(bench.db, id))!, {})
    expect(page.record.method).toEqual({ id: copy.id, name: 'To eighty', n: 1 })
    expect(page.view).toMatchObject({ boil: 'target', targetC: 80 })
    expect(page.answer).toMatchObject({ timeToBoilS: 280, ended: 'boiled' })
    expect(await lineOf(id)).toMatchObject({ method: 'To eighty', timeToBoilS: 280, gPerL: page.answer.gPerL })
    expect(page.findings).toMatchObject({ lacking: [], outside: [{ code: 'outside-start' }, { code: 'outside-lid' }] })
    expect(await deleteMethod(bench.db, copy.id)).toMatchObject({ status: 'inUse', runs: [{ id }] })
    expect(
      (await findMethod(bench.db, copy.id))!.figures!.schools.find(
        (one) => one.key === 'boil' && one.value === 'target',
      ),
    ).toMatchObject({ timeToBoilS: 280 })
  })

  it('refuses a window upside down, a copy of nothing, and a run whose test is not the method’s', async () => {
    const boil = (await findMethod(bench.db, shippedId('boil')))!.record
    expect(
      refused(
        await saveMethod(bench.db, { ...newRecord({ ...boil.fields, startLow: '30 °C' }), copiedFromId: boil.id }),
      )!.path,
    ).toBe('fields.startHigh')
    expect(refused(await saveMethod(bench.db, { ...newRecord(boil.fields), copiedFromId: uuidv7() }))!.text).toMatch(
      /begins as a copy/,
    )
    expect(await logRun(bench.db, typed({ methodId: shippedId('simmer') }), NOW)).toMatchObject({
      status: 'unknownId',
      problems: [{ path: 'methodId' }],
    })
    const mismatch = typed({
      fuelBatchId: made(await saveBatch(bench.db, newRecord({ kind: 'white-gas', fuel: 'White gas', batch: 'x' })))
        .record.id,
    })
    expect(await logRun(bench.db, mismatch, NOW)).toMatchObject({
      status: 'invalid',
      problems: [{ path: 'overrides.burnerAndFuel', text: expect.stringMatching(/flares/) }],
    })
    expect(
      (await logRun(bench.db, { ...mismatch, overrides: { burnerAndFuel: 'a burner for both, says its maker' } }, NOW))
        .status,
    ).toBe('created')
  })
})

describe('what is said of a run', () => {
  it('void: out of its set-up’s mean and lines, still to be seen, and back again; each with its reason', async () => {
    const setup = {
      ...newRecord({ name: 'Voids' }),
      parts: { burner: (await findSetup(bench.db, base.setupId))!.versions[0]!.parts[0]!.versionId },
      overrides: {},
    }
    made(await saveSetup(bench.db, { ...setup, fields: { ...setup.fields, gapM: '31 mm' } }))
    const [good, bad] = [
      await log({ setupId: setup.id }),
      await log({ setupId: setup.id, measured: { ...typed().measured, fuelUsed: '24 g' } }),
    ]
    const mean = async () => (await answerRun(bench.db, (await findRun(bench.db, good))!)).setups[0]
    expect((await mean())!.n).toBe(2)
    expect((await care(bad, { what: 'void' })).status).toBe('invalid')
    made(await care(bad, { what: 'void', reason: 'knocked over' }))
    expect((await mean())!.n).toBe(1)
    expect(await lineOf(bad)).toMatchObject({ voided: true })
    expect((await answerOf(bad)).setup).toBeNull()
    made(await care(bad, { what: 'unvoid', reason: 'it was the other one' }))
    expect((await mean())!.n).toBe(2)
    made(await care(bad, { what: 'breakIn', reason: 'first burn' }))
    expect((await mean())!.n).toBe(1)
    const page = await runPage(bench.db, (await findRun(bench.db, bad))!, {})
    expect(page.voids.map((one) => [one.voided, one.reason])).toEqual([
      [true, 'knocked over'],
      [false, 'it was the other one'],
    ])
    expect((await allLines(bench.db)).find((line) => line.id === bad)).toMatchObject({ voided: false, breakIn: true })
  })

  it('which boil, with a reason: the figure follows, and the flag asks no more', async () => {
    const trace = Array.from({ length: 200 }, (_, i): [number, number] => [i * 2, Math.min(98.9, 16 + 0.3 * i * 2)])
    const id = await log({ trace, times: { ...typed().times, rollingBoil: '5:20' } })
    const asked = (await answerOf(id)).flags.find((flag) => flag.code === 'boil-calls-disagree')
    expect(asked!.text).toMatch(/^You called 5:20; the trace says 4:3\d\. Which\?$/)
    const decide = {
      id: uuidv7(),
      what: 'decide',
      question: 'boil',
      answer: 'trace',
      reason: 'looked away',
      personId: base.personId,
    }
    for (let i = 0; i < 2; i++) made(await careForRun(bench.db, id, decide))
    expect(await answerOf(id)).toMatchObject({ boilFrom: 'trace', timeToBoilS: expect.closeTo(275, -1) })
    expect((await runPage(bench.db, (await findRun(bench.db, id))!, {})).decisions).toHaveLength(1)
    made(await care(id, { what: 'decide', question: 'boil', answer: 'call', reason: 'the lid was off for the probe' }))
    expect(await answerOf(id)).toMatchObject({
      boilFrom: 'call',
      timeToBoilS: 320,
      flags: expect.arrayContaining([expect.objectContaining({ code: 'boil-decided', severity: 'note' })]),
    })
    expect((await care(id, { what: 'decide', question: 'boil', answer: 'neither', reason: 'x' })).status).toBe(
      'invalid',
    )
  })

  it('an observation is superseded by the next on its scale, and stands only on words of its scale', async () => {
    const id = await log()
    made(await care(id, { what: 'observe', scale: 'soot', step: 'film', note: 'אש 🔥' }))
    made(await care(id, { what: 'observe', scale: 'soot', step: 'thick', atMs: 220_000 }))
    expect((await runPage(bench.db, (await findRun(bench.db, id))!, {})).observations).toMatchObject([
      { scale: 'soot', step: 'thick', atMs: 220_000, person: 'Somebody' },
    ])
    expect(refused(await care(id, { what: 'observe', scale: 'soot', step: 'loud' }))!.text).toMatch(/choose the words/)
    expect(refused(await care(uuidv7(), { what: 'observe', scale: 'soot', step: 'film' }))!.status).toBe('notFound')
  })
})

describe('photos', () => {
  const sent = (bytes: Buffer, runId: string) =>
    savePhoto(bench.db, { id: uuidv7(), of: { runId }, bytes, caption: '', atMs: null, personId: null })

  it('are upright, without where they were taken, with a thumbnail', async () => {
    const id = await log()
    // Orientation 6 (Exif 2.3): the camera was turned; 40 × 20 pixels lie on their side.
    const taken = await sharp({ create: { width: 40, height: 20, channels: 3, background: '#a05020' } })
      .withExif({ IFD0: { Make: 'x' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
    expect((await sharp(taken).metadata()).exif).toBeDefined()
    const [meta] = made(await sent(taken, id))
    expect(meta).toMatchObject({ width: 20, height: 40 })
    const kept = await sharp((await readPhoto(bench.db, meta!.id, false))!.bytes).metadata()
    expect(kept).toMatchObject({ width: 20, height: 40, format: 'jpeg' })
    expect([kept.exif, kept.orientation, kept.xmp, kept.iptc]).toEqual([undefined, undefined, undefined, undefined])
    expect((await readPhoto(bench.db, meta!.id, true))!.type).toBe('image/jpeg')
    for (const format of ['png', 'webp'] as const)
      expect((await sent(await sharp(taken).toFormat(format).toBuffer(), id)).status).toBe('saved')
  })

  it('what is none, is broken off, or is another kind of picture is refused, and nothing is stored', async () => {
    const id = await log()
    const whole = await sharp({ create: { width: 400, height: 300, channels: 3, background: '#336699' } })
      .jpeg()
      .toBuffer()
    const svg = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>',
    )
    for (const bytes of [
      Buffer.from('not a photo'),
      Buffer.alloc(0),
      whole.subarray(0, Math.floor(whole.length / 2)),
      svg,
      await sharp(whole).gif().toBuffer(),
    ])
      expect(refused(await sent(bytes, id))!.text).toMatch(/not a JPEG, PNG or WebP/)
    expect(await bench.db.select({ id: photo.id }).from(photo).where(eq(photo.runId, id))).toEqual([])
    expect(refused(await sent(whole, uuidv7()))!.status).toBe('notFound')
    expect(await bench.db.select({ id: run.id }).from(run).where(eq(run.id, id))).toHaveLength(1)
  })
})
