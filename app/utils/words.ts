/** Words and figures that several screens share. */
import { decimalsFor, formatNumber, formatWithU } from '#core/quantity/format'
import type { Basis, Rung } from '#core/formats/answer'

export const COVERAGE_FACTOR = 2

/** "24.4 ± 0.7", expanded by k = 2. */
export const withExpandedU = (value: number, u: number | null): string => formatWithU(value, u === null ? null : COVERAGE_FACTOR * u)

/** "× 0.865 (−13.5 %)", or "no change" under 0.05 %. */
export function factorText(factor: number): string {
  const percent = (factor - 1) * 100
  if (Math.abs(percent) < 0.05) return 'no change'
  return `×\u202f${formatNumber(factor, 3)} (${percent > 0 ? '+' : ''}${formatNumber(percent, 1)}\u202f%)`
}

export const BASIS_WORDS: Record<Basis, string> = {
  measured: 'measured here', ownSeries: 'own series', classDefault: 'class default', assumed: 'assumed', notInModel: 'not in this model',
}

const MISSING_WORDS: Record<string, string> = {
  'place.windMS': 'wind at the pot', 'place.airC': 'air temperature', 'place.altitudeM': 'altitude or pressure', 'series.wind': 'a wind series of this set-up', 'series.burnRate': 'a burn-rate series of this set-up',
  'water.startC': 'start temperature', 'water.massG': 'water', 'water.endC': 'last temperature', 'water.endMassG': 'water left', 'fuel.usedG': 'fuel used', 'events.potOn': 'pot-on', 'events.rollingBoil': 'the boil, or its end',
}
export const missingWords = (path: string): string => MISSING_WORDS[path] ?? path

/** What a rung moves: "Start 9.2 → 20 °C". */
export function rungSentence({ rung, moved }: Rung): string {
  const name = { start: 'Start', boilingPoint: 'Boiling point', surroundings: 'Air', wind: 'Wind', supply: 'Burn rate' }[rung]
  const { from, to, unit } = moved
  const show = (value: number) => formatNumber(value, Math.min(1, decimalsFor(value, 3)))
  if (rung === 'supply' && to === null) return `${name} as it was`
  if (from === null) return `${name} not measured`
  if (rung === 'wind' && from === 0 && to === 0) return 'Calm, and calm at the reference'
  return to === null ? `${name} ${show(from)}\u202f${unit}` : `${name} ${show(from)} → ${show(to)}\u202f${unit}`
}

/** Date and time in the zone of the run. */
export function dateInZone(iso: string, zone: string): string {
  return new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone }).format(new Date(iso))
}
