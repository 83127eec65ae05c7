/** Storing what was staged: whole or not at all, told as it goes, by one process at a time. */
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { invalidAt, notFound, saved, type Outcome, type Refused } from '../kit/outcome'
import { findPerson } from '../kit/repository/people'
import { deleteChunks } from './repository/chunks'
import {
  changeImport,
  importRow,
  lockImport,
  markStored,
  newestOfFile,
  putBack,
  tryLockImport,
} from './repository/imports'
import { Refusal, storeTable, storeTrace, type StoreOptions } from './storeRows'

/**
 * Begins: answers once it is known that it can go on, and goes on by itself.
 * @param storing stores what was staged; the server has it done in a thread
 * @returns `work` ends when all is stored, or nothing is
 */
export async function storeImport(
  db: Database,
  id: string,
  options: StoreOptions,
  nowMs: number,
  storing: () => Promise<void> = () => storeStaged(db, id, options, nowMs),
): Promise<{ outcome: Outcome<null>; work: Promise<void> | null }> {
  const stands = await beginning(db, id, options)
  if (stands !== null) return { outcome: stands, work: null }
  const work = storing().catch(async (error: unknown) => {
    await putBack(db, id, 'It broke off while it was stored. Nothing of it was kept; store it again.')
    throw error
  })
  return { outcome: saved(null), work }
}

/** What was marked as being stored is stored, or put back with its trouble in words. */
export async function storeStaged(db: Database, id: string, options: StoreOptions, nowMs: number): Promise<void> {
  await db
    .transaction(async (tx) => {
      await lockImport(tx, id)
      // It may have waited so long for its turn that it was taken for abandoned, and begun again.
      if ((await importRow(tx, id))?.state !== 'storing') return
      const told = (done: number) => changeImport(db, id, { done })
      const outcome =
        options.mapping.what === 'trace'
          ? await storeTrace(tx, id, options.mapping.mapping)
          : await storeTable(tx, id, options.mapping.mapping, options, nowMs, told)
      await markStored(tx, id, outcome)
      await deleteChunks(tx, id)
    })
    .catch(async (error: unknown) => {
      if (!(error instanceof Refusal)) throw error
      await putBack(db, id, error.refused.problems.map((problem) => problem.text).join(' '))
    })
}

/** Null: it may begin, and is marked so. */
async function beginning(
  db: Database,
  id: string,
  { mapping, personId, again }: StoreOptions,
): Promise<Refused | null> {
  return db.transaction(async (tx): Promise<Refused | null> => {
    const row = await importRow(tx, id, true)
    if (row === null) return notFound('import')
    if (row.state === 'stored' || row.state === 'undone')
      return invalidAt('', 'This was stored already. Choose the file anew to bring it in again.')
    if (row.state === 'storing' && !(await isAbandoned(tx, row)))
      return invalidAt('', 'This is being stored at this moment.')
    if (mapping.what === 'runs' && !(isUuid(personId) && (await findPerson(tx, personId))))
      return invalidAt('personId', 'Who brings it in: choose one from the list.')
    const alike = await storedAlike(tx, row)
    if (alike !== null && !again)
      return invalidAt(
        'again',
        `The same file came in before (${alike.fileName}, ${alike.stored} stored). Tick that it is meant, or undo that one first.`,
      )
    await changeImport(tx, id, {
      state: 'storing',
      storingSince: new Date(),
      done: 0,
      trouble: '',
      mapping,
      personId: isUuid(personId) ? personId : null,
    })
    return null
  })
}

/** From the mark that it is stored to its lock there is a moment. */
const LOCK_WITHIN_MS = 5000

/** A process that ended while it stored let go of its lock, and nothing of it was kept. */
export async function isAbandoned(
  tx: Connection,
  { id, storingSince }: { id: string; storingSince: Date | null },
): Promise<boolean> {
  if (storingSince !== null && Date.now() - storingSince.getTime() < LOCK_WITHIN_MS) return false
  return tryLockImport(tx, id)
}

export async function storedAlike(
  db: Connection,
  { id, fileHash }: { id: string; fileHash: string },
): Promise<{ id: string; fileName: string; storedAt: string; stored: number } | null> {
  const row = await newestOfFile(db, { id, fileHash })
  return row === null
    ? null
    : { id: row.id, fileName: row.fileName, storedAt: row.storedAt!.toISOString(), stored: row.stored }
}
