/** Rows of a table become runs: all in one transaction, many at a time. */
import { decisionRows, eventRows, measurementRows, runRow, tagRows, type RunToStore } from './runRows'
import type { SQL } from 'drizzle-orm'
import { v5 as uuidv5 } from 'uuid'
import type { Connection } from '../database/connection'
import { inTurn } from '../database/bulkInsert'
import { insertTrace } from '../database/repositories/traces'
import { insertingRuns } from './repository/runs'
import { recompute } from '../runs/recompute'
import { keysOfNew, type NewRun } from '../runs/repository/series'
import { showTags } from '../runs/repository/manyRuns'

/** A run with its id and the key of its series. */
interface Keyed {
  id: string
  seriesKey: string
  one: RunToStore
}
const AT_A_TIME = 500
const TOLD_EVERY_MS = 300

/** @param told a few times a second: how many are stored */
export async function storeRuns(
  tx: Connection,
  importId: string,
  runs: readonly RunToStore[],
  told: (done: number) => Promise<void>,
): Promise<void> {
  const keyed = await withKeys(tx, importId, runs)
  let done = 0
  function* all(): Generator<SQL> {
    for (let from = 0; from < keyed.length; from += AT_A_TIME) {
      yield* storing(importId, keyed.slice(from, from + AT_A_TIME))
      done = Math.min(keyed.length, from + AT_A_TIME)
    }
  }
  const telling = setInterval(() => void told(done).catch(() => undefined), TOLD_EVERY_MS)
  try {
    await inTurn(tx, all())
  } finally {
    clearInterval(telling)
  }
  await told(keyed.length)
  for (const { id: runId, one } of keyed) {
    await insertTrace(tx, { runId, channel: 'water', importId }, one.trace)
    await insertTrace(
      tx,
      { runId, channel: 'scale', importId },
      one.scaleTrace.map(([s, grams]) => [s, grams / 1000]),
    )
  }
  await recompute(
    tx,
    keyed.map(({ id }) => id),
  )
  const tagged = keyed.flatMap(({ id, one }) => (one.tags.length > 0 ? [id] : []))
  if (tagged.length > 0) await showTags(tx, tagged)
}

/** A run without an id gets that of its row: the same row of the same import is the same run. */
async function withKeys(tx: Connection, importId: string, runs: readonly RunToStore[]): Promise<Keyed[]> {
  const named = runs.map((one) => ({ one, id: one.id ?? uuidv5(String(one.row), importId) }))
  const facts = ({ id, one }: (typeof named)[number]): NewRun => ({
    id,
    setupVersionId: one.ids.setupVersionId,
    fuelBatchId: one.ids.fuelBatchId,
    breakIn: one.breakIn,
    origin: one.origin,
  })
  const keyOf = await keysOfNew(tx, named.map(facts))
  return named.map((each) => ({ ...each, seriesKey: keyOf(facts(each)) }))
}

function storing(importId: string, part: readonly Keyed[]): Generator<SQL> {
  const rowsOf = <T>(make: (runId: string, one: RunToStore) => T[]): T[] => part.flatMap(({ id, one }) => make(id, one))
  return insertingRuns({
    runs: part.map(({ id, seriesKey, one }) => runRow(id, importId, seriesKey, one)),
    measurements: rowsOf(measurementRows),
    events: rowsOf(eventRows),
    tags: rowsOf(tagRows),
    decisions: rowsOf(decisionRows),
  })
}
