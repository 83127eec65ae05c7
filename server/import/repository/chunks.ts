/** Rows of a file that wait to be stored, a chunk at a time. */
import { and, asc, eq, sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { importChunk } from '../../database/schema'

/** @param json of the rows, as bytes */
export async function insertChunk(
  tx: Connection,
  { importId, sheet, seq, json }: { importId: string; sheet: number; seq: number; json: Uint8Array },
): Promise<void> {
  await tx.execute(
    sql`insert into ${importChunk} (import_id, sheet, seq, rows)
      values (${importId}, ${sheet}, ${seq}, ${Buffer.from(json).toString('utf8')}::jsonb)`,
  )
}

/** Null: there is no such chunk. */
export async function chunkRows(
  db: Connection,
  { importId, sheet, seq }: { importId: string; sheet: number; seq: number },
): Promise<unknown[] | null> {
  const [chunk] = await db
    .select({ rows: importChunk.rows })
    .from(importChunk)
    .where(and(eq(importChunk.importId, importId), eq(importChunk.sheet, sheet), eq(importChunk.seq, seq)))
  return chunk?.rows ?? null
}

/** The first chunk of every sheet. */
export async function firstChunks(db: Connection, importId: string): Promise<unknown[][]> {
  const first = await db
    .select({ rows: importChunk.rows })
    .from(importChunk)
    .where(and(eq(importChunk.importId, importId), eq(importChunk.seq, 0)))
    .orderBy(asc(importChunk.sheet))
  return first.map((one) => one.rows)
}

export async function deleteChunks(tx: Connection, importId: string): Promise<void> {
  await tx.delete(importChunk).where(eq(importChunk.importId, importId))
}
