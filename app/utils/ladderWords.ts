/** Words of the ladder, and of what a figure is corrected to: of a run's page. */
import { formatNumber } from '#core/quantity/format'
import { shown, shownParts } from './shownQuantity'
import type { Basis, ReduceAnswer, Rung } from '#core/formats/answer'
import type { UnitSystem } from '#core/quantity/kinds'

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

/** "start 20 °C, 1013.3 hPa, air 20 °C, calm". */
export function referenceSentence(
  { startC, pressureHPa, airC, windMS }: ReduceAnswer['reference'],
  units: UnitSystem,
): string {
  const wind = windMS === 0 ? 'calm' : `wind ${shown(windMS, 'wind', units)}`
  return `start ${shown(startC, 'temperature', units)}, ${shown(pressureHPa * 100, 'pressure', units)}, air ${shown(airC, 'temperature', units)}, ${wind}`
}
