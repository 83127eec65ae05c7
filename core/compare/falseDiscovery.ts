/** Many questions found are many looks: which of them are shown, and which are worth a test. */

/** Of those that are called shown, so many may be false on the average. */
const FALSE_SHARE = 0.05

/**
 * Benjamini and Hochberg's step-up procedure: the largest k with p₍ₖ₎ ≤ k·q/m, and all below it.
 * @returns for each p whether it is shown. Source: falseDiscovery. Example: 0.01, 0.04, 0.03, 0.5 → the first alone.
 */
export function shownAmong(pValues: readonly number[], falseShare = FALSE_SHARE): boolean[] {
  const m = pValues.length
  const sorted = [...pValues].sort((a, b) => a - b)
  const k = sorted.findLastIndex((p, i) => p <= ((i + 1) * falseShare) / m)
  return pValues.map((p) => k >= 0 && p <= sorted[k]!)
}
