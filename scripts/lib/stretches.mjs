/** Stretches of time, [from, to] [ms since 1970]. */

/** Those that touch become one; in the order of time. */
export function stretches(all) {
  const joined = []
  for (const [from, to] of [...all].sort((a, b) => a[0] - b[0])) {
    const last = joined.at(-1)
    if (last && from <= last[1]) last[1] = Math.max(last[1], to)
    else joined.push([from, to])
  }
  return joined
}

/** What was measured outside of them, each `{ ms, atMs }`: how long it took, and when it was over. */
export const outside = (measured, taken) =>
  measured.filter(({ ms, atMs }) => !taken.some(([from, to]) => from < atMs && to > atMs - ms))

export const lengthMs = (all) => all.reduce((sum, [from, to]) => sum + to - from, 0)
