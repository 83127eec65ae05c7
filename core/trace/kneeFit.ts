/** A rise that bends over and stops at a level: the shape of a boil in a trace. */

export interface Knee {
  /** The level after the knee [°C]. */
  levelC: number
  kneeS: number
  /** Slope at the knee [K/s], and how it grows going back in time: y = L − b·τ − c·τ², τ the time before the knee. */
  slopeKPerS: number
  bend: number
  /** Sum of the Cauchy loss. */
  loss: number
}

export interface KneeData {
  s: Float64Array
  c: Float64Array
  /** Scale of the Cauchy loss [K]. */
  scaleK: number
  /**
   * Weight of what is known beforehand of the bend: that a heating pot's rate falls by some 5·10⁻⁴ of itself a second,
   * give or take a third.
   * 0: the samples alone decide.
   */
  bendWeight: number
}

/** bend/slope of a pot heated by Newton's law, (K/C)/2 [1/s]. Source: estimate. */
export const USUAL_BEND = { value: 2.5e-4, u: 0.8e-4 }

const STARTS = 16
const GOLDEN = (Math.sqrt(5) - 1) / 2
const GOLDEN_STEPS = 11
/** The walk over the starts needs no more points than this. */
const WALK_POINTS = 64

/**
 * Fits y = min(a + b·x − c·x², L), c ≥ 0, held at its maximum. For a given knee the rest is linear, so the knee alone
 * is searched:
 * a walk over the stretch from `fromS` to `toS` (several starts) on thinned points, then golden sections on all; at
 * each knee weighted
 * least squares with Cauchy weights, a few rounds. @returns null where there is nothing to fit
 */
export function fitKnee(data: KneeData, fromS: number, toS: number): Knee | null {
  if (data.s.length < 4 || !(toS > fromS)) return null
  const thin = thinned(data)
  const step = (toS - fromS) / STARTS
  let best: Knee | null = null
  const weights = new Float64Array(thin.s.length)
  for (let i = 0; i <= STARTS; i++) best = better(best, fitAt(thin, fromS + i * step, weights.fill(1), 2))
  return best === null ? null : refineKnee(data, best, step)
}

/** Golden sections about a knee that is known to within `reachS`; the weights are carried from step to step. */
export function refineKnee(data: KneeData, near: Knee, reachS: number): Knee | null {
  const weights = new Float64Array(data.s.length).fill(1)
  let best = fitAt(data, near.kneeS, weights, 3)
  let low = near.kneeS - reachS
  let high = near.kneeS + reachS
  let left = fitAt(data, high - GOLDEN * (high - low), weights, 1)
  let right = fitAt(data, low + GOLDEN * (high - low), weights, 1)
  for (let i = 0; i < GOLDEN_STEPS && left !== null && right !== null; i++) {
    best = better(better(best, left), right)
    if (left.loss < right.loss) {
      high = right.kneeS
      right = left
      left = fitAt(data, high - GOLDEN * (high - low), weights, 1)
    } else {
      low = left.kneeS
      left = right
      right = fitAt(data, low + GOLDEN * (high - low), weights, 1)
    }
  }
  return best
}

function thinned(data: KneeData): KneeData {
  const every = Math.ceil(data.s.length / WALK_POINTS)
  if (every === 1) return data
  const n = Math.ceil(data.s.length / every)
  const s = new Float64Array(n)
  const c = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    s[i] = data.s[i * every]!
    c[i] = data.c[i * every]!
  }
  return { ...data, s, c }
}

const better = (a: Knee | null, b: Knee | null): Knee | null => (a === null || (b !== null && b.loss < a.loss) ? b : a)

/** The linear part at a knee; `weights` come in as a guess and go out as they settled. */
function fitAt(data: KneeData, kneeS: number, weights: Float64Array, rounds: number): Knee | null {
  let shape: Shape | null = null
  for (let round = 0; round < rounds; round++) {
    shape = linearFit(data, kneeS, weights)
    if (shape === null) return null
    reweigh(data, kneeS, shape, weights)
  }
  return shape === null
    ? null
    : { levelC: shape.level, kneeS, slopeKPerS: shape.slope, bend: shape.bend, loss: lossOf(data, kneeS, shape) }
}

interface Shape {
  level: number
  slope: number
  bend: number
}

