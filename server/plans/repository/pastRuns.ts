/** What earlier runs say of those that are planned: how long they took, how they scattered, what they used. */
import { sql } from 'drizzle-orm'
import type { SetupFlameAnswer } from '../../../core/formats/answer'
import type { Setting, TestKind } from '../../../core/formats/document'
import { ALIKE_VOLUME } from '../../../core/reduce/setupMeans'
import { readingOf } from '../../comparisons/repository/readingOf'
import type { Connection } from '../../database/connection'

export interface PastRuns {
  /** From the first mark to the last [s], newest first, with the setting and the wind. */
  lengths: { s: number; setting: Setting | null; windMS: number | null }[]
  /** Of the mean that it would enter; null: it has none. */
  mean: { n: number; gPerL: number; sd: number | null } | null
  flame: SetupFlameAnswer | null
}

interface Asked {
  setupVersionId: string
  fuelBatchId: string
  kind: TestKind
  waterKg: number
}
const MOST = 60

/** Of set-ups that are heated as this version is, with this fuel. */
export async function pastRuns(db: Connection, asked: Asked): Promise<PastRuns> {
  const { rows: lengths } = await db.execute<
    PastRuns['lengths'][number] & { seriesKey: string } & Record<string, unknown>
  >(sql`
    select (s.ribbon->>'endS')::float8 as s, r.setting, r.series_key as "seriesKey",
      ${readingOf(sql`r.id`, 'wind')} as "windMS"
    from run r
    join run_summary s on s.run_id = r.id
    join setup_version v on v.id = r.setup_version_id
    join setup_version asked on asked.heat_hash = v.heat_hash
    join fuel_batch b on b.id = r.fuel_batch_id
    join fuel_batch mine on mine.fuel_id = b.fuel_id
    where asked.id = ${asked.setupVersionId} and mine.id = ${asked.fuelBatchId} and r.kind = ${asked.kind}
      and s.origin = 'measured' and not s.voided and (s.ribbon->>'endS')::float8 > 0
    order by s.started_at desc limit ${MOST}`)
  const keys = [...new Set(lengths.map(({ seriesKey }) => seriesKey))]
  if (keys.length === 0) return { lengths: [], mean: null, flame: null }
  const of = sql`series_key = any(${sql.param(keys)}::text[])`
  const { rows: means } = await db.execute<{ n: number; gPerL: number; sd: number | null }>(sql`
    select n, mean_g_per_l as "gPerL", sd_g_per_l / mean_g_per_l as sd from setup_summary
    where ${of} and kind = ${asked.kind}
      and volume_kg between ${asked.waterKg / ALIKE_VOLUME} and ${asked.waterKg * ALIKE_VOLUME}
    order by n desc limit 1`)
  const { rows: flames } = await db.execute<{ flame: SetupFlameAnswer | null }>(
    sql`select flame from series where key = any(${sql.param(keys)}::text[]) and flame is not null limit 1`,
  )
  return { lengths, mean: means[0] ?? null, flame: flames[0]?.flame ?? null }
}
