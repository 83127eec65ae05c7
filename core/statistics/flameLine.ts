/** Normalised fuel against burn rate: the flame-setting line, straight or bent as the runs ask for. */
import { leastSquares, type LeastSquares } from './leastSquares'
import { studentFactor95 } from './student'

export interface SettingPoint {
  burnRateGPerMin: number
  gPerL: number
}

export interface FlameLine {
  degree: 1 | 2
  /** g/L = b₀ + b₁·r + b₂·r², r the burn rate less its mean [g/min]. */
  coefficients: number[]
  meanRate: number
  range: [number, number]
  fit: LeastSquares
  aiccStraight: number | null
  aiccQuadratic: number | null
}

const FEWEST_STRAIGHT = 5
const FEWEST_QUADRATIC = 6
/** A richer line must be so much better by AICc. */
const RICHER_BY_AICC = 2

/**
 * Straight from five runs on; quadratic from six on where AICc is better by more than 2.
 * @returns null where there are too few runs, or all at one setting. Sources: leastSquares, aicc.
 */
export function flameLine(points: readonly SettingPoint[]): FlameLine | null {
  if (points.length < FEWEST_STRAIGHT) return null
  const rates = points.map((point) => point.burnRateGPerMin)
  const meanRate = rates.reduce((sum, rate) => sum + rate, 0) / rates.length
  const y = points.map((point) => point.gPerL)
  const straight = leastSquares(
    rates.map((rate) => [1, rate - meanRate]),
    y,
  )
  if (straight === null) return null
  const quadratic =
    points.length < FEWEST_QUADRATIC
      ? null
      : leastSquares(
          rates.map((rate) => [1, rate - meanRate, (rate - meanRate) ** 2]),
          y,
        )
  const bends =
    quadratic !== null &&
    straight.aicc !== null &&
    quadratic.aicc !== null &&
    straight.aicc - quadratic.aicc > RICHER_BY_AICC
  const fit = bends ? quadratic : straight
  return {
    degree: bends ? 2 : 1,
    coefficients: fit.coefficients,
    meanRate,
    range: [Math.min(...rates), Math.max(...rates)],
    fit,
    aiccStraight: straight.aicc,
    aiccQuadratic: quadratic?.aicc ?? null,
  }
}

/** The line at a burn rate, with its standard uncertainty and 95 % band (of the line, not of a run) [g/L]. */
export function lineAt(
  line: FlameLine,
  burnRateGPerMin: number,
): { gPerL: number; u: number; band: [number, number] | null } {
  const r = burnRateGPerMin - line.meanRate
  const row = line.coefficients.map((_, power) => r ** power)
  const gPerL = row.reduce((sum, value, i) => sum + value * line.coefficients[i]!, 0)
  const { freedom, residualSumOfSquares, unscaledCovariance } = line.fit
  const leverage = row.reduce(
    (sum, a, i) => sum + a * row.reduce((inner, b, j) => inner + b * unscaledCovariance[i]![j]!, 0),
    0,
  )
  const u = freedom > 0 ? Math.sqrt((residualSumOfSquares / freedom) * leverage) : NaN
  if (freedom < 1) return { gPerL, u, band: null }
  const half = studentFactor95(freedom) * u
  return { gPerL, u, band: [gPerL - half, gPerL + half] }
}

/** Burn rates within both lines' tested ranges at which they cross [g/min]. */
export function crossings(a: FlameLine, b: FlameLine): number[] {
  const [low, high] = [Math.max(a.range[0], b.range[0]), Math.min(a.range[1], b.range[1])]
  if (!(low < high)) return []
  const [c0, c1, c2] = difference(plainCoefficients(a), plainCoefficients(b))
  return realRoots(c0, c1, c2).filter((rate) => rate >= low && rate <= high)
}

/** The burn rate within the tested range at which the line is lowest [g/min]. */
export function thriftiestSetting(line: FlameLine): number {
  const [c0, c1, c2] = plainCoefficients(line)
  const at = (rate: number) => c0 + c1 * rate + c2 * rate * rate
  const bottom = c2 > 0 ? -c1 / (2 * c2) : NaN
  const candidates = [...line.range, ...(bottom > line.range[0] && bottom < line.range[1] ? [bottom] : [])]
  return candidates.reduce((best, rate) => (at(rate) < at(best) ? rate : best))
}

/** In powers of the burn rate itself. */
function plainCoefficients({ coefficients: [b0, b1, b2 = 0], meanRate: m }: FlameLine): [number, number, number] {
  return [b0! - b1! * m + b2 * m * m, b1! - 2 * b2 * m, b2]
}

const difference = (a: [number, number, number], b: [number, number, number]): [number, number, number] => [
  a[0] - b[0],
  a[1] - b[1],
  a[2] - b[2],
]

/** Roots of c0 + c1·x + c2·x², by the form that does not cancel. */
function realRoots(c0: number, c1: number, c2: number): number[] {
  if (c2 === 0) return c1 === 0 ? [] : [-c0 / c1]
  const discriminant = c1 * c1 - 4 * c2 * c0
  if (discriminant < 0) return []
  const q = -(c1 + Math.sign(c1 || 1) * Math.sqrt(discriminant)) / 2
  const roots = q === 0 ? [0] : [q / c2, c0 / q]
  return [...new Set(roots)].sort((a, b) => a - b)
}
