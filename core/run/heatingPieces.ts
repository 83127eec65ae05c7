/** What happened to the pot while it heated, piece by piece. */
import { flamesBetween, type Burn } from './burns'
import type { EventKind, RunEvent } from './events'

/** A stretch in which nothing changed. */
export interface HeatingPiece {
  s: number
  /** The flame is under the pot. */
  heated: boolean
  /** There is no lid on it. */
  open: boolean
}

export interface Span {
  fromS: number
  toS: number
}

const POT: readonly EventKind[] = ['potOn', 'potOff']
const LID: readonly EventKind[] = ['lidOn', 'lidOff']

/**
 * Null where the pot stayed on and its lid as it was: burns and gaps say all there is then.
 * @param isOpen the set-up's own state, which stands until the first mark of its lid
 */
export function heatingPieces(
  events: readonly RunEvent[],
  burns: readonly Burn[],
  span: Span,
  isOpen: boolean,
): HeatingPiece[] | null {
  const inside = events.filter(({ s }) => s > span.fromS && s < span.toS)
  const isTouched = inside.some(({ kind }) => kind === 'potOff' || LID.includes(kind))
  if (!isTouched) return null
  const edges = inside.filter(({ kind }) => POT.includes(kind) || LID.includes(kind)).map(({ s }) => s)
  const flames = flamesBetween(burns, span.fromS, span.toS)
  const cuts = [...edges, ...flames.flatMap(({ startS, endS }) => [startS, endS])].filter(
    (s) => s > span.fromS && s < span.toS,
  )
  const at = [...new Set([span.fromS, ...cuts, span.toS])].sort((a, b) => a - b)
  const pot = stateOf(inside, 'potOn', 'potOff', true)
  const bare = stateOf(inside, 'lidOff', 'lidOn', isOpen)
  return at.slice(1).map((toS, i) => {
    const middle = (at[i]! + toS) / 2
    const isBurning = flames.some(({ startS, endS }) => middle > startS && middle < endS)
    return { s: toS - at[i]!, heated: isBurning && pot(middle), open: bare(middle) }
  })
}

/** What two kinds of marks turn on and off, at a moment. */
function stateOf(events: readonly RunEvent[], on: EventKind, off: EventKind, before: boolean): (s: number) => boolean {
  const marks = events.filter(({ kind }) => kind === on || kind === off).sort((a, b) => a.s - b.s)
  return (s) => {
    const last = marks.findLast((mark) => mark.s <= s)
    return last === undefined ? before : last.kind === on
  }
}

/** For how long the pot was off, and its lid other than the set-up has it [s]. */
export function awayFor(pieces: readonly HeatingPiece[], isOpen: boolean): { offS: number; lidS: number } {
  const sum = (of: (piece: HeatingPiece) => boolean) => pieces.reduce((s, piece) => (of(piece) ? s + piece.s : s), 0)
  return { offS: sum(({ heated }) => !heated), lidS: sum(({ open }) => open !== isOpen) }
}

/** What stood while it heated, each value with its share of the time; one: it was not changed. */
export function standingAmid<T>(
  events: readonly RunEvent[],
  span: Span,
  { kind, first, valueOf }: { kind: EventKind; first: T; valueOf: (event: RunEvent) => T },
): { value: T; share: number }[] {
  return sharesOf(
    first,
    events.flatMap((one) => (one.kind === kind ? [{ s: one.s, value: valueOf(one) }] : [])),
    span,
  )
}

function sharesOf<T>(
  first: T,
  changes: readonly { s: number; value: T }[],
  { fromS, toS }: Span,
): { value: T; share: number }[] {
  const sorted = [...changes].sort((a, b) => a.s - b.s).filter(({ s }) => s < toS)
  const before = sorted.findLast(({ s }) => s <= fromS)
  const inside = sorted.filter(({ s }) => s > fromS)
  const at = [fromS, ...inside.map(({ s }) => s), toS]
  const values = [before ? before.value : first, ...inside.map(({ value }) => value)]
  return values.map((value, i) => ({ value, share: (at[i + 1]! - at[i]!) / (toS - fromS) }))
}
