/** Imports: what was staged, stored or undone. */
import { and, desc, eq, inArray, lt, ne, sql } from 'drizzle-orm'
import type { ImportState, StoredMapping } from '../../../shared/tableImport/imports'
import type { Connection } from '../../database/connection'
import { tableImport } from '../../database/schema'

export type ImportRow = typeof tableImport.$inferSelect

/** Newest first. */
export const importRows = (db: Connection, most: number): Promise<ImportRow[]> =>
  db.select().from(tableImport).orderBy(desc(tableImport.createdAt)).limit(most)

/** @param lock until the transaction ends */
export async function importRow(db: Connection, id: string, lock = false): Promise<ImportRow | null> {
  const query = db.select().from(tableImport).where(eq(tableImport.id, id))
  const [row] = lock ? await query.for('update') : await query
  return row ?? null
}

export async function insertImport(tx: Connection, row: typeof tableImport.$inferInsert): Promise<void> {
  await tx.insert(tableImport).values(row)
}

export async function changeImport(
  db: Connection,
  id: string,
  changed: Partial<typeof tableImport.$inferInsert>,
): Promise<void> {
  await db.update(tableImport).set(changed).where(eq(tableImport.id, id))
}

export async function markStored(
  tx: Connection,
  id: string,
  { stored, leftOut, made }: Pick<ImportRow, 'stored' | 'leftOut' | 'made'>,
): Promise<void> {
  await tx
    .update(tableImport)
    .set({ state: 'stored', stored, leftOut, made, trouble: '', storedAt: sql`now()` })
    .where(eq(tableImport.id, id))
}

/** One that was being stored waits again, with what troubled it. */
export async function putBack(db: Connection, id: string, trouble: string): Promise<void> {
  await db
    .update(tableImport)
    .set({ state: 'staged', done: 0, trouble })
    .where(and(eq(tableImport.id, id), eq(tableImport.state, 'storing')))
}

/** The newest stored one of the same file. */
export async function newestOfFile(
  db: Connection,
  { id, fileHash }: Pick<ImportRow, 'id' | 'fileHash'>,
): Promise<ImportRow | null> {
  const [row] = await db
    .select()
    .from(tableImport)
    .where(
      and(
        eq(tableImport.fileHash, fileHash),
        eq(tableImport.state, 'stored' satisfies ImportState),
        ne(tableImport.id, id),
      ),
    )
    .orderBy(desc(tableImport.storedAt))
    .limit(1)
  return row ?? null
}

/** How the newest stored table of the same headings was read. */
export async function newestOfHeadings(
  db: Connection,
  { id, headingsHash, kind }: Pick<ImportRow, 'id' | 'headingsHash' | 'kind'>,
): Promise<{ mapping: StoredMapping; fileName: string; at: string } | null> {
  const [row] = await db
    .select()
    .from(tableImport)
    .where(
      and(
        eq(tableImport.headingsHash, headingsHash),
        eq(tableImport.kind, kind),
        inArray(tableImport.state, ['stored', 'undone']),
        ne(tableImport.id, id),
      ),
    )
    .orderBy(desc(tableImport.storedAt))
    .limit(1)
  return row?.mapping ? { mapping: row.mapping, fileName: row.fileName, at: row.storedAt!.toISOString() } : null
}

export async function deleteOldStaged(db: Connection, days: number): Promise<void> {
  await db
    .delete(tableImport)
    .where(and(eq(tableImport.state, 'staged'), lt(tableImport.createdAt, sql`now() - make_interval(days => ${days})`)))
}

/** False: none of this id is staged. */
export async function deleteStaged(db: Connection, id: string): Promise<boolean> {
  const gone = await db
    .delete(tableImport)
    .where(and(eq(tableImport.id, id), eq(tableImport.state, 'staged')))
    .returning({ id: tableImport.id })
  return gone.length > 0
}

/** Of nothing else here. */
const LOCK_SPACE = 31

/** Held by who stores it, until the transaction ends. */
export async function lockImport(tx: Connection, id: string): Promise<void> {
  await tx.execute(sql`select pg_advisory_xact_lock(${LOCK_SPACE}, hashtext(${id}))`)
}

/** Takes the lock where nobody holds it. */
export async function tryLockImport(tx: Connection, id: string): Promise<boolean> {
  const { rows } = await tx.execute<{ free: boolean }>(
    sql`select pg_try_advisory_xact_lock(${LOCK_SPACE}, hashtext(${id})) as free`,
  )
  return rows[0]!.free
}
