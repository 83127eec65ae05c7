/** The rows of a run that was brought in. */
import { v7 as uuidv7 } from 'uuid'
import type { Origin, Setting } from '../../core/formats/document'
import type { GivenByDocument } from '../../core/formats/toRunDocument'
import { KIND_OF_TEST, type TestName } from '../../core/method/method'
import type { ReadRun } from '../../shared/readRun'
import { hashOf } from '../database/hash'
import type { RowIds } from './makeKit'

export interface RunToStore {
  /** Null: it had none of its own. */
  id: string | null
  /** Row of the table, or place in the list. */
  row: number
  ids: RowIds
  startedAt: string
  zone: string
  test: TestName
  setting: Setting | null
  breakIn: boolean
  notes: string
  tags: readonly string[]
  stoppedReason: string
  read: ReadRun
  origin: Origin
  /** Of a target that was reached. */
  targetC: number | null
  trace: [number, number][]
  /** [seconds, g] */
  scaleTrace: [number, number][]
  given: GivenByDocument | null
  decisions: { question: string; answer: string }[]
}

export const runRow = (id: string, importId: string, seriesKey: string, one: RunToStore) => ({
  id,
  seriesKey,
  origin: one.origin,
  kind: KIND_OF_TEST[one.test],
  state: 'finished' as const,
  setupVersionId: one.ids.setupVersionId,
  fuelBatchId: one.ids.fuelBatchId,
  placeVersionId: one.ids.placeVersionId,
  personId: one.ids.personId,
  methodVersionId: one.ids.methodVersionId,
  setting: one.setting,
  breakIn: one.breakIn,
  startedAt: new Date(one.startedAt),
  zone: one.zone,
  notes: one.notes,
  revision: 1,
  importId,
  given: one.given,
  bodyHash: hashOf({ importId, row: one.row }),
  createdAt: new Date(),
})

export const measurementRows = (runId: string, { read, ids: { personId } }: RunToStore) =>
  read.measurements.map(({ quantity, value, typed, unit }) => ({
    id: uuidv7(),
    runId,
    quantity,
    value,
    typed,
    typedUnit: unit,
    personId,
    recordedAt: new Date(),
  }))

export const eventRows = (runId: string, one: RunToStore) =>
  one.read.events.map((mark, i) => ({
    id: uuidv7(),
    runId,
    seq: i + 1,
    kind: mark.kind,
    atMs: mark.atMs,
    source: 'import',
    personId: one.ids.personId,
    voided: false,
    recordedAt: new Date(),
    payload: payloadOf(mark, one),
  }))

function payloadOf(
  { kind, typed, massG, waterC: readC, setting, windMS, reason: said }: RunToStore['read']['events'][number],
  { targetC, stoppedReason }: RunToStore,
) {
  const waterC = readC ?? (kind === 'targetReached' ? (targetC ?? undefined) : undefined)
  const reason = said || (kind === 'stopped' ? stoppedReason : '')
  return {
    typed,
    ...(massG === undefined ? {} : { massG }),
    ...(waterC === undefined ? {} : { waterC }),
    ...(setting === undefined ? {} : { setting }),
    ...(windMS === undefined ? {} : { windMS }),
    ...(reason ? { reason } : {}),
  }
}

export const tagRows = (runId: string, { tags, ids: { personId } }: RunToStore) =>
  tags.map((name) => ({ id: uuidv7(), runId, name, personId, createdAt: new Date() }))

export const decisionRows = (runId: string, { decisions, ids: { personId } }: RunToStore) =>
  decisions.map(({ question, answer }) => ({ id: uuidv7(), runId, question, answer, personId, recordedAt: new Date() }))
