/** Events first, conventions later: the times of a run as one convention reads them. */
import type { BoilConvention, Clock } from '../formats/document'
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
  /** First end of the flame, by any cause. */
  flameEndS: number | null
  /** Where the heating ended without a boil: given up, stopped, or the flame gone. */
  endedS: number | null
  ended: Ending | null
  stoppedReason: string | null
  /** The clock's zero by the convention asked for. */
  clockZeroS: number | null
  burns: number
}

const BOIL_KINDS: EventKind[] = ['firstBubbles', 'rollingBoil', 'targetReached']
const FLAME_ENDS: EventKind[] = ['flameOut', 'snuffed', 'shutOff']
const ENDINGS: EventKind[] = ['gaveUp', 'stopped', 'flameOut', 'snuffed', 'shutOff']

/**
 * Reads a run's events by one clock and one boil convention.
 * @param events in any order
 * @param waterTrace [seconds, °C] pairs on the same clock, sorted; readings are added to it
 * @param boilingC boiling point there [°C], null when not known: the probe conventions need it
 */
export function deriveTimes(
  events: readonly RunEvent[], waterTrace: readonly [number, number][],
  { clock, boil, boilingC }: { clock: Clock, boil: BoilConvention, boilingC: number | null },
): DerivedTimes {
  const first = (...kinds: EventKind[]) => firstOf(events, kinds)?.s ?? null
  const litS = first('lit')
  const bloomedS = first('bloomed')
  const potOnMarked = first('potOn')
  const potOnS = potOnMarked ?? litS
  const { boilS, boilFrom } = boilTime(events, waterTrace, boil, boilingC, potOnS)
  const ending = boilS === null ? firstOf(events, ENDINGS) : null
  return {
    litS, bloomedS, potOnS, potOnAssumed: potOnMarked === null && potOnS !== null, boilS, boilFrom,
    boilsMarked: BOIL_KINDS.filter(kind => first(kind) !== null),
    flameEndS: first(...FLAME_ENDS), endedS: ending?.s ?? null, ended: endingOf(boilS, ending),
    stoppedReason: ending?.kind === 'stopped' ? ending.reason ?? null : null,
    clockZeroS: { potOn: potOnS, lit: litS, bloomed: bloomedS }[clock],
    burns: 1 + events.filter(event => event.kind === 'relit').length,
  }
}

function firstOf(events: readonly RunEvent[], kinds: readonly EventKind[]): RunEvent | null {
  let found: RunEvent | null = null
  for (const event of events) if (kinds.includes(event.kind) && (found === null || event.s < found.s)) found = event
  return found
}

function endingOf(boilS: number | null, ending: RunEvent | null): Ending | null {
  if (boilS !== null) return 'boiled'
  if (ending === null) return null
  return ending.kind === 'gaveUp' || ending.kind === 'stopped' ? ending.kind : 'outOfFuel'
}

function boilTime(
  events: readonly RunEvent[], waterTrace: readonly [number, number][], boil: BoilConvention, boilingC: number | null, potOnS: number | null,
): Pick<DerivedTimes, 'boilS' | 'boilFrom'> {
  const called = typeof boil === 'object' ? 'targetReached' : boil === 'probeAtBoil' || boil === 'plateau' ? null : boil
  const call = called === null ? null : firstOf(events, [called])
  if (call !== null) return { boilS: call.s, boilFrom: 'call' }
  const level = typeof boil === 'object' ? boil.targetC : boil === 'probeAtBoil' ? boilingC : null
  const crossing = level === null ? null : crossingTime(withReadings(events, waterTrace), level, potOnS ?? -Infinity)
  return { boilS: crossing, boilFrom: crossing === null ? null : 'trace' }
}

/** Trace and readings on one clock, sorted. */
function withReadings(events: readonly RunEvent[], waterTrace: readonly [number, number][]): [number, number][] {
  const readings = events.filter(e => e.kind === 'reading' && typeof e.waterC === 'number').map(e => [e.s, e.waterC!] as [number, number])
  return [...waterTrace, ...readings].sort((a, b) => a[0] - b[0])
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
