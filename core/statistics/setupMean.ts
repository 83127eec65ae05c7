/** Mean of a set-up's normalised runs, with what its runs share kept apart. */
/// <reference path="./jstat.d.ts" />
import jstat from 'jstat'
import type { SetupAnswer } from '../formats/answer'

export interface NormalisedRun {
  gPerL: number
  uRandom: number
  uShared: number
}

/**
 * u² = max(s², u_rand²)/n + u_shared²; the interval by Student's factor for the effective degrees of freedom.
 * @param runs at least one. No SD and no interval at n = 1. Sources: gum, welchSatterthwaite.
 */
export function setupMean(runs: readonly NormalisedRun[]): Pick<SetupAnswer, 'n' | 'meanGPerL' | 'meanU' | 'sdGPerL' | 'ci95'> {
  const n = runs.length
  const mean = average(runs.map(run => run.gPerL))
  const variance = n === 1 ? 0 : runs.reduce((sum, run) => sum + (run.gPerL - mean) ** 2, 0) / (n - 1)
  const randomVariance = average(runs.map(run => run.uRandom ** 2))
  const shared = average(runs.map(run => run.uShared))
  const ofMean = Math.max(variance, randomVariance) / n
  const u = Math.sqrt(ofMean + shared ** 2)
  if (n === 1) return { n, meanGPerL: mean, meanU: u, sdGPerL: null, ci95: null }
  const freedom = ofMean > 0 ? (u ** 4 * (n - 1)) / ofMean ** 2 : Infinity
  const half = studentFactor95(freedom) * u
  return { n, meanGPerL: mean, meanU: u, sdGPerL: Math.sqrt(variance), ci95: [mean - half, mean + half] }
}

/** Two-sided 95 % factor of Student's t. Example: 2 degrees of freedom → 4.303. */
export const studentFactor95 = (freedom: number): number => jstat.studentt.inv(0.975, Math.min(freedom, 1e6))

const average = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length
