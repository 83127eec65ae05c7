import { sql, type SQL } from 'drizzle-orm'
import type { Connection } from '../database/connection'
import { runSummary } from '../database/schema'
import type { RunSummary } from './runLine'

const set = (column: string) => sql.raw(`excluded.${column}`)

/** Writes rows of the logbook. @param seenStale what became stale after it stays so */
export async function keepSummaries(
  db: Connection,
  rows: readonly (RunSummary & { meanKey?: string | null; staleSince?: SQL })[],
  seenStale: string | null = null,
): Promise<void> {
  if (rows.length === 0) return
  const staleSince = sql`case when ${runSummary.staleSince} > ${seenStale ?? '-infinity'}::timestamptz then ${runSummary.staleSince} end`
  const ordered = [...rows].sort((a, b) => (a.runId < b.runId ? -1 : 1))
  await db
    .insert(runSummary)
    .values(ordered)
    .onConflictDoUpdate({
      target: runSummary.runId,
      set: {
        startedAt: set('started_at'),
        day: set('day'),
        origin: set('origin'),
        voided: set('voided'),
        setupId: set('setup_id'),
        setup: set('setup'),
        placeId: set('place_id'),
        place: set('place'),
        fuelId: set('fuel_id'),
        fuel: set('fuel'),
        methodId: set('method_id'),
        method: set('method'),
        personId: set('person_id'),
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
