/** A trace thinned for drawing: what the eye would see of all its samples. */

/**
 * Of each of `most`/2 equal stretches of samples, the lowest and the highest, in the order of time; the first and the
 * last stay. No peak or dip is lost.
 * @param samples [s, °C], sorted by time; `most` at least 4
 * @returns the same where there are no more than `most`. Example: 36 000 samples and 2 000 → at most 2 000.
 */
export function thinTrace(samples: readonly [number, number][], most: number): [number, number][] {
  if (samples.length <= most) return [...samples]
  const stretches = Math.floor(most / 2) - 1
  const inner = samples.length - 2
  const thinned: [number, number][] = [samples[0]!]
  for (let i = 0; i < stretches; i++) {
    const from = 1 + Math.floor((i * inner) / stretches)
    const to = 1 + Math.floor(((i + 1) * inner) / stretches)
    let [low, high] = [from, from]
    for (let at = from + 1; at < to; at++) {
      if (samples[at]![1] < samples[low]![1]) low = at
      if (samples[at]![1] > samples[high]![1]) high = at
    }
    thinned.push(samples[Math.min(low, high)]!)
    if (low !== high) thinned.push(samples[Math.max(low, high)]!)
  }
  return [...thinned, samples.at(-1)!]
}