/** Sums of weights and of weighted temperatures, times powers of the time before the knee. */
function sumsOf({ s, c }: Pick<KneeData, 's' | 'c'>, kneeS: number, weights: Float64Array) {
  let w0 = 0
  let w1 = 0
  let w2 = 0
  let w3 = 0
  let w4 = 0
  let y0 = 0
  let y1 = 0
  let y2 = 0
  for (let i = 0; i < s.length; i++) {
    const w = weights[i]!
    const tau = kneeS - s[i]!
    w0 += w
    y0 += w * c[i]!
    if (tau <= 0) continue
    const t2 = tau * tau
    w1 += w * tau
    w2 += w * t2
    w3 += w * t2 * tau
    w4 += w * t2 * t2
    y1 += w * tau * c[i]!
    y2 += w * t2 * c[i]!
  }
  return { w0, w1, w2, w3, w4, y0, y1, y2 }
}

/** Level, slope and bend by weighted least squares; a slope or bend that comes out negative is taken out. */
function linearFit({ s, c, bendWeight }: KneeData, kneeS: number, weights: Float64Array): Shape | null {
  const { w0, w1, w2, w3, w4, y0, y1, y2 } = sumsOf({ s, c }, kneeS, weights)
  if (!(w2 > 0)) return null
  const k = USUAL_BEND.value
  const full = solve3([w0, w1, w2, w2 + bendWeight * k * k, w3 - bendWeight * k, w4 + bendWeight], y0, y1, y2)
  if (full !== null && full.bend >= 0 && full.slope >= 0) return full
  const straight = solve2(w0, w1, w2, y0, y1)
  const bent = solve2(w0, w2, w4, y0, y2)
  if (full !== null && full.slope < 0 && bent !== null && bent.slope > 0)
    return { level: bent.level, slope: 0, bend: bent.slope }
  return straight === null || straight.slope < 0 ? null : { ...straight, bend: 0 }
}

/** Normal equations of y = level − slope·τ. */
function solve2(w0: number, w1: number, w2: number, y0: number, y1: number): { level: number; slope: number } | null {
  const determinant = w0 * w2 - w1 * w1
  if (!(determinant > 1e-12 * w0 * w2)) return null
  return { level: (y0 * w2 - y1 * w1) / determinant, slope: (y0 * w1 - y1 * w0) / determinant }
}

/** Normal equations of y = level − slope·τ − bend·τ² by Cramer's rule; the matrix by its upper triangle, row by row. */
function solve3(
  [a, b, c, d, e, f]: [number, number, number, number, number, number],
  y0: number,
  y1: number,
  y2: number,
): Shape | null {
  const [m0, m1, m2] = [d * f - e * e, b * f - c * e, b * e - c * d]
  const determinant = a * m0 - b * m1 + c * m2
  if (!(determinant > 1e-12 * a * d * f)) return null
  const level = (y0 * m0 - y1 * m1 + y2 * m2) / determinant
  const first = (a * (y1 * f - y2 * e) - b * (y0 * f - y2 * c) + c * (y0 * e - y1 * c)) / determinant
  const second = (a * (d * y2 - e * y1) - b * (b * y2 - e * y0) + c * (b * y1 - d * y0)) / determinant
  return { level, slope: -first, bend: -second }
}

const at = ({ level, slope, bend }: Shape, tau: number): number =>
  tau <= 0 ? level : level - slope * tau - bend * tau * tau

function reweigh({ s, c, scaleK }: KneeData, kneeS: number, shape: Shape, weights: Float64Array): void {
  for (let i = 0; i < s.length; i++) {
    const r = (c[i]! - at(shape, kneeS - s[i]!)) / scaleK
    weights[i] = 1 / (1 + r * r)
  }
}

function lossOf({ s, c, scaleK }: KneeData, kneeS: number, shape: Shape): number {
  let product = 1
  let loss = 0
  for (let i = 0; i < s.length; i++) {
    const r = (c[i]! - at(shape, kneeS - s[i]!)) / scaleK
    // One logarithm for many factors.
    product *= 1 + r * r
    if (product > 1e200) {
      loss += Math.log(product)
      product = 1
    }
  }
  return loss + Math.log(product)
}

/** Residuals of a fit [K]. */
export function kneeResiduals({ s, c }: Pick<KneeData, 's' | 'c'>, knee: Knee): Float64Array {
  const shape: Shape = { level: knee.levelC, slope: knee.slopeKPerS, bend: knee.bend }
  const residuals = new Float64Array(c.length)
  for (let i = 0; i < c.length; i++) residuals[i] = c[i]! - at(shape, knee.kneeS - s[i]!)
  return residuals
}
