/** Events first, conventions later: the times of a run as one convention reads them. */
import type { BoilConvention, Clock } from '../formats/document'
import { burnsOf, type Burn } from './burns'
import type { EventKind, RunEvent } from './events'

export type Ending = 'boiled' | 'gaveUp' | 'outOfFuel' | 'stopped'

export interface DerivedTimes {
  litS: number | null
  bloomedS: number | null
  /** Pot on; the lighting where that was not marked. */
  potOnS: number | null
  potOnAssumed: boolean
  /** The boil by the convention asked for. */
  boilS: number | null
  boilFrom: 'call' | 'trace' | null
  /** Kinds of boil that were marked, whatever the convention. */
  boilsMarked: EventKind[]
  /** Every stretch of flame, in order. */
  burns: Burn[]
  /** When the flame was gone for good. */
  flameEndS: number | null
  /** Where the heating ended without a boil: given up, stopped, or the flame gone. */
  endedS: number | null
  ended: Ending | null
  stoppedReason: string | null
  /** The clock's zero by the convention asked for. */
  clockZeroS: number | null
}

export interface TimeConventions {
  clock: Clock
  boil: BoilConvention
  /** Boiling point there [°C], null when not known: the probe conventions need it. */
  boilingC: number | null
  /** The boil that the finder saw in the trace; null: none. */
  plateauS: number | null
  /** The trace's boil was decided for: it stands in for the call of a rolling boil. */
  boilBy?: 'call' | 'trace' | null
}

const BOIL_KINDS: EventKind[] = ['firstBubbles', 'rollingBoil', 'targetReached']

/**
 * Reads a run's events by one clock and one boil convention.
 * @param events in any order
 * @param waterTrace [seconds, °C] pairs on the same clock, sorted; readings are added to it
 */
export function deriveTimes(
  events: readonly RunEvent[],
  waterTrace: readonly [number, number][],
  conventions: TimeConventions,
): DerivedTimes {
  const first = (...kinds: EventKind[]) => firstOf(events, kinds)?.s ?? null
  const litS = first('lit')
  const bloomedS = first('bloomed')
  const potOnMarked = first('potOn')
  const potOnS = potOnMarked ?? litS
  const { boilS, boilFrom } = boilTime(events, waterTrace, conventions, potOnS)
  const burns = burnsOf(events)
  const flameEndS = burns.at(-1)?.endS ?? null
  const ending = boilS === null ? endingOf(events, flameEndS) : { s: null, ended: 'boiled' as const, reason: null }
  return {
    litS,
    bloomedS,
    potOnS,
    potOnAssumed: potOnMarked === null && potOnS !== null,
    boilS,
    boilFrom,
    boilsMarked: BOIL_KINDS.filter((kind) => first(kind) !== null),
    burns,
    flameEndS,
    endedS: ending.s,
    ended: ending.ended,
    stoppedReason: ending.reason,
    clockZeroS: { potOn: potOnS, lit: litS, bloomed: bloomedS }[conventions.clock],
  }
}

function firstOf(events: readonly RunEvent[], kinds: readonly EventKind[]): RunEvent | null {
  let found: RunEvent | null = null
  for (const event of events) if (kinds.includes(event.kind) && (found === null || event.s < found.s)) found = event
  return found
}

/** Without a boil: given up or stopped, whichever came first, else the flame gone for good. */
function endingOf(
  events: readonly RunEvent[],
  flameEndS: number | null,
): { s: number | null; ended: Ending | null; reason: string | null } {
  const given = firstOf(events, ['gaveUp', 'stopped'])
  if (given !== null && (flameEndS === null || given.s <= flameEndS)) {
    const ended = given.kind === 'stopped' ? 'stopped' : 'gaveUp'
    return { s: given.s, ended, reason: given.reason ?? null }
  }
  return { s: flameEndS, ended: flameEndS === null ? null : 'outOfFuel', reason: null }
}

function boilTime(
  events: readonly RunEvent[],
  waterTrace: readonly [number, number][],
  conventions: TimeConventions,
  potOnS: number | null,
): Pick<DerivedTimes, 'boilS' | 'boilFrom'> {
  const { boil, plateauS, boilBy } = conventions
  if (boil === 'rollingBoil' && boilBy === 'trace' && plateauS !== null) return { boilS: plateauS, boilFrom: 'trace' }
  const call = callOf(events, boil)
  if (call !== null) return { boilS: call.s, boilFrom: 'call' }
  const seen = seenInTrace(events, waterTrace, conventions, potOnS ?? -Infinity)
  return { boilS: seen, boilFrom: seen === null ? null : 'trace' }
}

/** The mark that calls a boil by this convention; null: none does. */
function callOf(events: readonly RunEvent[], boil: BoilConvention): RunEvent | null {
  if (boil === 'probeAtBoil' || boil === 'plateau') return null
  if (typeof boil !== 'object') return firstOf(events, [boil])
  return firstOf(
    events.filter((event) => isOfTarget(event, boil.targetC)),
    ['targetReached'],
  )
}

function seenInTrace(
  events: readonly RunEvent[],
  waterTrace: readonly [number, number][],
  { boil, boilingC, plateauS }: TimeConventions,
  fromS: number,
): number | null {
  if (boil === 'plateau') return plateauS
  const level = typeof boil === 'object' ? boil.targetC : boil === 'probeAtBoil' ? boilingC : null
  return level === null ? null : crossingTime(withReadings(events, waterTrace), level, fromS)
}

/** A mark that says for which target it stands is no call of another. */
const isOfTarget = ({ kind, waterC }: RunEvent, targetC: number): boolean =>
  kind !== 'targetReached' || waterC == null || Math.abs(waterC - targetC) < SAME_TARGET_K
const SAME_TARGET_K = 0.05

/** Trace and readings on one clock, sorted. */
function withReadings(events: readonly RunEvent[], waterTrace: readonly [number, number][]): [number, number][] {
  const readings = events
    .filter((e) => e.kind === 'reading' && typeof e.waterC === 'number')
    .map((e) => [e.s, e.waterC!] as [number, number])
  return readings.length === 0 ? [...waterTrace] : [...waterTrace, ...readings].sort((a, b) => a[0] - b[0])
}

/** When the water first rises through a temperature, by straight lines between samples; null when it never does. */
function crossingTime(samples: readonly [number, number][], levelC: number, fromS: number): number | null {
  for (let i = 1; i < samples.length; i++) {
    const [t0, y0] = samples[i - 1]!
    const [t1, y1] = samples[i]!
    if (t1 < fromS || y0 >= levelC || y1 < levelC) continue
    return t0 + ((levelC - y0) / (y1 - y0)) * (t1 - t0)
  }
  return null
}
