/** Whether what follows a knee is the level of a boil. */
import { medianOf, type CleanTrace, type Samples } from './cleanTrace'
import type { Knee } from './kneeFit'

export const PLATEAU_POINTS = 4
const PLATEAU_S = 12
/** A boil is called so far below its level. Source: boilFinder. */
export const BELOW_LEVEL_K = 0.5

/** Long enough past the knee, level against the slope at the knee, and below where the rise would have led. */
export function hasPlateau(knee: Knee, { s, c }: Samples, clean: CleanTrace): boolean {
  const lastS = s[s.length - 1]!
  const flatS = lastS - knee.kneeS
  let points = 0
  for (let i = s.length - 1; i >= 0 && s[i]! >= knee.kneeS; i--) points++
  // The slope just below the level: at the knee itself a bent rise may be flat.
  const slope = Math.sqrt(knee.slopeKPerS ** 2 + 4 * knee.bend * BELOW_LEVEL_K)
  if (points < PLATEAU_POINTS || flatS < Math.max(PLATEAU_S, 2 * clean.everyS) || !(slope > 0)) return false
  const extrapolatedK = knee.slopeKPerS * flatS
  if (extrapolatedK <= Math.max(1, clean.stepK, 4 * clean.noiseK)) return false
  return Math.abs(plateauSlope(s, c, knee.kneeS)) < slope / 3
}

/** Theil's slope between the halves of the plateau [K/s]. */
export function plateauSlope(s: Float64Array, c: Float64Array, kneeS: number): number {
  const from = s.findIndex((time) => time >= kneeS)
  const middle = Math.floor((from + s.length) / 2)
  const [firstC, lastC] = [medianOf(c.slice(from, middle)), medianOf(c.slice(middle))]
  const [firstS, lastS] = [medianOf(s.slice(from, middle)), medianOf(s.slice(middle))]
  return lastS > firstS ? (lastC - firstC) / (lastS - firstS) : 0
}
