/** A study's runs drawn anew, or moved by hand; and what was done to it stays on record. */
import { v7 as uuidv7 } from 'uuid'
import { brokenDesign } from '../../core/plan/withinDesign'
import type { StudyPage, TypedStudy } from '../../shared/plan'
import type { Connection } from '../database/connection'
import { changedMeanwhile, invalidAt, notFound, saved, type Outcome, type Refused } from '../kit/outcome'
import { listPeople } from '../kit/repository/people'
import { drawAnew } from './drawStudy'
import {
  burnedFor,
  insertChange,
  lockStudy,
  plannedRows,
  setPosition,
  updateStudy,
  type StudyRow,
} from './repository/studies'
import { studyPage } from './studyPage'

export const seenBefore = (): Refused =>
  changedMeanwhile('This study was changed on another page since you opened it. Reload it: nothing of it is lost.')

export async function pageOf(db: Connection, id: string): Promise<Outcome<StudyPage>> {
  const page = await studyPage(db, id)
  return page === null ? notFound('study') : saved(page)
}

export const noteChange = (tx: Connection, { id, personId }: Pick<TypedStudy, 'id' | 'personId'>, what: string) =>
  insertChange(tx, { id: uuidv7(), studyId: id, personId, what })

interface Asked {
  revision?: unknown
  personId?: unknown
  order?: unknown
}
/** Who it was, where that is a tester of this bench. */
const personOf = async (db: Connection, { personId }: Asked): Promise<string | null> =>
  (await listPeople(db)).find(({ id }) => id === personId)?.id ?? null

/** Another order is drawn of what was not burned; which one, and by whom, stays on record. */
export async function reshuffle(db: Connection, id: string, input: Asked): Promise<Outcome<StudyPage>> {
  return changed(db, id, input, async (tx, standing) => {
    const burned = await burnedFor(tx, id)
    const planned = await plannedRows(tx, id)
    const seed = standing.seed + 1
    await updateStudy(tx, id, { seed })
    await drawAnew(
      tx,
      standing,
      seed,
      planned.filter((one) => burned.has(one.id)),
    )
    await noteChange(
      tx,
      { id, personId: await personOf(tx, input) },
      `Reshuffled: shuffle ${standing.seed} became ${seed}.`,
    )
    return null
  })
}

/** Runs in another order, as far as the design allows; those that were burned stay where they are. */
export async function reorder(db: Connection, id: string, input: Asked): Promise<Outcome<StudyPage>> {
  return changed(db, id, input, async (tx, { levels }) => {
    const planned = new Map((await plannedRows(tx, id)).map((one) => [one.id, one]))
    const ids = Array.isArray(input.order) ? (input.order as unknown[]) : []
    const order = ids.flatMap((one) => planned.get(String(one)) ?? [])
    if (new Set(order).size !== planned.size || ids.length !== planned.size)
      return 'The order names other runs than the study has. Reload it and move again.'
    const burned = await burnedFor(tx, id)
    if (order.some((one, i) => burned.has(one.id) && one.position !== i))
      return 'What was burned stays where it is. Move what comes after it.'
    const broken = brokenDesign(
      order.map((one) => ({ ...one, block: one.n })),
      levels,
    )
    if (broken !== null) return broken
    for (const [i, one] of order.entries()) if (one.position !== i) await setPosition(tx, one.id, i)
    await noteChange(tx, { id, personId: await personOf(tx, input) }, 'Moved by hand.')
    return null
  })
}

async function changed(
  db: Connection,
  id: string,
  { revision }: Asked,
  change: (tx: Connection, standing: StudyRow) => Promise<string | null>,
): Promise<Outcome<StudyPage>> {
  const refused = await db.transaction(async (tx) => {
    const standing = await lockStudy(tx, id)
    if (standing === null) return null
    if (standing.revision !== revision) return seenBefore()
    const why = await change(tx, standing)
    if (why !== null) return invalidAt('order', why)
    await updateStudy(tx, id, { revision: standing.revision + 1 })
    return null
  })
  return refused ?? pageOf(db, id)
}
