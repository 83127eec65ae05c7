/** Checks of instruments: what one showed against what was so. */
import { and, desc, eq } from 'drizzle-orm'
import { instrumentCorrection, type CheckKind } from '../../core/kit/instrumentCorrection'
import { boilingPointFromPressure } from '../../core/water/saturation'
import { checkFields, readCheckTime } from '../../shared/instrumentCheck'
import type { CheckLine } from '../../shared/kitRecords'
import { readRecord } from '../../shared/record'
import type { InstrumentProperties } from '../../shared/thing'
import type { Connection } from '../database/connection'
import { instrumentCheck, person, thing, thingVersion } from '../database/schema'
import { invalid, invalidAt, notFound, saved, type Outcome } from './outcome'

/** Newest first, withdrawn ones too. */
export async function checksOf(db: Connection, thingId: string): Promise<CheckLine[]> {
  const rows = await db
    .select({ check: instrumentCheck, person: person.name })
    .from(instrumentCheck)
    .leftJoin(person, eq(person.id, instrumentCheck.personId))
    .where(eq(instrumentCheck.thingId, thingId))
    .orderBy(desc(instrumentCheck.at))
  return rows.map(({ check: { id, kind, reading, truth, typed, truthTyped, note, withdrawn, at }, person: who }) => ({
    id,
    kind,
    reading,
    truth,
    typed,
    truthTyped,
    note,
    withdrawn,
    atMs: at.getTime(),
    person: who,
  }))
}

/** Keeps a check. At the ice point water is at 0 °C, at the boil at the boiling point of the pressure given. */
export async function addCheck(
  db: Connection,
  thingId: string,
  input: unknown,
  nowMs: number,
): Promise<Outcome<CheckLine[]>> {
  const instrument = await instrumentOf(db, thingId)
  if (instrument === null) return notFound('instrument')
  const { measures } = instrument.properties
  const read = readRecord(checkFields(measures), input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  const kind = values.kind as CheckKind
  const at = readCheckTime(values.at as string, nowMs)
  if (at === null) return invalidAt('fields.at', 'When: expected a date and time that is not in the future.')
  const truth =
    kind === 'icePoint'
      ? 0
      : kind === 'boilingPoint'
        ? typeof values.pressure === 'number'
          ? boilingPointFromPressure(values.pressure)
          : null
        : (values.truth as number | null)
  if (truth === null)
    return invalidAt(
      kind === 'boilingPoint' ? 'fields.pressure' : 'fields.truth',
      kind === 'boilingPoint'
        ? 'Station pressure: read nothing, expected the pressure here, such as 905.1 hPa.'
        : 'What was so: read nothing, expected the true value.',
    )
  const reading = values.reading as number
  const off = Math.abs(reading - truth)
  if (off > Math.max(SLIP[measures], 0.05 * Math.abs(truth)))
    return invalidAt(
      'fields.reading',
      `It shows ${typed.fields.reading as string} where ${(typed.fields.truth as string) || truth.toFixed(1)} is so: too far off for a check. Which is misread?`,
    )
  await db
    .insert(instrumentCheck)
    .values({
      id: typed.id,
      thingId,
      kind,
      reading,
      truth,
      typed: typed.fields.reading as string,
      truthTyped: (typed.fields.truth as string) || '',
      note: values.note as string,
      at,
      personId: typed.personId,
    })
    .onConflictDoNothing()
  return saved(await checksOf(db, thingId))
}

/** Further off than this [SI], or 5 %, is a slip and no check. Source: estimate. */
const SLIP = { temperature: 10, mass: 0.02, wind: 1, pressure: 3000, humidity: 0.2 } as const

/** Takes a check back: it corrects nothing more, and stays in the list. */
export async function withdrawCheck(db: Connection, thingId: string, checkId: string): Promise<Outcome<CheckLine[]>> {
  const rows = await db
    .update(instrumentCheck)
    .set({ withdrawn: true })
    .where(and(eq(instrumentCheck.id, checkId), eq(instrumentCheck.thingId, thingId)))
    .returning({ id: instrumentCheck.id })
  return rows.length === 0 ? notFound('check') : saved(await checksOf(db, thingId))
}

export interface Instrument {
  versionId: string
  properties: InstrumentProperties
  correctionAt: (reading: number, atMs: number) => number
}

/** An instrument with its newest version, and what its checks add to a reading; null where there is none of this id. */
export async function instrumentOf(db: Connection, thingId: string): Promise<Instrument | null> {
  const [row] = await db
    .select({ versionId: thingVersion.id, properties: thingVersion.properties })
    .from(thing)
    .innerJoin(thingVersion, eq(thingVersion.thingId, thing.id))
    .where(and(eq(thing.id, thingId), eq(thing.kind, 'instrument')))
    .orderBy(desc(thingVersion.n))
    .limit(1)
  if (row === undefined) return null
  const properties = row.properties as InstrumentProperties
  const checks = (await checksOf(db, thingId)).filter((check) => !check.withdrawn)
  return {
    versionId: row.versionId,
    properties,
    correctionAt: (reading, atMs) => instrumentCorrection(reading, properties.measures, checks, atMs),
  }
}
