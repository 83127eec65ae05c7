/**
 * The event rows of the runs on the bench. They are only ever added to, each run's by its own numbers, one transaction
 * after another: a process reads a row once, and six lanes pressed for half an hour cost no more than new ones.
 */
import { and, asc, eq, gte, or } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { byKey } from '../../database/byKey'
import { event } from '../../database/schema'

const COLUMNS = {
  id: event.id,
  runId: event.runId,
  seq: event.seq,
  kind: event.kind,
  atMs: event.atMs,
  deviceId: event.deviceId,
  source: event.source,
  payload: event.payload,
  supersedesId: event.supersedesId,
  voided: event.voided,
}
export type EventRow = Pick<typeof event.$inferSelect, keyof typeof COLUMNS>

/** Read so far, by run; the runs asked for longest ago go. */
const known = new Map<string, readonly EventRow[]>()
const MOST_RUNS = 24

/** By run, each in the order of its numbers. */
export async function eventRows(db: Connection, runIds: readonly string[]): Promise<Map<string, readonly EventRow[]>> {
  if (runIds.length === 0) return new Map()
  // As it stands now: another asking may go on meanwhile.
  const before = new Map(runIds.map((runId) => [runId, known.get(runId) ?? []]))
  const newer = byKey(await rowsFrom(db, before), (row) => row.runId)
  // The last that was read must still be there: a transaction that was undone, or another database, has others.
  const others = new Map(
    runIds
      .filter((runId) => newer.get(runId)?.[0]?.id !== before.get(runId)!.at(-1)?.id && before.get(runId)!.length > 0)
      .map((runId) => [runId, [] as EventRow[]]),
  )
  const anew = others.size > 0 ? byKey(await rowsFrom(db, others), (row) => row.runId) : new Map<string, EventRow[]>()
  return new Map(
    runIds.map((runId) => {
      const rows = others.has(runId)
        ? (anew.get(runId) ?? [])
        : [...before.get(runId)!.slice(0, -1), ...(newer.get(runId) ?? [])]
      keep(runId, rows)
      return [runId, rows]
    }),
  )
}

/** From the last known row on, that row too; of a run of which none is known, all. */
async function rowsFrom(db: Connection, before: ReadonlyMap<string, readonly EventRow[]>): Promise<EventRow[]> {
  const parts = [...before].map(([runId, rows]) =>
    rows.length === 0 ? eq(event.runId, runId) : and(eq(event.runId, runId), gte(event.seq, rows.at(-1)!.seq)),
  )
  return db
    .select(COLUMNS)
    .from(event)
    .where(or(...parts))
    .orderBy(asc(event.seq))
}

function keep(runId: string, rows: readonly EventRow[]): void {
  known.delete(runId)
  known.set(runId, rows)
  const [oldest] = known.keys()
  if (known.size > MOST_RUNS) known.delete(oldest!)
}
