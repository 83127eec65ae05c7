/** The axis of differences in per cent: it holds nought, and what is far off stands at its end. */
import { intervalAxis, type IntervalAxis } from './intervalAxis'

const FARTHEST = 50

export function differenceAxis(effects: readonly { low: number; high: number }[]): IntervalAxis {
  const edges = effects.flatMap(({ low, high }) => [100 * (low - 1), 100 * (high - 1)])
  return intervalAxis([0, ...edges.map((edge) => Math.min(FARTHEST, Math.max(-FARTHEST, edge)))], 4)
}
