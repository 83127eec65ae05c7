/** A study that is not to be burned: gone where nothing of it was, else kept as it stands. */
import type { Connection } from '../database/connection'
import { notFound, saved, type Outcome } from '../kit/outcome'
import { burnedFor, lockStudy, removeStudy, updateStudy } from './repository/studies'

export async function giveUpStudy(db: Connection, id: string): Promise<Outcome<{ isGone: boolean }>> {
  return db.transaction(async (tx): Promise<Outcome<{ isGone: boolean }>> => {
    const standing = await lockStudy(tx, id)
    if (standing === null) return notFound('study')
    const isGone = (await burnedFor(tx, id)).size === 0
    if (isGone) await removeStudy(tx, id)
    else await updateStudy(tx, id, { state: 'given up', revision: standing.revision + 1 })
    return saved({ isGone })
  })
}
