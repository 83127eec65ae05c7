/** Words of how figures are read, and the water they are brought to. */
import type { UnitSystem } from '#core/quantity/kinds'
import { waterWords } from './ladderWords'

export const CLOCK_WORDS = { potOn: 'pot-on', lit: 'lighting', bloomed: 'full flame' }
export const LITRE_WORDS = { putIn: 'put in', remaining: 'left' }

export const choicesOf = <K extends string>(keys: readonly K[], words: Record<K, string>) =>
  keys.map((value) => ({ value, label: words[value] }))

/** Volumes that people boil [g]. */
const OFFERED_G = [250, 500, 1000, 2000]
export const OWN_WATER = 'own'
/** Volumes that figures may be brought to, and the one they are. */
export function waterChoices(waterG: number | null, units: UnitSystem) {
  const offered = waterG === null || OFFERED_G.includes(waterG) ? OFFERED_G : [waterG, ...OFFERED_G]
  const choices = offered.map((grams) => ({ value: String(grams), label: `${waterWords(grams, units)} of water` }))
  return [{ value: OWN_WATER, label: 'the water it had' }, ...choices]
}
