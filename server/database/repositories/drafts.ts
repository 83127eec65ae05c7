/** Drafts: one row each, the newest text. */
import { desc, eq } from 'drizzle-orm'
import type { Draft, SentDraft } from '../../../shared/draft'
import type { Connection, Database } from '../connection'
import { hashOf } from '../hash'
import { draft, run } from '../schema'

const toDraft = (row: typeof draft.$inferSelect): Draft => ({ ...row, updatedAt: row.updatedAt.toISOString() })
const LIMIT = 20

export async function listDrafts(db: Connection): Promise<Draft[]> {
  return (await db.select().from(draft).orderBy(desc(draft.updatedAt)).limit(LIMIT)).map(toDraft)
}

export type KeepOutcome =
  { status: 'kept'; revision: number } | { status: 'changedElsewhere'; theirs: Draft } | { status: 'logged' }

/** Keeps a draft, unless another page changed it since this one saw it, or it has become a run. */
export async function keepDraft(db: Database, { body, revision, force }: SentDraft): Promise<KeepOutcome> {
  const { id } = body.typed
  return db.transaction(async (tx) => {
    const [logged] = await tx.select({ id: run.id }).from(run).where(eq(run.id, id))
    if (logged) return { status: 'logged' }
    const [standing] = await tx.select().from(draft).where(eq(draft.id, id)).for('update')
    if (standing && hashOf(standing.body) === hashOf(body)) return { status: 'kept', revision: standing.revision }
    if (standing && standing.revision !== revision && !force)
      return { status: 'changedElsewhere', theirs: toDraft(standing) }
    const next = { body, revision: (standing?.revision ?? 0) + 1, updatedAt: new Date() }
    await tx
      .insert(draft)
      .values({ id, ...next })
      .onConflictDoUpdate({ target: draft.id, set: next })
    return { status: 'kept', revision: next.revision }
  })
}

export async function dropDraft(db: Connection, id: string): Promise<void> {
  await db.delete(draft).where(eq(draft.id, id))
}
