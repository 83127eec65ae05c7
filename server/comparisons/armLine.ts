/** An arm as it is shown: its mean, by the boil. */
import type { ComparedMean } from '../../core/compare/facts'
import { litresOfBoil } from '../../core/compare/measured'
import type { NamedFacts } from '../../core/compare/twoArms'
import type { AskedUnit } from '../../core/formats/comparison'
import { setupMean } from '../../core/statistics/setupMean'
import { NORMAL_95 } from '../../core/statistics/student'
import type { ComparedArm } from '../../shared/comparison'

/** @param facts in the unit */
export function armLine(
  { setupId, test }: ComparedMean,
  { name, facts }: NamedFacts,
  unit: AskedUnit = 'g',
): ComparedArm {
  const litres = litresOfBoil(unit, test.volumeG)
  const runs = facts.map((one) => ({ ...one, uReadingRandom: one.uRandom, uRandom: one.u }))
  const { meanGPerL, meanU, ci95 } = setupMean(runs)
  const half = (NORMAL_95 * meanU) / meanGPerL
  const [low, high] = ci95 ?? [meanGPerL * Math.exp(-half), meanGPerL * Math.exp(half)]
  return { name, setupId, n: facts.length, boilG: meanGPerL * litres, low: low * litres, high: high * litres }
}
