/** Facts of runs in another unit than grams: heat, money, time. */
import type { AskedUnit } from '../formats/comparison'
import { litresFromMass } from '../water/liquid'
import type { ComparedFacts } from './facts'

/** What a gram of each batch of fuel costs, in one currency. */
export type GramPrices = ReadonlyMap<string, number>
const NO_PRICES: GramPrices = new Map()

/** Its figures stand for the unit in place of grams; null: what that takes is not known of it. */
export function measuredIn(unit: AskedUnit, facts: ComparedFacts, prices = NO_PRICES): ComparedFacts | null {
  if (unit === 's') return inTime(facts)
  const scale = perGram(unit, facts, prices)
  if (scale === null) return null
  return {
    ...facts,
    gPerL: facts.gPerL * scale,
    u: facts.u * scale,
    uRandom: facts.uRandom * scale,
    stepGPerL: facts.stepGPerL * scale,
    shared: Object.fromEntries(Object.entries(facts.shared).map(([cause, effect]) => [cause, effect * scale])),
  }
}

function perGram(
  unit: 'g' | 'MJ' | 'money',
  { heatKJPerG, batchId }: ComparedFacts,
  prices: GramPrices,
): number | null {
  if (unit === 'g') return 1
  if (unit === 'MJ') return heatKJPerG === null ? null : heatKJPerG / 1000
  return batchId === null ? null : (prices.get(batchId) ?? null)
}

/** A clock's readings share nothing; how a flame repeats is in a time as it is in the fuel. */
function inTime(facts: ComparedFacts): ComparedFacts | null {
  const { timeS, timeU, u, gPerL } = facts
  if (timeS === null) return null
  return { ...facts, gPerL: timeS, u: (timeS * u) / gPerL, uRandom: timeU ?? 0, stepGPerL: 0, shared: {} }
}

/** A figure of a litre as that of a boil: a time is of a boil as it is. */
export const litresOfBoil = (unit: AskedUnit, waterG: number): number =>
  unit === 's' ? 1 : litresFromMass(waterG / 1000)
