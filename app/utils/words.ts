/** Words and figures that several screens share. */
import { formatNumber, formatPositiveWithU, formatWithU } from '#core/quantity/format'
import { shown } from './shownQuantity'
import type { MeanOf } from '#core/formats/answer'
import type { UnitSystem } from '#core/quantity/kinds'
import { TEST_WORDS } from '#shared/method'
import type { RunRecord } from '#shared/runRecord'

export const COVERAGE_FACTOR = 2

/** "24.4 ± 0.7", expanded by k = 2. */
export const withExpandedU = (value: number, u: number | null): string =>
  formatWithU(value, u === null ? null : COVERAGE_FACTOR * u)

/** The same of fuel per litre: "24.4 ± 0.7", or, known badly, "21 (13 to 36)". */
export const fuelWithU = (value: number, u: number | null): string =>
  formatPositiveWithU(value, u === null ? null : COVERAGE_FACTOR * u)

/** Date and time in the zone of the run. */
export function dateInZone(iso: string, zone: string): string {
  const format =
    formatsOfZones.get(zone) ??
    new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone })
  formatsOfZones.set(zone, format)
  return format.format(new Date(iso))
}
/** The same without its year where that is this year: a column of dates is read down. */
export function shortDateInZone(iso: string, zone: string): string {
  const whole = dateInZone(iso, zone)
  return whole.replace(` ${new Date().getFullYear()},`, ',')
}
/** One takes as long to make as a hundred to use. */
const formatsOfZones = new Map<string, Intl.DateTimeFormat>()

/** Place and weather of a run, for the strip. */
export function thenSentence(record: RunRecord, units: UnitSystem): string {
  const of = (quantity: string) => record.measurements.find((one) => one.quantity === quantity)?.value ?? null
  const air = of('air')
  const wind = of('wind')
  const altitude = of('altitude') ?? record.placeAltitudeM
  return [
    record.place ?? 'elsewhere',
    altitude === null ? null : shown(altitude, 'altitude', units),
    air === null ? 'air not read' : `air ${shown(air, 'temperature', units)}`,
    wind === null ? 'wind not read' : wind === 0 ? 'calm' : `wind ${shown(wind, 'wind', units)} at pot`,
  ]
    .filter((part) => part !== null)
    .join(', ')
}

/** "boil, 500 mL, at full", "20 to 90 °C"… what the runs of a mean are alike in. */
export function meanWords({ kind, endC, setting, volumeG }: MeanOf, units: UnitSystem): string {
  return [
    TEST_WORDS[kind],
    ...(endC === null ? [] : [`to ${shown(endC, 'temperature', units)}`]),
    `${formatNumber(volumeG, 0)}\u202fg`,
    ...(setting === null ? [] : [`at ${setting}`]),
  ].join(', ')
}
