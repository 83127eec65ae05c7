/** Rows of a table become runs: all in one transaction, many at a time. */
import { decisionRows, eventRows, measurementRows, runRow, tagRows, type RunToStore } from './runRows'
import type { SQL } from 'drizzle-orm'
import { v5 as uuidv5 } from 'uuid'
import type { Connection } from '../database/connection'
import { inserting, inTurn } from '../database/bulkInsert'
import { decision, event, measurement, run, runTag } from '../database/schema'
import { insertTrace } from '../database/repositories/traces'
import { recompute } from '../runs/recompute'
import { showTags } from '../runs/manyRuns'

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
  const rowsOf = <T>(make: (runId: string, one: RunToStore) => T[]): T[] =>
    part.flatMap((one) => make(idOf(importId, one), one))
  yield* inserting(
    run,
    rowsOf((runId, one) => [runRow(runId, importId, one)]),
  )
  yield* inserting(measurement, rowsOf(measurementRows))
  yield* inserting(event, rowsOf(eventRows))
  yield* inserting(runTag, rowsOf(tagRows))
  yield* inserting(decision, rowsOf(decisionRows))
}
