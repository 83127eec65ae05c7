/** Questions that somebody keeps. */
import { and, asc, eq, isNull } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { keptQuestion } from '../../database/schema'

export type KeptRow = typeof keptQuestion.$inferSelect

export const keptRows = (db: Connection): Promise<KeptRow[]> =>
  db.select().from(keptQuestion).where(isNull(keptQuestion.removedAt)).orderBy(asc(keptQuestion.keptAt))

/** Null: there is none, or it was taken off the list. */
export async function keptRow(db: Connection, id: string): Promise<KeptRow | null> {
  const [row] = await db.select().from(keptQuestion).where(eq(keptQuestion.id, id))
  return row ?? null
}

/** The same id again is one. */
export async function insertKept(db: Connection, row: typeof keptQuestion.$inferInsert): Promise<void> {
  await db.insert(keptQuestion).values(row).onConflictDoNothing()
}

export async function updateKept(db: Connection, id: string, set: Pick<KeptRow, 'now' | 'fresh'>): Promise<void> {
  await db.update(keptQuestion).set(set).where(eq(keptQuestion.id, id))
}

/** False: there is none on the list. */
export async function removeKeptRow(db: Connection, id: string): Promise<boolean> {
  const rows = await db
    .update(keptQuestion)
    .set({ removedAt: new Date() })
    .where(and(eq(keptQuestion.id, id), isNull(keptQuestion.removedAt)))
    .returning({ id: keptQuestion.id })
  return rows.length > 0
}
