/**
 * Fuel by weight while it burns: what a scale under the stove lost, without the steps of what was put on it or taken
 * off.
 */
import { medianOf } from '../trace/cleanTrace'

/** A flame takes less than this off a scale in a second [kg/s]; more at once is a hand. Source: estimate. */
const HAND_KG_PER_S = 0.001
const HAND_AT_LEAST_KG = 0.002
/** The level at a moment is what the scale showed about it [s]. */
const ABOUT_S = 3
const NEAREST_S = 10
/**
 * Vapour that leaves a pot on the same scale counts as fuel, about alike before the boil and after (standard). Source:
 * estimate.
 */
const VAPOUR_U = 0.02

export interface BurnedByScale {
  massKg: number
  /** Standard [kg]. */
  u: number
}

/**
 * @param trace [seconds, kg], sorted
 * @returns null where the scale said nothing near either moment
 */
export function burnedByScale(
  trace: readonly [number, number][],
  fromS: number,
  toS: number,
  resolutionKg: number,
): BurnedByScale | null {
  const level = withoutHands(trace)
  const [from, to] = [levelAt(level, fromS), levelAt(level, toS)]
  if (from === null || to === null) return null
  const massKg = from - to
  return massKg > 0 ? { massKg, u: Math.hypot((Math.SQRT2 * resolutionKg) / Math.sqrt(12), VAPOUR_U * massKg) } : null
}

function withoutHands(trace: readonly [number, number][]): [number, number][] {
  let put = 0
  return trace.map(([s, massKg], i): [number, number] => {
    const before = trace[i - 1]
    if (before) {
      const step = massKg - before[1]
      if (Math.abs(step) > Math.max(HAND_AT_LEAST_KG, HAND_KG_PER_S * (s - before[0]))) put += step
    }
    return [s, massKg - put]
  })
}

function levelAt(trace: readonly [number, number][], atS: number): number | null {
  const about = trace.filter(([s]) => Math.abs(s - atS) <= ABOUT_S)
  const near = about.length > 0 ? about : trace.filter(([s]) => Math.abs(s - atS) <= NEAREST_S)
  return near.length === 0 ? null : medianOf(Float64Array.from(near, ([, massKg]) => massKg))
}
