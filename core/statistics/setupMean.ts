/** Mean of a set-up's normalised runs, with what its runs share kept apart. */
import type { SetupMean } from '../formats/answer'
import { studentFactor95 } from './student'

export interface NormalisedRun {
  gPerL: number
  /** What repeating shrinks of its uncertainty, and of that what its readings alone give. */
  uRandom: number
  uReadingRandom: number
  /**
   * What it owes to each shared input, signed [g/L]: an error common to all moves all their figures, each by its own
   * sensitivity.
   */
  shared: Readonly<Record<string, number>>
}

/**
 * Geometric, since fuel per litre scatters by factors: of logarithms u² = max(s², u_rand²)/n + u_shared²; the interval
 * by Student's factor for the effective degrees of freedom.
 * @param runs at least one. No SD and no interval at n = 1. Sources: gum, welchSatterthwaite.
 */
export function setupMean(
  runs: readonly NormalisedRun[],
): Pick<SetupMean, 'n' | 'meanGPerL' | 'meanU' | 'sdGPerL' | 'ci95'> {
  const n = runs.length
  const logs = runs.map((run) => Math.log(run.gPerL))
  const middle = average(logs)
  const meanGPerL = Math.exp(middle)
  const variance = n === 1 ? 0 : logs.reduce((sum, ln) => sum + (ln - middle) ** 2, 0) / (n - 1)
  // Repeats show themselves how the flame repeats.
  const randomVariance = average(runs.map((run) => ((n === 1 ? run.uRandom : run.uReadingRandom) / run.gPerL) ** 2))
  const ofMean = Math.max(variance, randomVariance) / n
  const u = Math.sqrt(ofMean + sharedUncertainty(runs) ** 2)
  if (n === 1) return { n, meanGPerL, meanU: meanGPerL * u, sdGPerL: null, ci95: null }
  const freedom = ofMean > 0 ? (u ** 4 * (n - 1)) / ofMean ** 2 : Infinity
  const half = studentFactor95(freedom) * u
  const ci95: [number, number] = [meanGPerL * Math.exp(-half), meanGPerL * Math.exp(half)]
  return { n, meanGPerL, meanU: meanGPerL * u, sdGPerL: meanGPerL * Math.sqrt(variance), ci95 }
}

/** Relative, from what its runs share: effects of one cause add before they are squared. */
function sharedUncertainty(runs: readonly NormalisedRun[]): number {
  const sums: Record<string, number> = {}
  for (const { shared, gPerL } of runs)
    for (const [cause, effect] of Object.entries(shared)) sums[cause] = (sums[cause] ?? 0) + effect / gPerL
  return Math.hypot(...Object.values(sums).map((sum) => sum / runs.length))
}

const average = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length
