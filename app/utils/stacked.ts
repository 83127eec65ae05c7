/** Marks that would lie on each other stand on each other. */

/** Nearer than this they would [per cent of the axis]. */
const TOUCHING = 0.7

export function stacked<T extends { at: number }>(
  marks: readonly T[],
): { marks: (T & { level: number })[]; high: number } {
  const tops: number[] = []
  const placed = [...marks]
    .sort((a, b) => a.at - b.at)
    .map((one) => {
      const free = tops.findIndex((at) => one.at - at >= TOUCHING)
      const level = free < 0 ? tops.length : free
      tops[level] = one.at
      return { ...one, level }
    })
  return { marks: placed, high: Math.max(1, tops.length) }
}
