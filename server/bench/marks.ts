/** Marks of a lane: the state machine says what a press is, the rows keep it. */
import { benchStep, outcomeOf, type BenchState, type MarkPayload } from '../../core/run/benchStep'
import { problemText } from '../../core/result'
import { parseQuantity } from '../../core/quantity/parseQuantity'
import type { UnitSystem } from '../../core/quantity/kinds'
import type { EventKind } from '../../core/run/events'
import type { Connection } from '../database/connection'
import { findRuns } from '../runs/repository/findRuns'
import { shiftTraces } from '../instruments/repository/mergeTraces'
import { eventRows, type EventRow } from './repository/eventRows'
import { headOfMark, orderOf, stateOfRows } from './lanes'
import { insertEvent, setRunState } from './repository/lanes'
import { refused, TAKEN, type Ack, type Deed, type RunOnBench } from './acknowledge'

const FINISHED = 'This run is finished. Correct it on its page; what was sent is kept in this browser.'

async function standing(tx: Connection, found: RunOnBench): Promise<{ rows: readonly EventRow[]; state: BenchState }> {
  const rows = (await eventRows(tx, [found.id])).get(found.id)!
  return { rows, state: stateOfRows(rows, found.startedAt.getTime(), await orderFor(tx, found.id)) }
}

/** A run's method and burner never change: their order is looked up once a process. */
const orders = new Map<string, BenchState['order']>()
async function orderFor(tx: Connection, runId: string): Promise<BenchState['order']> {
  const known = orders.get(runId)
  if (known) return known
  const [whole] = await findRuns(tx, [runId], { traces: false, events: false })
  const { marks } = orderOf(whole!)
  orders.set(runId, marks)
  return marks
}

/** The run's row is locked: nobody else adds to them. */
const nextSeq = (rows: readonly EventRow[]): number => (rows.at(-1)?.seq ?? 0) + 1

export async function takeMark(tx: Connection, found: RunOnBench, { act, deed, deviceId }: Deed<'mark'>): Promise<Ack> {
  if (found.state === 'finished' || found.state === 'void') return refused(FINISHED)
  const payload = readPayload(deed.kind, deed.payload, act.units)
  if (payload === null)
    return refused(
      `${deed.payload.typed ?? ''}: not a quantity that ${deed.kind === 'reading' ? 'a temperature' : 'a mass'} can be read from.`,
    )
  const { rows, state } = await standing(tx, found)
  const press = { type: 'mark' as const, id: act.id, kind: deed.kind, nowMs: act.atMs, device: deviceId, payload }
  const next = benchStep(state, press)
  if (!next.ok) return refused(problemText(next.problem))
  const outcome = outcomeOf(next.value, act.id)!
  const zeroMs = await zeroOf(tx, found, act.atMs)
  const aside = asideOf(outcome)
  await insertEvent(tx, {
    id: act.id,
    runId: found.id,
    seq: nextSeq(rows),
    kind: deed.kind,
    atMs: act.atMs - zeroMs,
    ...clocks(act),
    deviceId,
    source: 'bench',
    payload: { ...payload, ...aside },
    voided: aside !== null,
    reason: aside === null ? null : ASIDE_WORDS[aside.press],
    personId: found.personId,
  })
  return { as: outcome.as === 'undone' ? 'already' : outcome.as }
}

/** The first mark is the clock's zero. */
async function zeroOf(tx: Connection, { id, state, startedAt }: RunOnBench, atMs: number): Promise<number> {
  if (state !== 'draft') return startedAt.getTime()
  await shiftTraces(tx, id, atMs - startedAt.getTime())
  await setRunState(tx, id, { state: 'live', startedAt: new Date(atMs) })
  return atMs
}

type Outcome = NonNullable<ReturnType<typeof outcomeOf>>
/** Why a press is no mark of its own; null: it is one. */
function asideOf(outcome: Outcome): { press: keyof typeof ASIDE_WORDS; ofId?: string } | null {
  if (outcome.as === 'mark') return null
  if (outcome.as === 'twin') return { press: 'twin', ofId: outcome.ofId }
  return { press: outcome.as as 'double' | 'already' }
}
const ASIDE_WORDS = {
  twin: 'the same mark, pressed on another device',
  double: 'pressed twice',
  already: 'that mark stands at another time',
} as const

const clocks = ({ wallMs, monoMs, clockSession }: Deed<'mark'>['act']) => ({
  wallAt: new Date(wallMs),
  monoMs,
  clockSession,
})

/** What was typed is read here again: the stored value never rests on the page's reading. Null: it cannot be. */
function readPayload(kind: EventKind, payload: MarkPayload, units: UnitSystem): MarkPayload | null {
  const { typed, reason, setting } = payload
  const rest = { ...(reason ? { reason } : {}), ...(setting ? { setting } : {}) }
  if (typed === undefined || (kind !== 'reading' && kind !== 'fuelAdded'))
    return { ...rest, ...(kind === 'targetReached' && payload.waterC !== undefined ? { waterC: payload.waterC } : {}) }
  const read = parseQuantity(typed, kind === 'reading' ? 'waterTemp' : 'weighing', units)
  if (!read.ok) return null
  return {
    ...rest,
    typed,
    ...(kind === 'reading'
      ? { waterC: read.value.value }
      : { massG: Number((read.value.value * 1000).toPrecision(12)) }),
  }
}

export async function undoMark(
  tx: Connection,
  found: RunOnBench,
  { act, deed: { ofId }, deviceId }: Deed<'undo'>,
): Promise<Ack> {
  if (found.state === 'finished') return refused(FINISHED)
  const { rows, state } = await standing(tx, found)
  if (state.undone.includes(ofId)) return TAKEN
  const next = benchStep(state, { type: 'undo', ofId })
  const head = headOfMark(rows, ofId)
  if (!next.ok || head === null) return refused('That mark is not there to be undone.')
  await insertEvent(tx, {
    id: act.id,
    runId: found.id,
    seq: nextSeq(rows),
    kind: head.kind,
    atMs: head.atMs,
    ...clocks(act),
    deviceId,
    source: 'bench',
    payload: head.payload,
    supersedesId: head.id,
    voided: true,
    reason: 'undone',
    personId: found.personId,
  })
  return TAKEN
}

export async function moveMark(
  tx: Connection,
  found: RunOnBench,
  { act, deed: { ofId, toMs }, deviceId }: Deed<'move'>,
): Promise<Ack> {
  if (found.state === 'finished') return refused(FINISHED)
  const { rows, state } = await standing(tx, found)
  const next = benchStep(state, { type: 'move', ofId, toMs })
  if (!next.ok) return refused(`${next.problem.what}.`)
  const head = headOfMark(rows, ofId)!
  await insertEvent(tx, {
    id: act.id,
    runId: found.id,
    seq: nextSeq(rows),
    kind: head.kind,
    atMs: toMs - found.startedAt.getTime(),
    ...clocks(act),
    deviceId,
    source: 'bench',
    payload: head.payload,
    supersedesId: head.id,
    reason: 'moved',
    personId: found.personId,
  })
  return TAKEN
}
