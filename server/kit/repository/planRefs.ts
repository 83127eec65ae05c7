/** What of the kit stands in a study. */
import { sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'

/** How many studies need this set-up, method, fuel, place or container. */
export async function studiesWith(db: Connection, id: string): Promise<number> {
  const { rows } = await db.execute<{ count: number }>(sql`
    select count(*)::int as count from study s
    where ${id} in (s.held->>'methodId', s.held->>'fuelBatchId', s.held->>'placeId')
      or s.days->'containerIds' ? ${id}
      or exists (select 1 from arm a join setup_version v on v.id = a.setup_version_id
        where a.study_id = s.id and v.setup_id = ${id}::uuid)`)
  return rows[0]!.count
}
