/** The highest level that a trace holds for a while. */
import type { CleanTrace } from './cleanTrace'

const TOP_WINDOW_S = 15
const TOP_POINTS = 4

/**
 * Highest median over 15 s (at least 4 points) [°C]; sought from the end, where the plateau is, so that the rise need
 * not be sorted.
 */
export function highestRunningMedian({ s, c }: CleanTrace): number {
  const n = s.length
  const least = Math.min(TOP_POINTS, n)
  // Over a day of plateau, every so many windows tell the top as well.
  const every = Math.ceil(n / TOP_WINDOWS)
  let top = -Infinity
  for (let i = n - 1, from = n - 1; i >= least - 1; i--) {
    from = Math.min(from, i)
    while (from > 0 && (s[i]! - s[from - 1]! <= TOP_WINDOW_S || i - from + 1 < least)) from--
    if (c[i]! >= top - TOP_SKIP_K && i % every === 0) top = Math.max(top, medianOfWindow(c, from, i))
  }
  return top === -Infinity ? medianOfWindow(c, 0, n - 1) : top
}

/** A top may fall so soon, and by so much at least; what follows is level where it falls no further [s, K]. */
const FALLS_WITHIN_S = 30
const LEVEL_OVER_S = 25
const LEAST_FALL_K = 0.4
const MOST_FALL_K = 5
/** Of the fall, in as long again. */
const STILL_FALLING = 0.25

/**
 * Where water that was hotter than its boil falls to, once bubbles come: the level that a top settles to within half a
 * minute and stays at [°C]; null: it does not fall, or does not stop falling (a flame that went out).
 */
export function settledLevel({ s, c, noiseK, stepK }: CleanTrace, topC: number): number | null {
  const nearTop = topC - Math.max(noiseK, stepK / 2)
  let last = s.length - 1
  while (last > 0 && c[last]! < nearTop) last--
  const medianFrom = (fromS: number) => medianBetween(s, c, fromS, fromS + LEVEL_OVER_S)
  const first = medianFrom(s[last]! + FALLS_WITHIN_S)
  const second = medianFrom(s[last]! + FALLS_WITHIN_S + LEVEL_OVER_S)
  if (first === null || second === null) return null
  const fallK = topC - first
  const isFall = fallK > Math.max(LEAST_FALL_K, 3 * noiseK, stepK) && fallK < MOST_FALL_K
  return isFall && first - second < STILL_FALLING * fallK ? first : null
}

/** Null: too few points there. */
function medianBetween(s: Float64Array, c: Float64Array, fromS: number, toS: number): number | null {
  const from = s.findIndex((at) => at >= fromS)
  if (from < 0 || s[s.length - 1]! < toS - 1) return null
  let to = from
  while (to < s.length - 1 && s[to + 1]! <= toS) to++
  return to - from + 1 < TOP_POINTS ? null : medianOfWindow(c, from, to)
}

/** Of a handful of neighbours: sorted by insertion, which for so few beats a library's sort. */
function medianOfWindow(c: Float64Array, from: number, to: number): number {
  const sorted: number[] = []
  for (let i = from; i <= to; i++) {
    let j = sorted.length
    while (j > 0 && sorted[j - 1]! > c[i]!) {
      sorted[j] = sorted[j - 1]!
      j--
    }
    sorted[j] = c[i]!
  }
  const half = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}

/** A window whose newest point lies so far under the best median is not worth sorting [K]. */
const TOP_SKIP_K = 4
const TOP_WINDOWS = 2000
