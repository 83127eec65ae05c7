/** A whole import taken back: its runs are void with the reason, its traces out, the kit it made offered no more. */
import { MAX_TEXT } from '../../shared/limits'
import { isUuid } from '../../shared/uuid'
import type { Database } from '../database/connection'
import { invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { findPerson } from '../kit/repository/people'
import { recompute } from '../runs/recompute'
import { changeImport, importRow } from './repository/imports'
import { retireUnused } from './repository/retire'
import { takeTracesOut, voidRuns } from './repository/undo'

export async function undoImport(
  db: Database,
  id: string,
  { personId, reason }: { personId: string; reason: string },
): Promise<Outcome<null>> {
  return db.transaction(async (tx): Promise<Outcome<null>> => {
    const row = await importRow(tx, id, true)
    if (row === null) return notFound('import')
    if (row.state === 'undone') return saved(null)
    if (row.state !== 'stored') return invalidAt('', 'This is not stored: there is nothing to undo.')
    if (!isUuid(personId) || (await findPerson(tx, personId)) === null)
      return invalidAt('personId', 'Who: choose one from the list.')
    const why = reason.trim()
    if (why === '' || why.length > MAX_TEXT.reason)
      return invalidAt('reason', `Reason: expected 1 to ${MAX_TEXT.reason} characters. Type why.`)
    const runs = await voidRuns(tx, id, { personId, reason: `Import undone: ${why}`.slice(0, MAX_TEXT.reason) })
    const others = await takeTracesOut(tx, id)
    if (row.made) await retireUnused(tx, row.made)
    await changeImport(tx, id, { state: 'undone', undoneAt: new Date() })
    await recompute(tx, [...runs, ...others])
    return saved(null)
  })
}
