/** Words and figures that several screens share. */
import { formatNumber, formatPositiveWithU, formatWithU } from '#core/quantity/format'
import { shown, shownParts } from './shownQuantity'
import type { Basis, MeanOf, ReduceAnswer, Rung } from '#core/formats/answer'
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

/** "× 0.865 (−13.5 %)", or "no change" under 0.05 %. */
export function factorText(factor: number): string {
  const percent = (factor - 1) * 100
  if (Math.abs(percent) < 0.05) return 'no change'
  return `×\u202f${formatNumber(factor, 3)} (${percent > 0 ? '+' : ''}${formatNumber(percent, 1)}\u202f%)`
}

export const BASIS_WORDS: Record<Basis, string> = {
  measured: 'measured here',
  ownSeries: 'own series',
  classDefault: 'class default',
  assumed: 'assumed',
  notInModel: 'not in this model',
}

const MISSING_WORDS: Record<string, string> = {
  'place.windMS': 'wind at the pot',
  'place.airC': 'air temperature',
  'place.altitudeM': 'altitude or pressure',
  'series.burnRate': 'three calm runs at 10 °C or more, or what the valve stood at',
  'water.startC': 'start temperature',
  'water.massG': 'water',
  'water.endC': 'last temperature',
  'water.endMassG': 'water left',
  'fuel.usedG': 'fuel used',
  'events.potOn': 'pot-on',
  'events.rollingBoil': 'the boil, or its end',
}
export const missingWords = (path: string): string => MISSING_WORDS[path] ?? path

/** What a rung moves: "Start 9.2 → 20 °C", in the units shown. */
export function rungSentence({ rung, moved }: Rung, units: UnitSystem = 'metric'): string {
  const name = {
    start: 'Start',
    boilingPoint: 'Boiling point',
    surroundings: 'Air',
    wind: 'Wind',
    flame: 'Flame',
    volume: 'Water',
  }[rung]
  const { from, to } = moved
  if (rung === 'flame') return flameSentence(from, to)
  if (rung === 'volume') return waterSentence(from, to, units)
  const kind = rung === 'wind' ? 'wind' : 'temperature'
  if (rung === 'wind' && from === 0 && to === 0) return 'Calm, and calm at the reference'
  if (from === null) return `${name} not measured`
  if (to === null) return `${name} ${shown(from, kind, units)}`
  return `${name} ${shownParts(from, kind, units).figure} → ${shown(to, kind, units)}`
}

/** A flame's burn rate, and the bench's where the rung goes there. */
function flameSentence(from: number | null, to: number | null): string {
  if (to === null || from === null) return 'Flame as it was'
  const [own, bench] = [formatNumber(from, 2), formatNumber(to, 2)]
  return own === bench ? `Flame ${own}\u202fg/min, as at the bench` : `Flame ${own} → ${bench}\u202fg/min`
}

/** Water by weight: "1000 g", "35.27 oz". */
export const waterWords = (grams: number, units: UnitSystem): string =>
  units === 'metric' ? `${formatNumber(grams, 0)}\u202fg` : shown(grams / 1000, 'mass', units)

const waterSentence = (fromG: number | null, toG: number | null, units: UnitSystem): string =>
  `Water ${[fromG, toG].map((grams) => (grams === null ? '' : waterWords(grams, units))).join(' → ')}`

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

/** "start 20 °C, 1013.3 hPa, air 20 °C, calm". */
export function referenceSentence(
  { startC, pressureHPa, airC, windMS }: ReduceAnswer['reference'],
  units: UnitSystem,
): string {
  const wind = windMS === 0 ? 'calm' : `wind ${shown(windMS, 'wind', units)}`
  return `start ${shown(startC, 'temperature', units)}, ${shown(pressureHPa * 100, 'pressure', units)}, air ${shown(airC, 'temperature', units)}, ${wind}`
}

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
