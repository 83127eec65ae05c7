/**
 * The state of one lane: what was marked and when, which presses advanced nothing, and what comes next. Time comes in
 * with each
 * action, on the bench's clock, so that a reload, a sleeping machine or another device cannot move a mark.
 */
import { fail, ok, type R } from '../result'
import { burnsOf } from './burns'
import type { EventKind, RunEvent } from './events'

export interface MarkPayload {
  /** `reading`: the water's temperature. `targetReached`: the target. */
  waterC?: number
  /** `fuelAdded`. */
  massG?: number
  reason?: string
  setting?: string
  /** `windChanged`, where it was read [m/s]. */
  windMS?: number
  /** As it was typed. */
  typed?: string
}

/** A press, by whom and when [ms on the bench's clock]. */
export interface Press {
  id: string
  kind: EventKind
  atMs: number
  device: string | null
}

export interface BenchMark extends Press {
  payload: MarkPayload
  /** The same act pressed on another device: one event, both times. */
  twins: readonly Press[]
}

export interface KeptPress extends Press {
  /** `double`: a glove pressed twice. `already`: that event stands, at another time. */
  why: 'double' | 'already'
}

export interface BenchState {
  /** The events in the order of the method; Next walks them. */
  order: readonly EventKind[]
  /** In the order of time. */
  marks: readonly BenchMark[]
  /** Presses that advance nothing: kept, because a press is a fact. */
  kept: readonly KeptPress[]
  /** Ids of marks that were undone; the same undo again changes nothing. */
  undone: readonly string[]
}

export type BenchAction =
  | { type: 'mark'; id: string; kind: EventKind; nowMs: number; device?: string | null; payload?: MarkPayload }
  | { type: 'undo'; ofId: string }
  /** To a time, so that the same move twice is one. */
  | { type: 'move'; ofId: string; toMs: number }

/** Gloves press twice [ms]. */
const DOUBLE_PRESS_MS = 1200
/** The same act on two devices [ms]. */
const TWIN_MS = 5000
/** May stand many times in one run. */
const REPEATABLE: readonly EventKind[] = [
  'reading',
  'fuelAdded',
  'relit',
  'settingChanged',
  'windChanged',
  'disturbance',
  'lidOn',
  'lidOff',
  'potOff',
  'flameOut',
]
/** What ends the burning for good; a flame that went out may be fed and lit again. */
const ENDS: readonly EventKind[] = ['shutOff', 'snuffed', 'gaveUp', 'stopped']

export const emptyBench = (order: readonly EventKind[]): BenchState => ({ order, marks: [], kept: [], undone: [] })

const asEvents = (marks: readonly BenchMark[]): RunEvent[] => marks.map(({ kind, atMs }) => ({ kind, s: atMs / 1000 }))

/** Whether a flame burns: lit (or, unmarked, pot on) and not out since. */
export const isBurning = ({ marks }: BenchState): boolean => burnsOf(asEvents(marks)).at(-1)?.endS === null

/** Whether the burning is over: an end stands, and nothing was lit again after it. */
export const isOver = (state: BenchState): boolean =>
  !isBurning(state) && state.marks.some((mark) => ENDS.includes(mark.kind) || mark.kind === 'flameOut')

/** The event that Next marks, or null where the lane is at its end. */
export function nextEvent(state: BenchState): EventKind | null {
  const { order, marks } = state
  if (isOver(state)) return null
  // A flame that went out and was lit again is no step of the method: what it went out before is still to come.
  const relitAt = marks.findLastIndex((mark) => mark.kind === 'relit')
  const furthest = Math.max(
    -1,
    ...marks.filter((mark, i) => mark.kind !== 'flameOut' || i > relitAt).map((mark) => order.indexOf(mark.kind)),
  )
  // Lit again after going out: the end is before it once more.
  return (
    order.slice(furthest + 1)[0] ??
    (isBurning(state) && marks.some((mark) => mark.kind === 'relit') ? order.at(-1)! : null)
  )
}

/** The first mark's time, which is the clock's zero [ms]; null: nothing is marked. */
export const zeroOf = ({ marks }: BenchState): number | null => marks[0]?.atMs ?? null

/** What can be undone or moved: the mark that was pressed last. Ids made by time tell the order of pressing. */
export const lastPressed = ({ marks }: BenchState): BenchMark | null =>
  marks.reduce<BenchMark | null>((last, mark) => (last === null || mark.id > last.id ? mark : last), null)

/**
 * One step of a lane. A press is never refused: it marks, joins another device's press, or is kept aside. The same
 * action again changes nothing.
 * @returns the next state; a problem where an undo or a move has nothing to work on, or would put a mark before the one
 * before it
 */
export function benchStep(state: BenchState, action: BenchAction): R<BenchState> {
  switch (action.type) {
    case 'mark':
      return ok(mark(state, action))
    case 'undo':
      return undo(state, action.ofId)
    case 'move':
      return move(state, action)
  }
}

