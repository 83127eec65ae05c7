/** How an address asks for figures to be read: conditions, model, conventions, unit. */
import type { ComparedMean } from '../../core/compare/facts'
import { ASKED_UNITS, type AskedUnit } from '../../core/formats/comparison'
import { runViewFrom, type Conventions, type RunView } from '../../shared/runOptions'

export type AskedQuery = Record<string, unknown>

/** What of an address reads figures otherwise than they are listed. Water that they are brought to is `with`. */
const READS = ['reference', 'own', 'model', 'boil', 'target', 'clock', 'litre', 'flame', 'with'] as const

export const isOtherView = (query: AskedQuery): boolean => READS.some((key) => query[key] !== undefined)

export const viewOf = (query: AskedQuery, usual?: Conventions): RunView =>
  runViewFrom({ ...query, water: query.with }, usual)

/** Means as they are shown: where their figures are brought to other water, they are of that. */
export function atAskedWater(query: AskedQuery): <Mean extends Pick<ComparedMean, 'test'>>(mean: Mean) => Mean {
  const { waterG } = viewOf(query)
  return (mean) => (waterG === null ? mean : { ...mean, test: { ...mean.test, volumeG: waterG } })
}

export const unitOf = (query: AskedQuery, usual: AskedUnit = 'g'): AskedUnit =>
  ASKED_UNITS.find((unit) => unit === query.unit) ?? usual

export const idsIn = (text: unknown): string[] =>
  typeof text === 'string' ? text.split(',').filter((one) => one !== '') : []
