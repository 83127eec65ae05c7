/** How far a flame repeats, and how good the readings are that nobody stated: found with the fit. */
import { quadraticForm, type Rows } from '../numeric/cholesky'
import type { RowLinear } from './flameLinear'
import type { FlameRow } from './flameRow'

/** Variance of a residual by its parts, as readings usually are. */
export interface Parts {
  wind: number
  reading: number
  stated: number
}

export interface Spread {
  /** Repeatability of the flame: standard deviation of e. */
  sigma: number
  /** By how much unstated readings scatter more or less than is usual. */
  wind: number
  reading: number
}

/** Before any run was seen, and how many runs that is worth. Source: commonPractice. */
const SIGMA = { prior: 0.02, worth: 2 }
const SCALE = { prior: 1, worth: 3 }
export const SPREAD_PRIOR: Spread = { sigma: SIGMA.prior, wind: SCALE.prior, reading: SCALE.prior }

/** @param moved what each input of a run moves its residual by */
export function partsOf({ inputs }: FlameRow, moved: readonly number[]): Parts {
  const parts: Parts = { wind: 0, reading: 0, stated: 0 }
  inputs.forEach(({ scale }, k) => (parts[scale] += moved[k]! ** 2))
  return parts
}

export const varianceOf = ({ wind, reading, stated }: Parts, spread: Spread): number =>
  spread.sigma ** 2 + spread.wind ** 2 * wind + spread.reading ** 2 * reading + stated

/**
 * One step of expectation and maximisation: what each part of the variance had in each residual, leverage counted.
 * Source: flameModel.
 */
export function nextSpread(
  spread: Spread,
  parts: readonly Parts[],
  { rows, covariance }: { rows: readonly RowLinear[]; covariance: Rows },
): Spread {
  const sums = { sigma: SIGMA.worth * SIGMA.prior ** 2, wind: SCALE.worth, reading: SCALE.worth }
  const counts = { sigma: SIGMA.worth, wind: SCALE.worth, reading: SCALE.worth }
  for (let i = 0; i < rows.length; i++) {
    const { residual, jacobian, variance } = rows[i]!
    const squared = residual ** 2 + quadraticForm(covariance, jacobian)
    const { wind, reading } = parts[i]!
    sums.sigma += expected(spread.sigma ** 2, variance, squared)
    counts.sigma++
    if (wind !== 0) {
      sums.wind += expected(spread.wind ** 2 * wind, variance, squared) / wind
      counts.wind++
    }
    if (reading !== 0) {
      sums.reading += expected(spread.reading ** 2 * reading, variance, squared) / reading
      counts.reading++
    }
  }
  return {
    sigma: Math.sqrt(sums.sigma / counts.sigma),
    wind: Math.sqrt(sums.wind / counts.wind),
    reading: Math.sqrt(sums.reading / counts.reading),
  }
}

/** What one part of a variance is expected to have in a squared residual. */
const expected = (part: number, variance: number, squared: number): number =>
  (part / variance) ** 2 * squared + part * (1 - part / variance)
