/**
 * Rows of many new runs before their figures: found, filtered and sorted at once, worked out with their series later.
 */
import type { Connection } from '../database/connection'
import { findRuns } from './repository/findRuns'
import { keepSummaries } from './repository/keepSummaries'
import { summaryOf, unanswered } from './runLine'

const AT_A_TIME = 500

export async function bareSummaries(tx: Connection, ids: readonly string[]): Promise<void> {
  for (let from = 0; from < ids.length; from += AT_A_TIME) {
    const runs = await findRuns(tx, ids.slice(from, from + AT_A_TIME), { traces: false })
    await keepSummaries(
      tx,
      runs.map(({ record, stored }) => summaryOf(record, stored, unanswered(record.kind))),
    )
  }
}
