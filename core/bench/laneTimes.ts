/** When what was marked on a lane happened, on its own clock. */
import { isBurning } from '../run/benchStep'
import type { EventKind } from '../run/events'
import type { LaneFacts } from './lane'

/** Worked out once for a lane as it stands: every press makes another, and the clocks ask ten times a second. */
export function once<L extends LaneFacts, T>(work: (lane: L) => T): (lane: L) => T {
  const known = new WeakMap<L, { value: T }>()
  return (lane) => {
    const found = known.get(lane) ?? { value: work(lane) }
    known.set(lane, found)
    return found.value
  }
}

/** By kind: a lane is asked for a dozen of them each second, and has hundreds of marks. */
const firstTimes = once((lane: LaneFacts) => {
  const firsts = new Map<EventKind, number>()
  for (const { kind, atMs } of lane.state.marks) if (!firsts.has(kind)) firsts.set(kind, atMs)
  return firsts
})

/** The first of any of these kinds. */
export function timeOf(lane: LaneFacts, ...kinds: EventKind[]): number | null {
  const firsts = firstTimes(lane)
  let first: number | null = null
  for (const kind of kinds) {
    const at = firsts.get(kind)
    if (at !== undefined && (first === null || at < first)) first = at
  }
  return first
}

/** The clock's beginning for the water [ms]; null: nothing was marked. */
export const waterZero = (lane: LaneFacts): number | null => timeOf(lane, 'potOn') ?? timeOf(lane, 'lit')

/** Seconds of what burns in one of ours: of a stove one, of a rehearsal's as fast as it runs. */
export const paceOf = (lane: LaneFacts): number => lane.rehearsal?.choice.speed ?? 1

/** From a stretch of the bench's clock [ms] to the lane's own seconds. */
export const laneSeconds = (lane: LaneFacts, ms: number): number => (ms * paceOf(lane)) / 1000

export const isLit = once((lane: LaneFacts) => isBurning(lane.state))

export const endOf = (lane: LaneFacts): number | null =>
  isLit(lane)
    ? null
    : (lane.state.marks.findLast((mark) => ['shutOff', 'snuffed', 'flameOut', 'gaveUp', 'stopped'].includes(mark.kind))
        ?.atMs ?? null)