function mark(
  state: BenchState,
  { id, kind, nowMs, device = null, payload = {} }: Extract<BenchAction, { type: 'mark' }>,
): BenchState {
  const press: Press = { id, kind, atMs: nowMs, device }
  if (isKnown(state, id)) return state
  const twin = state.marks.find(
    (one) =>
      one.kind === kind &&
      one.device !== device &&
      Math.abs(one.atMs - nowMs) <= TWIN_MS &&
      sameReading(one.payload, payload),
  )
  if (twin)
    return {
      ...state,
      marks: state.marks.map((one) => (one === twin ? { ...one, twins: [...one.twins, press] } : one)),
    }
  if (isDouble(state, press)) return { ...state, kept: [...state.kept, { ...press, why: 'double' }] }
  const stands = state.marks.some((one) => one.kind === kind) && !mayRepeat(state, press)
  if (stands) return { ...state, kept: [...state.kept, { ...press, why: 'already' }] }
  return { ...state, marks: inTime([...state.marks, { ...press, payload, twins: [] }]) }
}

const isKnown = ({ marks, kept, undone }: BenchState, id: string) =>
  undone.includes(id) ||
  kept.some((one) => one.id === id) ||
  marks.some((one) => one.id === id || one.twins.some((twin) => twin.id === id))

const sameReading = (a: MarkPayload, b: MarkPayload) =>
  a.waterC === b.waterC && a.massG === b.massG && a.setting === b.setting

/** Within 1.2 s of the same device's last mark: of any that advances, or of the same kind. Two readings are two. */
function isDouble({ order, marks }: BenchState, { kind, atMs, device }: Press): boolean {
  if (kind === 'reading') return false
  const advances = order.includes(kind)
  return marks.some(
    (one) =>
      one.device === device &&
      Math.abs(atMs - one.atMs) < DOUBLE_PRESS_MS &&
      (one.kind === kind || (advances && order.includes(one.kind))),
  )
}

/** A flame goes out again only after it was lit again; the pot comes back only after it was taken off. */
function mayRepeat(state: BenchState, { kind }: Press): boolean {
  if (kind === 'flameOut') return isBurning(state)
  if (kind === 'potOn')
    return state.marks.findLast((one) => one.kind === 'potOn' || one.kind === 'potOff')?.kind === 'potOff'
  return REPEATABLE.includes(kind)
}

const inTime = (marks: readonly BenchMark[]): BenchMark[] =>
  [...marks].sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1))

function undo(state: BenchState, ofId: string): R<BenchState> {
  if (state.undone.includes(ofId)) return ok(state)
  const found = state.marks.find((one) => one.id === ofId)
  if (!found) return fail({ code: 'nothing-to-undo', what: 'There is no mark to undo' })
  return ok({
    ...state,
    marks: state.marks.filter((one) => one !== found),
    undone: [...state.undone, ofId, ...found.twins.map((twin) => twin.id)],
  })
}

function move(state: BenchState, { ofId, toMs }: Extract<BenchAction, { type: 'move' }>): R<BenchState> {
  const i = state.marks.findIndex((one) => one.id === ofId)
  if (i < 0) return fail({ code: 'nothing-to-nudge', what: 'There is no mark to move' })
  if (i > 0 && toMs <= state.marks[i - 1]!.atMs)
    return fail({ code: 'before-previous', what: 'That would put the mark before the one before it' })
  const after = state.marks[i + 1]
  if (after && toMs >= after.atMs)
    return fail({ code: 'after-next', what: 'That would put the mark after the one after it' })
  return ok({ ...state, marks: state.marks.map((one, at) => (at === i ? { ...one, atMs: toMs } : one)) })
}

/** What became of a press. */
export function outcomeOf(
  { marks, kept, undone }: BenchState,
  id: string,
): { as: 'mark' } | { as: 'twin'; ofId: string } | { as: KeptPress['why'] } | { as: 'undone' } | null {
  if (marks.some((one) => one.id === id)) return { as: 'mark' }
  const twinOf = marks.find((one) => one.twins.some((twin) => twin.id === id))
  if (twinOf) return { as: 'twin', ofId: twinOf.id }
  const aside = kept.find((one) => one.id === id)
  if (aside) return { as: aside.why }
  return undone.includes(id) ? { as: 'undone' } : null
}

/** A state as an earlier version kept it in a draft: times counted from the first mark. */
interface OldBench {
  order: EventKind[]
  zeroMs: number | null
  marks: { id: string; kind: EventKind; atMs: number }[]
}

/** Reads a state that was kept, by this version or an earlier one. */
export function readBench(stored: BenchState | OldBench | null): BenchState | null {
  if (stored === null || !('zeroMs' in stored)) return stored
  const { order, zeroMs, marks } = stored
  return {
    ...emptyBench(order),
    marks: marks.map(({ id, kind, atMs }) => ({
      id,
      kind,
      atMs: (zeroMs ?? 0) + atMs,
      device: null,
      payload: {},
      twins: [],
    })),
  }
}
