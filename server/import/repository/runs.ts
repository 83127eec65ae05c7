/** Runs that a table brings, and those that are here already. */
import { and, eq, inArray, isNull, type SQL } from 'drizzle-orm'
import { inserting } from '../../database/bulkInsert'
import type { Connection } from '../../database/connection'
import { decision, event, measurement, run, runTag, trace, type RunState } from '../../database/schema'

/** Those of these ids that are runs here. */
export async function knownRuns(db: Connection, ids: readonly string[]): Promise<Set<string>> {
  if (ids.length === 0) return new Set()
  const rows = await db
    .select({ id: run.id })
    .from(run)
    .where(inArray(run.id, [...ids]))
  return new Set(rows.map((row) => row.id))
}

interface Rows {
  runs: (typeof run.$inferInsert)[]
  measurements: (typeof measurement.$inferInsert)[]
  events: (typeof event.$inferInsert)[]
  tags: (typeof runTag.$inferInsert)[]
  decisions: (typeof decision.$inferInsert)[]
}
/** The statements that store some runs, in the order in which each finds what it points to. */
export function* insertingRuns({ runs, measurements, events, tags, decisions }: Rows): Generator<SQL> {
  yield* inserting(run, runs)
  yield* inserting(measurement, measurements)
  yield* inserting(event, events)
  yield* inserting(runTag, tags)
  yield* inserting(decision, decisions)
}

export async function runState(db: Connection, id: string): Promise<RunState | null> {
  const [row] = await db.select({ state: run.state }).from(run).where(eq(run.id, id))
  return row?.state ?? null
}

/** What its traces follow. */
export async function channelsOf(db: Connection, runId: string): Promise<string[]> {
  const rows = await db
    .select({ channel: trace.channel })
    .from(trace)
    .where(and(eq(trace.runId, runId), isNull(trace.removedAt)))
  return rows.map((row) => row.channel)
}
