/** Runs read whole, one or thousands: a handful of queries whatever their number. */
import { eq } from 'drizzle-orm'
import type { StoredRun } from '../../../core/formats/toRunDocument'
import type { MethodBody } from '../../../core/method/method'
import type { RunRecord } from '../../../shared/runRecord'
import { anyOf } from '../../database/anyOf'
import type { Connection } from '../../database/connection'
import { historyOf } from '../../database/repositories/corrections'
import { scaledRuns, tracesOf } from '../../database/repositories/traces'
import { run } from '../../database/schema'
import { factsOfRuns } from './factsOfRuns'
import { instrumentsOf, kitOfRuns } from './kitOfRuns'
import { recordOf, storedOf } from './mapRun'

export interface FoundRun {
  record: RunRecord
  stored: StoredRun
  method: MethodBody | null
  /** A scale followed it: its fuel to the boil may rest on that. */
  scaled: boolean
  /** What its set-up was made of, as far as heat goes. */
  heatHash: string
  /** Null: a draft of an earlier version. */
  seriesKey: string | null
  /** Void or a break-in: it stands alone, in no series. */
  apart: boolean
}

/** A run whole: its record for the page, and what the core reads. Null where there is none. */
export async function findRun(db: Connection, id: string): Promise<FoundRun | null> {
  const [found] = await findRuns(db, [id])
  if (found === undefined) return null
  return { ...found, record: { ...found.record, history: await historyOf(db, id) } }
}

/** Hash of what was first sent for this run, or null where there is no such run. */
export async function runBodyHash(db: Connection, id: string): Promise<string | null> {
  const [row] = await db.select({ hash: run.bodyHash }).from(run).where(eq(run.id, id))
  return row?.hash ?? null
}

/** Without their histories, in no order. `traces`, `events` false: as if they had none. */
export async function findRuns(
  db: Connection,
  ids: string[],
  { traces: withTraces = true, events: withEvents = true } = {},
): Promise<FoundRun[]> {
  if (ids.length === 0) return []
  const rows = await db.select().from(run).where(anyOf(run.id, ids))
  const kitOf = await kitOfRuns(db, rows)
  const factsOf = await factsOfRuns(db, ids, { events: withEvents })
  const facts = new Map(rows.map(({ id }) => [id, factsOf(id)]))
  const instruments = await instrumentsOf(db, [
    ...new Set(
      [...facts.values()].flatMap((one) => one.measurements.flatMap((each) => each.instrumentVersionId ?? [])),
    ),
  ])
  const scaled = await scaledRuns(db, ids)
  const none = new Map<string, [number, number][]>()
  const traces = withTraces ? await tracesOf(db, 'water', ids) : none
  const scaleTraces = withTraces && scaled.size > 0 ? await tracesOf(db, 'scale', [...scaled]) : none
  return rows.map((row): FoundRun => {
    const parts = {
      row,
      kit: kitOf(row),
      facts: facts.get(row.id)!,
      instruments,
      trace: traces.get(row.id) ?? [],
      scaleTrace: scaleTraces.get(row.id) ?? [],
    }
    return {
      record: recordOf(parts),
      stored: storedOf(parts),
      method: parts.kit.method?.body ?? null,
      scaled: scaled.has(row.id),
      heatHash: parts.kit.setup.heatHash,
      seriesKey: row.seriesKey,
      apart: row.seriesKey === row.id,
    }
  })
}
