/**
 * What was read, marked and decided of runs, as it stands: what was corrected is superseded, never overwritten. A run's
 * facts come as one list each, which is a third of the time of a row for each fact.
 */
import { sql } from 'drizzle-orm'
import type { EventKind } from '../../../core/run/events'
import type { MeasuredQuantity } from '../../../shared/measuredQuantity'
import type { Connection } from '../../database/connection'
import { isCurrent } from '../../database/repositories/current'
import { decision, event, measurement, type EventPayload } from '../../database/schema'

interface MeasurementFact {
  quantity: MeasuredQuantity
  value: number
  typed: string
  typedUnit: string
  correction: number | null
  instrumentVersionId: string | null
}
interface EventFact {
  id: string
  kind: EventKind
  atMs: number
  payload: EventPayload
}
export interface RunFacts {
  measurements: MeasurementFact[]
  events: EventFact[]
  /** The newest answer to each question. */
  decided: Map<string, string>
}

type Listed<T extends unknown[]> = { id: string; list: T[] }
const among = (ids: readonly string[]) => sql`= any(${sql.param([...ids])}::uuid[])`

/** @returns what gives each run's facts */
export async function factsOfRuns(
  db: Connection,
  ids: readonly string[],
  { events: withEvents }: { events: boolean },
): Promise<(id: string) => RunFacts> {
  const measurements = await measurementsOf(db, ids)
  const events = withEvents ? await eventsOf(db, ids) : new Map<string, EventFact[]>()
  const decisions = await decisionsOf(db, ids)
  return (id) => ({
    measurements: measurements.get(id) ?? [],
    events: events.get(id) ?? [],
    decided: decisions.get(id) ?? new Map(),
  })
}

type MeasurementList = [MeasuredQuantity, number, string, string, number | null, string | null]
async function measurementsOf(db: Connection, ids: readonly string[]): Promise<Map<string, MeasurementFact[]>> {
  const { rows } = await db.execute<Listed<MeasurementList>>(sql`
    select m.run_id as id, json_agg(json_build_array(
      m.quantity, m.value, m.typed, m.typed_unit, m.correction, m.instrument_version_id) order by m.recorded_at) as list
    from ${measurement} m
    where m.run_id ${among(ids)} and ${isCurrent(sql`m.id`, measurement, among(ids))} group by m.run_id`)
  return new Map(
    rows.map(({ id, list }) => [
      id,
      list.map(([quantity, value, typed, typedUnit, correction, instrumentVersionId]) => ({
        quantity,
        value,
        typed,
        typedUnit,
        correction,
        instrumentVersionId,
      })),
    ]),
  )
}

type EventList = [string, EventKind, number, EventPayload]
async function eventsOf(db: Connection, ids: readonly string[]): Promise<Map<string, EventFact[]>> {
  const { rows } = await db.execute<Listed<EventList>>(sql`
    select e.run_id as id, json_agg(json_build_array(e.id, e.kind, e.at_ms, e.payload) order by e.at_ms, e.seq) as list
    from ${event} e
    where e.run_id ${among(ids)} and not e.voided and ${isCurrent(sql`e.id`, event, among(ids))} group by e.run_id`)
  return new Map(
    rows.map((row) => [row.id, row.list.map(([id, kind, atMs, payload]) => ({ id, kind, atMs, payload }))]),
  )
}

async function decisionsOf(db: Connection, ids: readonly string[]): Promise<Map<string, Map<string, string>>> {
  const { rows } = await db.execute<Listed<[string, string]>>(sql`
    select d.run_id as id, json_agg(json_build_array(d.question, d.answer) order by d.recorded_at) as list
    from ${decision} d where d.run_id ${among(ids)} group by d.run_id`)
  return new Map(rows.map(({ id, list }) => [id, new Map(list)]))
}
