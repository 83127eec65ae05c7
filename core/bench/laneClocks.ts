/** The clocks of a lane, as they are read. */
import { formatClock } from '../quantity/format'
import { EVENT_NAMES, type EventKind } from '../run/events'
import type { LaneFacts } from './lane'
import { endOf, laneSeconds, once, timeOf } from './laneTimes'

const clockTimes = once((lane: LaneFacts) => {
  const convention = lane.method?.body.clock ?? 'potOn'
  const chosen = lane.order.marks.includes(convention) ? convention : (lane.order.marks[0] ?? 'lit')
  return {
    chosen,
    zero: timeOf(lane, chosen as EventKind),
    end: endOf(lane),
    boil: timeOf(lane, 'rollingBoil', 'targetReached'),
    others: (['lit', 'bloomed', 'potOn'] as const)
      .filter((kind) => kind !== chosen)
      .map((kind) => [kind, timeOf(lane, kind)] as const),
  }
})

export interface Clocks {
  main: string
  name: string
  others: string
}

/** By the method's convention, the others small beside it. It runs until the flame ends. */
export function laneClocks(lane: LaneFacts, nowMs: number): Clocks {
  const { chosen, zero, end, boil, others } = clockTimes(lane)
  // A running clock shows whole seconds that are over.
  const since = (at: number | null) =>
    at === null ? null : formatClock(Math.floor(laneSeconds(lane, Math.max(0, (end ?? nowMs) - at))))
  const beside = others.flatMap(([kind, at]) => (at === null ? [] : [`${SHORT_WORDS[kind]} ${since(at)}`]))
  const boiled = boil !== null && zero !== null ? [`boil ${formatClock(laneSeconds(lane, boil - zero))}`] : []
  return {
    main: since(zero) ?? '0:00',
    name: CLOCK_WORDS[chosen as keyof typeof CLOCK_WORDS] ?? EVENT_NAMES[chosen as EventKind].toLowerCase(),
    others: [...boiled, ...beside].join(' · '),
  }
}

const SHORT_WORDS = { lit: 'lit', bloomed: 'full flame', potOn: 'pot on' } as const

const CLOCK_WORDS = { lit: 'from lighting', bloomed: 'from full flame', potOn: 'from pot-on' } as const
