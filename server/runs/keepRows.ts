import { sql } from 'drizzle-orm'
import type { Connection } from '../database/connection'
import { runRow } from '../database/schema'
import type { RunRow } from './runLine'

/** Writes rows of the logbook. @param seenStale what became stale after it stays so */
const set = (column: string) => sql.raw(`excluded.${column}`)
export async function keepRows(
  db: Connection,
  rows: readonly (RunRow & { meanKey?: string | null })[],
  seenStale: string | null = null,
): Promise<void> {
  if (rows.length === 0) return
  const staleSince = sql`case when ${runRow.staleSince} > ${seenStale ?? '-infinity'}::timestamptz then ${runRow.staleSince} end`
  const ordered = [...rows].sort((a, b) => (a.runId < b.runId ? -1 : 1))
  await db
    .insert(runRow)
    .values(ordered)
    .onConflictDoUpdate({
      target: runRow.runId,
      set: {
        startedAt: set('started_at'),
        day: set('day'),
        origin: set('origin'),
        voided: set('voided'),
        setup: set('setup'),
        place: set('place'),
        fuel: set('fuel'),
        method: set('method'),
        person: set('person'),
        remarks: set('remarks'),
        words: set('words'),
        timeToBoilS: set('time_to_boil_s'),
        gPerL: set('g_per_l'),
        normalisedGPerL: set('normalised_g_per_l'),
        efficiency: set('efficiency'),
        burnRateGPerMin: set('burn_rate_g_per_min'),
        firepowerW: set('firepower_w'),
        line: set('line'),
        coreVersion: set('core_version'),
        meanKey: set('mean_key'),
        staleSince,
      },
    })
}
