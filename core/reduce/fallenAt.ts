import type { RunInput } from '../run/runInput'
import { medianOf } from '../trace/cleanTrace'

const LEVEL_OVER_S = 30

/** Water so far below its boil no longer counts as kept hot [K]; common practice, also given as 1 °F. */
const FALLEN_K = 0.5

/**
 * When the water had fallen half a degree below the level it held in the half minute after the boil; two samples must
 * say so.
 */
export function fallenAt(trace: RunInput['trace'], boilS: number): number | undefined {
  const from = trace.findIndex((one) => one[0] >= boilS)
  if (from < 0 || trace.at(-1)![0] < boilS + LEVEL_OVER_S) return undefined
  let after = from
  while (trace[after]![0] <= boilS + LEVEL_OVER_S && after < trace.length - 1) after++
  const levelC = medianOf(Float64Array.from(trace.slice(from, after), (one) => one[1])) - FALLEN_K
  for (let i = after; i < trace.length - 1; i++)
    if (trace[i]![1] < levelC && trace[i + 1]![1] < levelC) return trace[i]![0]
  return undefined
}
