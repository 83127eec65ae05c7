/** An arm as it is shown: its mean, by the boil. */
import type { ComparedMean } from '../../core/compare/facts'
import type { NamedFacts } from '../../core/compare/twoArms'
import { setupMean } from '../../core/statistics/setupMean'
import { litresFromMass } from '../../core/water/liquid'
import type { ComparedArm } from '../../shared/comparison'

/** 95 % of a normal figure. */
const TWO_SIDED = 1.96

export function armLine({ setupId, test }: ComparedMean, { name, facts }: NamedFacts): ComparedArm {
  const litres = litresFromMass(test.volumeG / 1000)
  const runs = facts.map((one) => ({ ...one, uReadingRandom: one.uRandom, uRandom: one.u }))
  const { meanGPerL, meanU, ci95 } = setupMean(runs)
  const half = (TWO_SIDED * meanU) / meanGPerL
  const [low, high] = ci95 ?? [meanGPerL * Math.exp(-half), meanGPerL * Math.exp(half)]
  return { name, setupId, n: facts.length, boilG: meanGPerL * litres, low: low * litres, high: high * litres }
}
