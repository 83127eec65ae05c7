/** What stands next on a lane, and what a bare reading is of. */
import { isOver, nextEvent } from '../run/benchStep'
import { EVENT_NAMES, type EventKind } from '../run/events'
import type { LaneFacts } from './lane'
import { isLit } from './laneTimes'

export type LaneState = 'armed' | 'burning' | 'cooling' | 'done'

export type LaneNext =
  | { type: 'mark'; kind: EventKind; words: string }
  | { type: 'read'; quantity: string; words: string }
  | { type: 'finish'; words: string }

const NEXT_WORDS: Partial<Record<EventKind, string>> = {
  lit: 'Light',
  bloomed: 'Full flame',
  potOn: 'Pot on',
  rollingBoil: 'Boil',
  targetReached: 'Target',
  shutOff: 'Out',
  snuffed: 'Out: snuff it',
  flameOut: 'Flame out',
  flameLeftPot: 'Flame left the pot',
  relit: 'Lit again',
}

/** @param skipped things of the order that were passed over */
export function laneNext(lane: LaneFacts, skipped: readonly string[], falling: boolean): LaneNext {
  const { state, order } = lane
  const has = (quantity: string) => lane.readings.some((one) => one.quantity === quantity)
  if (order.weighIn && state.marks.length === 0 && !has(order.weighIn) && !skipped.includes('weighIn'))
    return { type: 'read', quantity: order.weighIn, words: 'Weigh in' }
  if (falling && isLit(lane)) return { type: 'mark', kind: 'flameOut', words: NEXT_WORDS.flameOut! }
  const remaining = nextEvent({ ...state, order: order.marks.filter((kind) => !skipped.includes(kind)) })
  if (remaining !== null)
    return { type: 'mark', kind: remaining, words: NEXT_WORDS[remaining] ?? EVENT_NAMES[remaining] }
  if (order.weighOut && !has(order.weighOut) && !skipped.includes('weighOut'))
    return { type: 'read', quantity: order.weighOut, words: 'Weigh out' }
  return { type: 'finish', words: 'Finish' }
}

/** What Next would pass over, if it may. */
export function skippable(lane: LaneFacts, next: LaneNext): string | null {
  if (next.type === 'read') return next.quantity === lane.order.weighOut ? 'weighOut' : 'weighIn'
  return next.type === 'mark' && lane.order.optional.includes(next.kind) ? next.kind : null
}

export function laneState(lane: LaneFacts): LaneState {
  const { state, order, readings } = lane
  if (isLit(lane)) return 'burning'
  if (!isOver(state)) return 'armed'
  return order.weighOut && !readings.some((one) => one.quantity === order.weighOut) ? 'cooling' : 'done'
}

/** What a bare reading is of, by what the lane waits for. */
export function readingFor(lane: LaneFacts, next: LaneNext): string {
  if (next.type === 'read') return next.quantity
  return isLit(lane) || lane.kind === 'coolDown' ? 'waterNow' : 'waterStart'
}
