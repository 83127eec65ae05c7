/** What stands as seen of each measured run, with its wind and its first photo. */
import { sql } from 'drizzle-orm'
import type { ObservationScale } from '../../../shared/observation'
import type { Connection } from '../../database/connection'
import { readingOf } from './readingOf'

export interface SeenRow {
  runId: string
  setupId: string
  setup: string
  scale: ObservationScale
  step: string
  windMS: number | null
  photoId: string | null
}

const MOST = 20_000

export async function seenRows(db: Connection): Promise<SeenRow[]> {
  const { rows } = await db.execute<SeenRow & Record<string, unknown>>(sql`
    select o.run_id as "runId", s.setup_id as "setupId", s.setup, o.scale, o.step,
      ${readingOf(sql`o.run_id`, 'wind')} as "windMS",
      (select p.id from photo p where p.run_id = o.run_id and p.removed_at is null
        order by p.at_ms nulls last, p.created_at limit 1) as "photoId"
    from observation o join run_summary s on s.run_id = o.run_id
    where s.origin = 'measured' and not s.voided
      and not exists (select 1 from observation later where later.supersedes_id = o.id)
    order by s.started_at desc limit ${MOST}`)
  return rows
}
