/** When what was marked on a lane happened, on its own clock. */
import type { EventKind } from '#core/run/events'
import type { Lane } from '#shared/bench'

/** Worked out once for a lane as it stands: every press makes another, and the clocks ask ten times a second. */
export function once<T>(work: (lane: Lane) => T): (lane: Lane) => T {
  const known = new WeakMap<Lane, { value: T }>()
  return (lane) => {
    const found = known.get(lane) ?? { value: work(lane) }
    known.set(lane, found)
    return found.value
  }
}

/** By kind: a lane is asked for a dozen of them each second, and has hundreds of marks. */
const firstTimes = once((lane) => {
  const firsts = new Map<EventKind, number>()
  for (const { kind, atMs } of lane.state.marks) if (!firsts.has(kind)) firsts.set(kind, atMs)
  return firsts
})

/** The first of any of these kinds. */
export function timeOf(lane: Lane, ...kinds: EventKind[]): number | null {
  const firsts = firstTimes(lane)
  let first: number | null = null
  for (const kind of kinds) {
    const at = firsts.get(kind)
    if (at !== undefined && (first === null || at < first)) first = at
  }
  return first
}
/** The clock's beginning for the water [ms]; null: nothing was marked. */
export const waterZero = (lane: Lane): number | null => timeOf(lane, 'potOn') ?? timeOf(lane, 'lit')

/** Seconds of what burns in one of ours: of a stove one, of a rehearsal's as fast as it runs. */
export const paceOf = (lane: Lane): number => lane.rehearsal?.choice.speed ?? 1
/** From a stretch of the bench's clock [ms] to the lane's own seconds. */
export const laneSeconds = (lane: Lane, ms: number): number => (ms * paceOf(lane)) / 1000
