/**
 * The state of one lane: which events were marked and when, and what comes next. Time comes in with each action, so that a
 * reload, a sleeping machine or another device cannot move a mark.
 */
import { fail, ok, type R } from '../result'
import type { EventKind } from './events'

export interface BenchMark {
  id: string
  kind: EventKind
  /** From the lane's clock zero, which is its first mark [ms]. */
  atMs: number
}

export interface BenchState {
  /** The events in the order of the method; Next walks them. */
  order: readonly EventKind[]
  /** The moment of the first mark, on the clock the actions bring [ms]. */
  zeroMs: number | null
  marks: readonly BenchMark[]
  /** Presses within 1.2 s of a mark: kept, but they advance nothing. */
  doubles: readonly { atMs: number }[]
}

export type BenchAction
  = | { type: 'mark', id: string, kind: EventKind, nowMs: number }
    | { type: 'undo' }
    | { type: 'nudge', byMs: number }

/** Gloves press twice. */
const DOUBLE_PRESS_MS = 1200
/** What ends a lane: nothing comes next. */
const ENDS: readonly EventKind[] = ['shutOff', 'snuffed', 'flameOut', 'gaveUp', 'stopped']

export const emptyBench = (order: readonly EventKind[]): BenchState => ({ order, zeroMs: null, marks: [], doubles: [] })

/** The event that Next marks, or null where the lane is at its end. */
export function nextEvent({ order, marks }: BenchState): EventKind | null {
  if (marks.some(mark => ENDS.includes(mark.kind))) return null
  const furthest = Math.max(-1, ...marks.map(mark => order.indexOf(mark.kind)))
  return order[furthest + 1] ?? null
}

/**
 * One step of a lane.
 * @returns the next state; a problem where the action makes no sense (a mark made twice, nothing to undo, a nudge before the mark before)
 */
export function benchStep(state: BenchState, action: BenchAction): R<BenchState> {
  switch (action.type) {
    case 'mark': return mark(state, action)
    case 'undo': return undo(state)
    case 'nudge': return nudge(state, action.byMs)
  }
}

function mark(state: BenchState, { id, kind, nowMs }: Extract<BenchAction, { type: 'mark' }>): R<BenchState> {
  if (state.marks.some(one => one.id === id)) return ok(state)
  const zeroMs = state.zeroMs ?? nowMs
  const atMs = Math.max(0, nowMs - zeroMs)
  const last = state.marks.at(-1)
  if (last && atMs - last.atMs < DOUBLE_PRESS_MS) return ok({ ...state, doubles: [...state.doubles, { atMs }] })
  if (state.marks.some(one => one.kind === kind)) return fail({ code: 'marked-already', what: `"${kind}" is marked already`, hint: 'Undo the mark first.' })
  return ok({ ...state, zeroMs, marks: [...state.marks, { id, kind, atMs }] })
}

function undo(state: BenchState): R<BenchState> {
  if (state.marks.length === 0) return fail({ code: 'nothing-to-undo', what: 'There is no mark to undo' })
  const marks = state.marks.slice(0, -1)
  return ok({ ...state, marks, zeroMs: marks.length === 0 ? null : state.zeroMs })
}

/** Moves the last mark; the first one is the clock's zero, so moving it moves the zero and keeps the others where they were. */
function nudge(state: BenchState, byMs: number): R<BenchState> {
  const last = state.marks.at(-1)
  if (!last || state.zeroMs === null) return fail({ code: 'nothing-to-nudge', what: 'There is no mark to move' })
  if (state.marks.length === 1) return ok({ ...state, zeroMs: state.zeroMs + byMs })
  const atMs = last.atMs + byMs
  if (atMs <= state.marks.at(-2)!.atMs) return fail({ code: 'before-previous', what: 'That would put the mark before the one before it' })
  return ok({ ...state, marks: [...state.marks.slice(0, -1), { ...last, atMs }] })
}
