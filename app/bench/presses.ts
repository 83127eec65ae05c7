/** Presses and readings on the lanes: kept in this browser, then shown, then sent; and what is said of each. */
import { ref, type Ref } from 'vue'
import { v7 as uuidv7 } from 'uuid'
import { laneSeconds } from '#core/bench/laneTimes'
import type { UnitSystem } from '#core/quantity/kinds'
import { formatClock } from '#core/quantity/format'
import { emptyBench, lastPressed, outcomeOf, zeroOf, type MarkPayload } from '#core/run/benchStep'
import { EVENT_NAMES, type EventKind } from '#core/run/events'
import type { Lane } from '#shared/bench'
import type { BenchDeed } from '#shared/benchAct'
import type { MeasuredQuantity } from '#shared/measuredQuantity'
import { momentOfPress } from './clock'
import { keepAct, type PendingAct } from './disk'
import { tellTabs } from './tabs'

export interface PressParts {
  units: Ref<UnitSystem>
  pending: Ref<PendingAct[]>
  laneOf: (runId: string) => Lane | null
  nowMs: Ref<number>
  send: () => void
}

/**
 * One after another, so that an undo finds the press before it; the moment is the press's own.
 * @returns given a run and the deed, or how to find it when its turn comes (null: there is nothing to do)
 */
function pressing({ units, pending, nowMs, send }: PressParts) {
  const inTurn = oneAfterAnother()
  return (
    runId: string,
    what: BenchDeed | (() => BenchDeed | null),
    preview: Lane | null = null,
  ): Promise<string | null> => {
    const moment = momentOfPress()
    const id = uuidv7()
    return inTurn(async () => {
      const deed = typeof what === 'function' ? what() : what
      if (deed === null) return null
      const pendingAct: PendingAct = { act: { id, runId, units: units.value, ...moment, deed }, preview }
      await keepAct(pendingAct)
      pending.value = [...pending.value, pendingAct]
      nowMs.value = Math.max(nowMs.value, moment.atMs)
      // Seen first: what sends reads the browser's store again, and would stand before the frame.
      afterPaint(() => {
        tellTabs({ type: 'pressed' })
        send()
      })
      return id
    })
  }
}

export function usePresses(parts: PressParts) {
  const { laneOf, nowMs } = parts
  const said = ref('')
  const press = pressing(parts)

  async function mark(lane: Lane, kind: EventKind, payload: MarkPayload = {}): Promise<string | null> {
    const id = await press(lane.runId, { type: 'mark', kind, payload })
    const now = laneOf(lane.runId)
    if (now) said.value = markWords(now, { kind, id, nowMs: nowMs.value })
    return id
  }

  /** A deed on the newest press of a lane, if there is one, and its words. */
  async function onLast({ runId, lane }: Lane, deedOf: (last: Last) => { deed: BenchDeed; words: string }) {
    let words = ''
    await press(runId, () => {
      const last = lastPressed(laneOf(runId)?.state ?? emptyBench([]))
      if (last === null) return null
      const { deed, words: of } = deedOf(last)
      words = `Lane ${lane}: ${EVENT_NAMES[last.kind]} ${of}`
      return deed
    })
    said.value = words
  }
  const undo = (lane: Lane) => onLast(lane, ({ id }) => ({ deed: { type: 'undo', ofId: id }, words: 'undone' }))
  const nudge = (lane: Lane, byMs: number) =>
    onLast(lane, ({ id, atMs }) => ({
      deed: { type: 'move', ofId: id, toMs: atMs + byMs },
      words: `a second ${byMs < 0 ? 'earlier' : 'later'}`,
    }))
  const read = (lane: Lane, quantity: MeasuredQuantity, typed: string) =>
    press(lane.runId, { type: 'read', quantity, typed })

  return { said, press, mark, undo, nudge, read }
}

type Last = NonNullable<ReturnType<typeof lastPressed>>

function markWords(lane: Lane, { kind, id, nowMs }: { kind: EventKind; id: string | null; nowMs: number }): string {
  const outcome = id === null ? null : outcomeOf(lane.state, id)
  if (outcome?.as === 'double') return `Lane ${lane.lane}: pressed twice, kept as one`
  if (outcome?.as === 'already')
    return `Lane ${lane.lane}: ${EVENT_NAMES[kind]} stands already; this press is kept beside it`
  const sinceZeroMs = Math.max(0, nowMs - (zeroOf(lane.state) ?? nowMs))
  return `Lane ${lane.lane}: ${EVENT_NAMES[kind]} at ${formatClock(laneSeconds(lane, sinceZeroMs))}`
}

/** Runs one piece of work after another, whether the one before went well or not. */
function oneAfterAnother(): <T>(work: () => Promise<T>) => Promise<T> {
  let turn: Promise<unknown> = Promise.resolve()
  return (work) => {
    const done = turn.then(work)
    turn = done.catch(() => undefined)
    return done
  }
}

/** Once the next frame is drawn; soon, where none is. */
function afterPaint(work: () => void): void {
  let begun = false
  const begin = () => {
    if (begun) return
    begun = true
    work()
  }
  requestAnimationFrame(() => setTimeout(begin))
  setTimeout(begin, AFTER_PAINT_AT_MOST_MS)
}
const AFTER_PAINT_AT_MOST_MS = 80
