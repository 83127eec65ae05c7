/** What an instrument's checks say of a later reading. */

export type InstrumentMeasures = 'temperature' | 'mass' | 'wind' | 'pressure' | 'humidity'
export type CheckKind = 'icePoint' | 'boilingPoint' | 'checkWeight' | 'beside'

export interface InstrumentCheck {
  kind: CheckKind
  /** What it showed, and what was so [SI]. */
  reading: number
  truth: number
  /** Milliseconds since 1970. */
  atMs: number
}

/** A scale and a wind meter are zero at nothing, so what they are off by grows with the reading. */
const PROPORTIONAL: readonly InstrumentMeasures[] = ['mass', 'wind']
/** Two points nearer than this are one [K]: no line can be drawn through them. */
const APART = 10

/**
 * What is added to a reading to make it true [SI], by the newest check of each kind up to the moment of the reading.
 * A thermometer checked at two points is corrected along the line through them; at one, by its offset there; scale and
 * wind meter in proportion.
 * @returns 0 without a check. Source: commonPractice.
 * Example: an ice point read as 0.4 °C → every temperature less 0.4 K.
 */
export function instrumentCorrection(
  reading: number,
  measures: InstrumentMeasures,
  checks: readonly InstrumentCheck[],
  atMs: number,
): number {
  const points = newestOfEach(checks.filter((check) => check.atMs <= atMs))
  const last = points.at(-1)
  if (last === undefined) return 0
  if (PROPORTIONAL.includes(measures)) return last.reading > 0 ? reading * (last.truth / last.reading - 1) : 0
  const offset = (point: InstrumentCheck) => point.truth - point.reading
  const far = points.findLast((point) => Math.abs(point.reading - last.reading) > APART)
  if (measures !== 'temperature' || far === undefined) return offset(last)
  return offset(last) + ((reading - last.reading) / (far.reading - last.reading)) * (offset(far) - offset(last))
}

/** Oldest first. */
function newestOfEach(checks: readonly InstrumentCheck[]): InstrumentCheck[] {
  const newest = new Map<CheckKind, InstrumentCheck>()
  for (const check of checks)
    if ((newest.get(check.kind)?.atMs ?? -Infinity) <= check.atMs) newest.set(check.kind, check)
  return [...newest.values()].sort((a, b) => a.atMs - b.atMs)
}

const DAY_MS = 86_400_000

/** Whole days since the last check, and by how many it is overdue; null where none was made, or none is asked for. */
export function checkAge(
  checks: readonly InstrumentCheck[],
  everyDays: number | null,
  nowMs: number,
): { days: number | null; overdueDays: number | null } {
  const last = Math.max(...checks.map((check) => check.atMs))
  if (checks.length === 0) return { days: null, overdueDays: null }
  const days = Math.max(0, Math.floor((nowMs - last) / DAY_MS))
  return { days, overdueDays: everyDays !== null && days > everyDays ? days - everyDays : null }
}
