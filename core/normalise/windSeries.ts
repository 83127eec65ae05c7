/** What wind does to a set-up, from its own runs: useful heat per gram against wind at the pot. */
import { straightLine } from '../statistics/leastSquares'

export interface WindPoint {
  windMS: number
  /** ln(q0/ṁ), q0 in W and ṁ in kg/s: finite for runs that never boiled, so they count. */
  lnHeatPerFuel: number
  /** Its standard uncertainty from readings alone. */
  u: number
}

export interface WindEffect {
  /** ln(q0/ṁ) = a − γ·vⁿ. */
  gamma: number
  gammaU: number
  exponent: number
  basis: 'ownSeries' | 'classDefault'
}

const FEWEST_FOR_EXPONENT = 6
const SPEEDS_FOR_EXPONENT = 3
/** The exponent is known no better than to a tenth or so. */
const EXPONENT_TO = 0.005
const EXPONENTS = { min: 0.5, max: 3 }
/** Speeds nearer than this are one speed [m/s]. Source: estimate. */
const SAME_SPEED_MS = 0.5
/** A richer line must be so much better by AICc. */
const RICHER_BY_AICC = 2

/**
 * Fits γ, and the exponent n where at least six runs at three speeds ask for it (ΔAICc > 2); else n = 1.
 * u(γ) rests on the larger of the scatter and the readings' own uncertainty.
 * @returns null where the runs do not reach two different speeds. Source: windSeries.
 */
export function fitWind(points: readonly WindPoint[]): WindEffect | null {
  const speeds = distinctSpeeds(points.map((point) => point.windMS))
  if (speeds < 2) return null
  const straight = fitAt(points, 1)
  if (straight === null) return null
  if (points.length < FEWEST_FOR_EXPONENT || speeds < SPEEDS_FOR_EXPONENT) return effectOf(straight)
  const bent = bestExponent(points)
  const better = bent !== null && aiccOf(straight, 3) - aiccOf(bent, 4) > RICHER_BY_AICC
  return effectOf(better ? bent : straight)
}

/** How many winds were really tried. */
export function distinctSpeeds(windsMS: readonly number[]): number {
  return new Set(windsMS.map((wind) => Math.round(wind / SAME_SPEED_MS))).size
}

interface Fit {
  exponent: number
  gamma: number
  freedom: number
  sum: number
  n: number
  unscaled: number
  readingsVariance: number
}

function fitAt(points: readonly WindPoint[], exponent: number): Fit | null {
  const line = straightLine(
    points.map((point) => point.windMS ** exponent),
    points.map((point) => point.lnHeatPerFuel),
  )
  if (line === null) return null
  return {
    exponent,
    gamma: -line.slope,
    freedom: points.length - 2,
    sum: line.residualSumOfSquares,
    n: points.length,
    unscaled: 1 / line.spread,
    readingsVariance: points.reduce((sum, point) => sum + point.u ** 2, 0) / points.length,
  }
}

function effectOf({ exponent, gamma, freedom, sum, unscaled, readingsVariance }: Fit): WindEffect {
  const variance = Math.max(freedom > 0 ? sum / freedom : 0, readingsVariance)
  return { gamma, gammaU: Math.sqrt(variance * unscaled), exponent, basis: 'ownSeries' }
}

/** σ counted; the exponent counts as a parameter too. */
const aiccOf = ({ n, sum }: Fit, k: number): number => n * Math.log(sum / n) + 2 * k + (2 * k * (k + 1)) / (n - k - 1)

/** Least squares in the exponent: a coarse walk, then golden sections round its best step. */
function bestExponent(points: readonly WindPoint[]): Fit | null {
  const sumAt = (exponent: number) => fitAt(points, exponent)?.sum ?? Infinity
  const step = 0.5
  let best = EXPONENTS.min
  for (let n = EXPONENTS.min; n <= EXPONENTS.max; n += step) if (sumAt(n) < sumAt(best)) best = n
  let [low, high] = [Math.max(EXPONENTS.min, best - step), Math.min(EXPONENTS.max, best + step)]
  const golden = (Math.sqrt(5) - 1) / 2
  while (high - low > EXPONENT_TO) {
    const left = high - golden * (high - low)
    const right = low + golden * (high - low)
    if (sumAt(left) < sumAt(right)) high = right
    else low = left
  }
  return fitAt(points, (low + high) / 2)
}
