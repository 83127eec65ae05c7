/** Runs that boiled, as measured, with what they were burned in. */
import { sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { readingOf } from './readingOf'

export interface MeasuredRun {
  id: string
  setupId: string
  setup: string
  gPerL: number
  waterKg: number | null
  startC: number | null
  windMS: number | null
  altitudeM: number | null
}

const MOST = 5000

/** The newest of a fuel and kind of test; rehearsed, published, void and impossible ones are none. */
export async function measuredRuns(
  db: Connection,
  { fuel, kind }: { fuel: string; kind: string },
): Promise<MeasuredRun[]> {
  const { rows } = await db.execute<MeasuredRun & Record<string, unknown>>(sql`
    select r.id, s.setup_id as "setupId", s.setup, s.g_per_l as "gPerL",
      case when water < 0.02 then water * 1000 else water end as "waterKg", "startC", "windMS",
      p.altitude_m as "altitudeM"
    from run_summary s
    join run r on r.id = s.run_id
    join fuel_batch b on b.id = r.fuel_batch_id
    join fuel f on f.id = b.fuel_id
    left join place_version p on p.id = r.place_version_id
    cross join lateral (select ${readingOf(sql`r.id`, 'water')} as water, ${readingOf(sql`r.id`, 'waterStart')} as "startC",
      ${readingOf(sql`r.id`, 'wind')} as "windMS") as readings
    where f.kind = ${fuel} and s.origin = 'measured' and not s.voided and s.g_per_l is not null
      and s.line->>'kind' = ${kind} and not ('impossible' = any(s.remarks)) and not ('contradictory' = any(s.remarks))
    order by s.started_at desc limit ${MOST}`)
  return rows
}
