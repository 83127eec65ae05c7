/** Whether a database is filled, and with what. */
import { eq } from 'drizzle-orm'
import type { Connection } from '../database/connection'
import { person, workspace } from '../database/schema'

export async function hasPeople(db: Connection): Promise<boolean> {
  const existing = await db.select({ id: person.id }).from(person).limit(1)
  return existing.length > 0
}

/** The demonstration is in it whole. */
export async function markLoaded(tx: Connection): Promise<void> {
  await tx.update(workspace).set({ loaded: true }).where(eq(workspace.only, true))
}
