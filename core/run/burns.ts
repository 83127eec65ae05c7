/** The stretches of flame of a run, with the gaps between them. */
import type { EventKind, RunEvent } from './events'

export interface Burn {
  startS: number
  /** Null: no end was marked. */
  endS: number | null
}

const STARTS: readonly EventKind[] = ['lit', 'relit']
/** What puts a flame out. */
export const ENDS: readonly EventKind[] = ['flameOut', 'snuffed', 'shutOff', 'gaveUp', 'stopped']

/**
 * From lighting (or, unmarked, from pot-on) to each end of the flame, and from each relighting on. A run given up or
 * stopped burns no more.
 * @param events in any order
 */
export function burnsOf(events: readonly RunEvent[]): Burn[] {
  const sorted = [...events].sort((a, b) => a.s - b.s)
  const litMarked = sorted.some((event) => event.kind === 'lit')
  const burns: Burn[] = []
  for (const { kind, s } of sorted) {
    const open = burns.at(-1)?.endS === null
    if (!open && (STARTS.includes(kind) || (kind === 'potOn' && !litMarked && burns.length === 0)))
      burns.push({ startS: s, endS: null })
    else if (open && ENDS.includes(kind)) burns.at(-1)!.endS = s
  }
  return burns
}

/** Seconds of flame between two moments; an open end burns on. */
export const flameTimeBetween = (burns: readonly Burn[], fromS: number, toS: number): number =>
  burns.reduce(
    (sum, { startS, endS }) => sum + Math.max(0, Math.min(endS ?? Infinity, toS) - Math.max(startS, fromS)),
    0,
  )

/**
 * The stretches of flame between two moments. Only a relighting ends a gap: what comes after the last flame, or before
 * the first, counts as burning, because marks of one moment may stand seconds apart.
 */
export function flamesBetween(burns: readonly Burn[], fromS: number, toS: number): { startS: number; endS: number }[] {
  const inside = burns.filter(({ startS, endS }) => startS < toS && (endS ?? Infinity) > fromS)
  if (inside.length === 0) return [{ startS: fromS, endS: toS }]
  return inside.map(({ startS, endS }, i) => ({
    startS: i === 0 ? fromS : startS,
    endS: i === inside.length - 1 ? toS : Math.min(endS ?? toS, toS),
  }))
}

/** Burns and gaps in turn between two moments: [burn, gap, burn, …] in seconds. */
export function burnsAndGaps(burns: readonly Burn[], fromS: number, toS: number): number[] {
  const flames = flamesBetween(burns, fromS, toS)
  return flames.flatMap(({ startS, endS }, i) => [...(i === 0 ? [] : [startS - flames[i - 1]!.endS]), endS - startS])
}
