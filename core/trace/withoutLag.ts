/** What a slow probe would have shown, had it been quick. */
import type { CleanTrace } from './cleanTrace'

const POINTS = 3

/**
 * A probe of first order shows T with τ·dT/dt = T_water − T: the water is T + τ·dT/dt, its slope by a straight line
 * through the points within τ/2 (three on each side at least), which holds the noise down.
 */
export function withoutLag(clean: CleanTrace, lagS: number): CleanTrace {
  const { s, c, everyS, noiseK } = clean
  const reach = Math.max(POINTS, Math.round(lagS / 2 / Math.max(everyS, 1e-3)))
  const quick = c.map((value, i) => value + lagS * slopeAt(s, c, i, reach))
  const spanS = 2 * reach * everyS
  // Of a slope through n even points: σ·√12/(span·√n).
  const slopeU = (noiseK * Math.sqrt(12)) / (spanS * Math.sqrt(2 * reach + 1))
  return { ...clean, c: quick, noiseK: Math.hypot(noiseK, lagS * slopeU) }
}

function slopeAt(s: Float64Array, c: Float64Array, at: number, reach: number): number {
  const [from, to] = [Math.max(0, at - reach), Math.min(s.length - 1, at + reach)]
  const n = to - from + 1
  let [sumS, sumC] = [0, 0]
  for (let i = from; i <= to; i++) {
    sumS += s[i]!
    sumC += c[i]!
  }
  let [across, squares] = [0, 0]
  for (let i = from; i <= to; i++) {
    const off = s[i]! - sumS / n
    across += off * (c[i]! - sumC / n)
    squares += off * off
  }
  return squares > 0 ? across / squares : 0
}
