/** An arm as it is shown: its mean, by the boil. */
import type { ComparedMean } from '../../core/compare/facts'
import { litresOfBoil } from '../../core/compare/measured'
import type { NamedFacts } from '../../core/compare/twoArms'
import type { AskedUnit } from '../../core/formats/comparison'
import { setupMean } from '../../core/statistics/setupMean'
import type { ComparedArm } from '../../shared/comparison'

/** 95 % of a normal figure. */
const TWO_SIDED = 1.96

/** @param facts in the unit */
export function armLine(
  { setupId, test }: ComparedMean,
  { name, facts }: NamedFacts,
  unit: AskedUnit = 'g',
): ComparedArm {
  const litres = litresOfBoil(unit, test.volumeG)
  const runs = facts.map((one) => ({ ...one, uReadingRandom: one.uRandom, uRandom: one.u }))
  const { meanGPerL, meanU, ci95 } = setupMean(runs)
  const half = (TWO_SIDED * meanU) / meanGPerL
  const [low, high] = ci95 ?? [meanGPerL * Math.exp(-half), meanGPerL * Math.exp(half)]
  return { name, setupId, n: facts.length, boilG: meanGPerL * litres, low: low * litres, high: high * litres }
}
