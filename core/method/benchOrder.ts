/** What the bench asks for and in which order, by the method and the burner. */
import type { BurnerKind } from '../formats/document'
import type { EventKind } from '../run/events'
import type { MethodBody, ReadingName } from './method'

export interface BenchOrder {
  /** Weighed before the flame; null: nothing is. */
  weighIn: ReadingName | null
  /** The marks that Next walks. */
  marks: EventKind[]
  /** Those of them that may be passed over. */
  optional: EventKind[]
  /** Weighed once it is cool. */
  weighOut: ReadingName | null
}

/** Burners that must warm up before they give their full flame. */
const WARM_UP: readonly BurnerKind[] = ['alcohol', 'liquid-pressure']
/** Burners with a valve: shut off. Others are snuffed, or left to burn out. */
const VALVE: readonly BurnerKind[] = ['canister-top', 'integrated', 'remote-gas', 'liquid-pressure']
const BOILS: readonly EventKind[] = ['firstBubbles', 'rollingBoil', 'targetReached']
const FLAME_ENDS: readonly EventKind[] = ['shutOff', 'snuffed', 'flameOut']
const BEFORE: readonly ReadingName[] = ['fuelBefore', 'fuelLoad']
const AFTER: readonly ReadingName[] = ['fuelAfter', 'fuelLeftover']

/** Source: the order of the work, common practice. */
export function benchOrder(
  { must, may, mustMark, mayMark }: Pick<MethodBody, 'must' | 'may' | 'mustMark' | 'mayMark'>,
  burner: BurnerKind | null,
): BenchOrder {
  const has = (kind: EventKind) => mustMark.includes(kind) || mayMark.includes(kind)
  const warmsUp = has('bloomed') && (mustMark.includes('bloomed') || (burner !== null && WARM_UP.includes(burner)))
  const marks: EventKind[] = [
    ...(has('lit') ? ['lit' as const] : []),
    ...(warmsUp ? ['bloomed' as const] : []),
    ...(mustMark.includes('potOn') ? ['potOn' as const] : []),
    ...BOILS.filter((kind) => mustMark.includes(kind)),
    ...(mustMark.includes('flameLeftPot') ? ['flameLeftPot' as const] : []),
  ]
  const reading = (names: readonly ReadingName[]) =>
    names.find((name) => must.includes(name)) ?? names.find((name) => may.includes(name)) ?? null
  const weighIn = reading(BEFORE)
  return {
    weighIn,
    marks: [...marks, endOf(mustMark, burner)],
    optional: ['bloomed'],
    weighOut:
      weighIn === 'fuelBefore' && must.includes('fuelBefore')
        ? 'fuelAfter'
        : reading(AFTER.filter((name) => must.includes(name))),
  }
}

/** How the flame ends: as the method must have it, else as the burner is put out. */
function endOf(mustMark: readonly EventKind[], burner: BurnerKind | null): EventKind {
  const must = FLAME_ENDS.find((kind) => mustMark.includes(kind))
  if (must) return must
  return burner === null || VALVE.includes(burner) ? 'shutOff' : 'snuffed'
}
