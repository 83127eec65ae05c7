/** Rows of a table become runs: all in one transaction, many at a time. */
import type { SQL } from 'drizzle-orm'
import { v5 as uuidv5, v7 as uuidv7 } from 'uuid'
import { KIND_OF_TEST } from '../../core/method/method'
import type { Origin, Setting } from '../../core/formats/document'
import type { GivenByDocument } from '../../core/formats/toRunDocument'
import type { ReadRun } from '../../shared/typedRun'
import type { TestName } from '../../core/method/method'
import type { Connection } from '../database/connection'
import { inserting, inTurn } from '../database/bulkInsert'
import { hashOf } from '../database/hash'
import { decision, event, measurement, run, runTag } from '../database/schema'
import { insertTrace } from '../database/repositories/traces'
import { recompute } from '../runs/recompute'
import { showTags } from '../runs/manyRuns'
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

/** Whose id a run without one gets: the same row of the same import is the same run. */
const idOf = (importId: string, { id, row }: RunToStore) => id ?? uuidv5(String(row), importId)
const AT_A_TIME = 500
const TOLD_EVERY_MS = 300

/** @param told a few times a second: how many are stored */
export async function storeRuns(
  tx: Connection,
  importId: string,
  runs: readonly RunToStore[],
  told: (done: number) => Promise<void>,
): Promise<string[]> {
  const ids = runs.map((one) => idOf(importId, one))
  let done = 0
  function* all(): Generator<SQL> {
    for (let from = 0; from < runs.length; from += AT_A_TIME) {
      yield* storing(importId, runs.slice(from, from + AT_A_TIME))
      done = Math.min(runs.length, from + AT_A_TIME)
    }
  }
  const telling = setInterval(() => void told(done).catch(() => undefined), TOLD_EVERY_MS)
  try {
    await inTurn(tx, all())
  } finally {
    clearInterval(telling)
  }
  await told(runs.length)
  for (const one of runs)
    if (one.trace.length > 0)
      await insertTrace(tx, { runId: idOf(importId, one), channel: 'water', importId }, one.trace)
  for (const one of runs)
    if (one.scaleTrace.length > 0)
      await insertTrace(
        tx,
        { runId: idOf(importId, one), channel: 'scale', importId },
        one.scaleTrace.map(([s, grams]) => [s, grams / 1000]),
      )
  await recompute(tx, ids)
  const tagged = runs.flatMap((one, i) => (one.tags.length > 0 ? [ids[i]!] : []))
  if (tagged.length > 0) await showTags(tx, tagged)
  return ids
}

/** The statements that store some runs, in the order in which each finds what it points to. */
function* storing(importId: string, part: readonly RunToStore[]): Generator<SQL> {
  yield* inserting(
    run,
    part.map((one) => ({
      id: idOf(importId, one),
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
    })),
  )
  yield* inserting(
    measurement,
    part.flatMap((one) =>
      one.read.measurements.map(({ quantity, value, typed, unit }) => ({
        id: uuidv7(),
        runId: idOf(importId, one),
        quantity,
        value,
        typed,
        typedUnit: unit,
        personId: one.ids.personId,
        recordedAt: new Date(),
      })),
    ),
  )
  yield* inserting(
    event,
    part.flatMap((one) =>
      one.read.events.map(({ kind, atMs, typed, massG, waterC, reason }, i) => ({
        id: uuidv7(),
        runId: idOf(importId, one),
        seq: i + 1,
        kind,
        atMs,
        source: 'import',
        personId: one.ids.personId,
        voided: false,
        recordedAt: new Date(),
        payload: {
          typed,
          ...(massG === undefined ? {} : { massG }),
          ...(waterC === undefined ? {} : { waterC }),
          ...(kind === 'targetReached' && waterC === undefined && one.targetC !== null ? { waterC: one.targetC } : {}),
          ...(reason ? { reason } : kind === 'stopped' && one.stoppedReason ? { reason: one.stoppedReason } : {}),
        },
      })),
    ),
  )
  yield* inserting(
    runTag,
    part.flatMap((one) =>
      one.tags.map((name) => ({
        id: uuidv7(),
        runId: idOf(importId, one),
        name,
        personId: one.ids.personId,
        createdAt: new Date(),
      })),
    ),
  )
  yield* inserting(
    decision,
    part.flatMap((one) =>
      one.decisions.map(({ question, answer }) => ({
        id: uuidv7(),
        runId: idOf(importId, one),
        question,
        answer,
        personId: one.ids.personId,
        recordedAt: new Date(),
      })),
    ),
  )
}
