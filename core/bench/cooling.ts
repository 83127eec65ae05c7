/** What is hot and what is due on a lane. */
import { fuelOfKind } from '../constants/fuels'
import type { BenchMark } from '../run/benchStep'
import type { LaneFacts } from './lane'
import { laneState } from './laneNext'
import { endOf, isLit, laneSeconds, timeOf } from './laneTimes'

/** Hardware from a hot pot to the air, to within a few kelvin. Source: estimate. */
export const COOL_MS = 16 * 60_000

/** "cool about 14:20", at the place. */
export function coolWords(lane: LaneFacts): string {
  const end = endOf(lane)
  return end === null
    ? ''
    : `cool about ${new Intl.DateTimeFormat('en-GB', { timeStyle: 'short', timeZone: lane.zone }).format(end + COOL_MS)}`
}

const isCool = (lane: LaneFacts, nowMs: number): boolean => nowMs - (endOf(lane) ?? nowMs) > COOL_MS

/** A reading that is due, by the method; or the weighing, once what was hot is cool. */
export function dueWords(lane: LaneFacts, nowMs: number): string {
  if (laneState(lane) === 'cooling' && isCool(lane, nowMs)) return 'cool by now: weigh out'
  return isReadingDue(lane, nowMs) ? 'reading due' : ''
}

function isReadingDue(lane: LaneFacts, nowMs: number): boolean {
  const every = lane.method?.body.readEveryS ?? null
  const zero = timeOf(lane, 'potOn') ?? timeOf(lane, 'shutOff')
  if (every === null || zero === null || !isBeingRead(lane)) return false
  const last = lane.state.marks.findLast((mark): mark is BenchMark => mark.kind === 'reading')?.atMs ?? zero
  return laneSeconds(lane, nowMs - Math.max(last, zero)) >= every
}

/** Heated and not yet at its boil, or left to cool. */
const isBeingRead = (lane: LaneFacts): boolean =>
  (isLit(lane) || lane.kind === 'coolDown') && timeOf(lane, 'rollingBoil', 'targetReached') === null

/** Rules about to be broken by feeding this fuel to what is hot. */
export function feedingCaution(lane: LaneFacts): string | null {
  const form = lane.fuelKind === null ? null : fuelOfKind(lane.fuelKind)?.form
  return form === 'alcohol' || form === 'liquid' || form === 'gel'
    ? 'Never refuel a burning or hot burner. Let it cool first.'
    : null
}
