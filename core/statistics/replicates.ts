/** Repeats of one thing: how they scatter, whether one stands out, whether they drift. */
import { straightLine } from './leastSquares'
import { studentFactor95, studentQuantile, studentTwoSided } from './student'

export interface Replicates {
  n: number
  mean: number
  /** Null at n = 1. */
  sd: number | null
  /** Coefficient of variation, sd/mean. */
  cv: number | null
  ci95: [number, number] | null
  /** The value furthest out, where Grubbs' test calls it an outlier (n ≥ 5): pointed at, never removed. */
  outlier: { index: number; g: number; critical: number } | null
  /**
   * Change per run in order, where it is shown (n ≥ 5). Order and a canister's fill go together: the data cannot say
   * which.
   */
  drift: { perRun: number; p: number } | null
}

const FEWEST_FOR_TESTS = 5
const LEVEL = 0.05

/** @param values in the order in which they were burned; at least one. Sources: grubbs, leastSquares. */
export function replicates(values: readonly number[]): Replicates {
  const n = values.length
  const mean = values.reduce((sum, value) => sum + value, 0) / n
  if (n === 1) return { n, mean, sd: null, cv: null, ci95: null, outlier: null, drift: null }
  const sd = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1))
  const half = (studentFactor95(n - 1) * sd) / Math.sqrt(n)
  return {
    n,
    mean,
    sd,
    cv: sd / mean,
    ci95: [mean - half, mean + half],
    outlier: outlierOf(values, mean, sd),
    drift: driftOf(values),
  }
}

/**
 * Grubbs' two-sided critical value at 5 %: (n−1)/√n·√(t²/(n−2+t²)), t Student's at 0.05/(2n). Example: n = 5 → 1.715.
 */
export function grubbsCritical(n: number): number {
  const t = studentQuantile(1 - LEVEL / (2 * n), n - 2)
  return ((n - 1) / Math.sqrt(n)) * Math.sqrt((t * t) / (n - 2 + t * t))
}

function outlierOf(values: readonly number[], mean: number, sd: number): Replicates['outlier'] {
  if (values.length < FEWEST_FOR_TESTS || sd === 0) return null
  const index = values.reduce((far, value, i) => (Math.abs(value - mean) > Math.abs(values[far]! - mean) ? i : far), 0)
  const g = Math.abs(values[index]! - mean) / sd
  const critical = grubbsCritical(values.length)
  return g > critical ? { index, g, critical } : null
}

function driftOf(values: readonly number[]): Replicates['drift'] {
  const n = values.length
  if (n < FEWEST_FOR_TESTS) return null
  const line = straightLine(
    values.map((_, i) => i),
    values,
  )!
  const se = Math.sqrt(line.residualSumOfSquares / (n - 2) / line.spread)
  const p = se === 0 ? (line.slope === 0 ? 1 : 0) : studentTwoSided(line.slope / se, n - 2)
  return p < LEVEL ? { perRun: line.slope, p } : null
}
