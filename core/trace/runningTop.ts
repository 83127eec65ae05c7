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
