/** Checks of instruments: what one showed against what was so. */
import { instrumentCorrection, type CheckKind } from '../../core/kit/instrumentCorrection'
import { boilingPointFromPressure } from '../../core/water/saturation'
import { checkFields, readCheckTime } from '../../shared/instrumentCheck'
import type { CheckLine } from '../../shared/kitRecords'
import { readRecord } from '../../shared/record'
import type { InstrumentProperties } from '../../shared/thing'
import type { Connection } from '../database/connection'
import { invalid, invalidAt, notFound, saved, type Outcome, type Refused } from './outcome'
import { checksOf, insertCheck, markWithdrawn, newestInstrument } from './repository/checks'

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
  const at = readCheckTime(values.at as string, nowMs)
  if (at === null) return invalidAt('fields.at', 'When: expected a date and time that is not in the future.')
  const kind = values.kind as CheckKind
  const truth = truthOf(kind, values)
  if (truth === null) return truthMissing(kind)
  const reading = values.reading as number
  const off = Math.abs(reading - truth)
  if (off > Math.max(SLIP[measures], 0.05 * Math.abs(truth)))
    return invalidAt(
      'fields.reading',
      `It shows ${typed.fields.reading as string} where ${(typed.fields.truth as string) || truth.toFixed(1)} is so: too far off for a check. Which is misread?`,
    )
  await insertCheck(db, {
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
  return saved(await checksOf(db, thingId))
}

/** What was so [SI]; null: it was not given. */
function truthOf(kind: CheckKind, { pressure, truth }: Record<string, unknown>): number | null {
  if (kind === 'icePoint') return 0
  if (kind !== 'boilingPoint') return truth as number | null
  return typeof pressure === 'number' ? boilingPointFromPressure(pressure) : null
}

const truthMissing = (kind: CheckKind): Refused =>
  kind === 'boilingPoint'
    ? invalidAt('fields.pressure', 'Station pressure: read nothing, expected the pressure here, such as 905.1 hPa.')
    : invalidAt('fields.truth', 'What was so: read nothing, expected the true value.')

/** Further off than this [SI], or 5 %, is a slip and no check. Source: estimate. */
const SLIP = { temperature: 10, mass: 0.02, wind: 1, pressure: 3000, humidity: 0.2 } as const

/** Takes a check back: it corrects nothing more, and stays in the list. */
export async function withdrawCheck(db: Connection, thingId: string, checkId: string): Promise<Outcome<CheckLine[]>> {
  return (await markWithdrawn(db, thingId, checkId)) ? saved(await checksOf(db, thingId)) : notFound('check')
}

export interface Instrument {
  versionId: string
  properties: InstrumentProperties
  correctionAt: (reading: number, atMs: number) => number
}

/** An instrument with its newest version, and what its checks add to a reading; null where there is none of this id. */
export async function instrumentOf(db: Connection, thingId: string): Promise<Instrument | null> {
  const newest = await newestInstrument(db, thingId)
  if (newest === null) return null
  const checks = (await checksOf(db, thingId)).filter((check) => !check.withdrawn)
  return {
    ...newest,
    correctionAt: (reading, atMs) => instrumentCorrection(reading, newest.properties.measures, checks, atMs),
  }
}
