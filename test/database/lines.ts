/** The lines of the logbook, all of them. */
import { listRuns } from '../../server/runs/repository/listRuns'
import { readRunList } from '../../shared/runList'
import type { RunLine } from '../../shared/runRecord'
import type { Connection } from '../../server/database/connection'

export const allLines = async (db: Connection): Promise<RunLine[]> =>
  (await listRuns(db, readRunList({ voided: 'shown', origin: 'all' }), { after: null, limit: 1000 })).lines
