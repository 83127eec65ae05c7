/**
 * What a flat table writes of runs. Read narrowly, facts as words: a hundred thousand are asked for at once, and read
 * whole each takes seven times as long.
 */
import { sql } from 'drizzle-orm'
import type { EventKind } from '../../../core/run/events'
import type { MeasuredQuantity } from '../../../shared/measuredQuantity'
import type { TableFigures, TableRecord } from '../../../shared/runTable'
import type { Connection } from '../../database/connection'
import { isCurrent } from '../../database/repositories/current'
import {
  container,
  decision,
  event,
  fuel,
  fuelBatch,
  measurement,
  method,
  methodVersion,
  person,
  place,
  placeVersion,
  run,
  runSummary,
  setup,
  setupVersion,
} from '../../database/schema'

export interface TableRun {
  record: TableRecord
  /** Null: it has no row in the logbook yet. */
  figures: TableFigures | null
}

interface Row extends Omit<TableRecord, 'startedAt' | 'measurements' | 'events'> {
  startedMs: number
  /** `quantity value unit`, a line each; null: none. */
  readings: string | null
  /** `kind atMs`, a line each, in their order; null: none. */
  marks: string | null
  stoppedReason: string | null
}
/** All null: it has no row in the logbook yet. */
type FiguresRow = { [K in keyof TableFigures]: TableFigures[K] | null }

/** In the order asked for; an id that is no run's is left out. */
export async function tableRuns(db: Connection, ids: readonly string[]): Promise<TableRun[]> {
  if (ids.length === 0) return []
  const { rows } = await db.execute<Row & FiguresRow & Record<string, unknown>>(sql`
    select r.id, (extract(epoch from r.started_at) * 1000)::float8 as "startedMs", r.zone, r.origin, r.kind,
      m.name as method, s.name as setup, p.name as place,
      f.name as fuel, b.name as batch, c.name as container, who.name as person, r.setting, r.state, r.break_in as "breakIn", r.notes,
      coalesce(${newestAnswer()} = 'shareOfBurnTime', false) as "takeBurnShare",
      (${currentReadings()}) as readings, marked.marks, marked.stopped_reason as "stoppedReason", w.tags,
      w.time_to_boil_s as "timeToBoilS", w.g_per_l as "gPerL", w.normalised_g_per_l as "normalisedGPerL", w.efficiency,
      w.burn_rate_g_per_min as "burnRateGPerMin", w.firepower_w as "firepowerW", said.*
    from unnest(${sql.param([...ids])}::uuid[]) with ordinality as asked (id, place)
      join ${run} r on r.id = asked.id
      join ${setupVersion} sv on sv.id = r.setup_version_id join ${setup} s on s.id = sv.setup_id
      join ${person} who on who.id = r.person_id
      left join ${placeVersion} pv on pv.id = r.place_version_id left join ${place} p on p.id = pv.place_id
      left join ${fuelBatch} b on b.id = r.fuel_batch_id left join ${fuel} f on f.id = b.fuel_id
      left join ${container} c on c.id = r.container_id
      left join ${methodVersion} mv on mv.id = r.method_version_id left join ${method} m on m.id = mv.method_id
      left join ${runSummary} w on w.run_id = r.id
      left join lateral jsonb_to_record(w.line) as said ("normalisedU" float8, status text, ended text, "worstFlag" json) on true
      left join lateral (${currentMarks()}) marked on true
    order by asked.place`)
  return rows.map(tableRunOf)
}

const newestAnswer = () =>
  sql`(select d.answer from ${decision} d where d.run_id = r.id and d.question = 'fuelToBoil' order by d.recorded_at desc limit 1)`
const currentReadings = () =>
  sql`select string_agg(m.quantity || ' ' || m.value || ' ' || m.typed_unit, e'\n') from ${measurement} m
    where m.run_id = r.id and ${isCurrent(sql`m.id`, measurement, sql`= r.id`)}`
const currentMarks = () =>
  sql`select string_agg(e.kind || ' ' || e.at_ms, e'\n' order by e.at_ms, e.seq) as marks,
      (array_agg(e.payload->>'reason' order by e.at_ms, e.seq) filter (where e.kind = 'stopped'))[1] as stopped_reason
    from ${event} e where e.run_id = r.id and not e.voided and ${isCurrent(sql`e.id`, event, sql`= r.id`)}`

function tableRunOf(row: Row & FiguresRow): TableRun {
  return {
    record: {
      id: row.id,
      startedAt: new Date(row.startedMs).toISOString(),
      zone: row.zone,
      origin: row.origin,
      kind: row.kind,
      method: row.method,
      setup: row.setup,
      place: row.place,
      fuel: row.fuel,
      batch: row.batch,
      container: row.container,
      person: row.person,
      setting: row.setting,
      state: row.state,
      breakIn: row.breakIn,
      takeBurnShare: row.takeBurnShare,
      notes: row.notes,
      measurements: words(row.readings).map(([quantity, value, unit]) => ({
        quantity: quantity as MeasuredQuantity,
        value: Number(value),
        unit: unit!,
      })),
      events: words(row.marks).map(([kind, atMs]) => ({
        kind: kind as EventKind,
        atMs: Number(atMs),
        reason: kind === 'stopped' ? row.stoppedReason : null,
      })),
    },
    figures: row.status === null ? null : (row as TableFigures),
  }
}

const words = (lines: string | null): string[][] => lines?.split('\n').map((line) => line.split(' ')) ?? []
