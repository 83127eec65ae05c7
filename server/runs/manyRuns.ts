/** The service by which many runs are voided or tagged, all or none. */
import { v5 as uuidv5 } from 'uuid'
import { readManyRuns, type ManyRuns } from '../../shared/manyRuns'
import type { Connection, Database } from '../database/connection'
import { invalid, invalidAt, saved, type Outcome } from '../kit/outcome'
import { findPerson } from '../kit/repository/people'
import { recompute } from './recompute'
import {
  insertTags,
  insertVoids,
  lockListed,
  setStates,
  showTags,
  standingTags,
  takeTagsOff,
} from './repository/manyRuns'

/** `done`: those that it changed; the others were so already. */
export async function doToRuns(db: Database, input: unknown): Promise<Outcome<{ done: number }>> {
  const read = readManyRuns(input)
  if (!read.ok) return invalid(read.problems)
  const { many } = read
  return db.transaction(async (tx): Promise<Outcome<{ done: number }>> => {
    if ((await findPerson(tx, many.personId)) === null)
      return invalidAt('personId', 'Who: this one is not known here. Choose one from the list.')
    const there = await lockListed(tx, many.runIds)
    const missing = new Set(many.runIds).size - there.length
    if (missing > 0)
      return invalidAt(
        'runIds',
        `Runs: ${missing} of ${many.runIds.length} are not here any more, or stand on the bench. Nothing was changed; reload the list.`,
      )
    return saved({
      done: await (many.what === 'void' || many.what === 'unvoid'
        ? voidAll(tx, many, there)
        : tagAll(
            tx,
            many,
            there.map((one) => one.id),
          )),
    })
  })
}

async function voidAll(
  tx: Connection,
  { id, what, personId, reason }: ManyRuns,
  there: { id: string; state: string }[],
): Promise<number> {
  const wanted = what === 'void' ? ('void' as const) : ('finished' as const)
  const change = there.filter((one) => one.state !== wanted).map((one) => one.id)
  if (change.length === 0) return 0
  // Each run's own id follows from the act's: the same act again changes nothing.
  const ids = await insertVoids(
    tx,
    change.map((runId) => ({ id: uuidv5(runId, id), runId, voided: what === 'void', reason, personId })),
  )
  if (ids.length === 0) return 0
  await setStates(tx, ids, wanted)
  await recompute(tx, ids)
  return ids.length
}

async function tagAll(tx: Connection, { what, tag, personId }: ManyRuns, ids: string[]): Promise<number> {
  const standing = await standingTags(tx, ids, tag)
  const has = new Set(standing.map((one) => one.runId))
  const change = ids.filter((id) => has.has(id) === (what === 'untag'))
  if (change.length === 0) return 0
  if (what === 'tag') await insertTags(tx, change, tag, personId)
  else
    await takeTagsOff(
      tx,
      standing.map((one) => one.id),
    )
  await showTags(tx, change)
  return change.length
}
