/**
 * Fuel by weight while it burns: what a scale under the stove lost, without the steps of what was put on it or taken
 * off.
 */
import { medianOf } from '../trace/cleanTrace'

/** A flame takes less than this off a scale in a second [g/s]; more at once is a hand. Source: estimate. */
const HAND_G_PER_S = 1
const HAND_AT_LEAST_G = 2
/** The level at a moment is what the scale showed about it [s]. */
const ABOUT_S = 3
const NEAREST_S = 10
/**
 * Vapour that leaves a pot on the same scale counts as fuel, about alike before the boil and after (standard). Source:
 * estimate.
 */
const VAPOUR_U = 0.02

export interface BurnedByScale {
  grams: number
  /** Standard [g]. */ u: number
}

/**
 * @param trace [seconds, g], sorted
 * @returns null where the scale said nothing near either moment
 */
export function burnedByScale(
  trace: readonly [number, number][],
  fromS: number,
  toS: number,
  resolutionG: number,
): BurnedByScale | null {
  const level = withoutHands(trace)
  const [from, to] = [levelAt(level, fromS), levelAt(level, toS)]
  if (from === null || to === null) return null
  const grams = from - to
  return grams > 0 ? { grams, u: Math.hypot((Math.SQRT2 * resolutionG) / Math.sqrt(12), VAPOUR_U * grams) } : null
}

function withoutHands(trace: readonly [number, number][]): [number, number][] {
  let put = 0
  return trace.map(([s, grams], i): [number, number] => {
    const before = trace[i - 1]
    if (before) {
      const step = grams - before[1]
      if (Math.abs(step) > Math.max(HAND_AT_LEAST_G, HAND_G_PER_S * (s - before[0]))) put += step
    }
    return [s, grams - put]
  })
}

function levelAt(trace: readonly [number, number][], atS: number): number | null {
  const about = trace.filter(([s]) => Math.abs(s - atS) <= ABOUT_S)
  const near = about.length > 0 ? about : trace.filter(([s]) => Math.abs(s - atS) <= NEAREST_S)
  return near.length === 0 ? null : medianOf(Float64Array.from(near, ([, grams]) => grams))
}
