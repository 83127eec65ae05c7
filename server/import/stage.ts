/**
 * A file that was chosen becomes rows that wait: read once, in a thread of its own, kept until they are stored or
 * thrown away.
 */
import { and, asc, eq, sql } from 'drizzle-orm'
import { problemText, type R } from '../../core/result'
import { IMPORT } from '../../shared/limits'
import type { Connection, Database } from '../database/connection'
import { importChunk, tableImport } from '../database/schema'
import { invalidAt, saved, type Outcome } from '../kit/outcome'
import { inThread, TooMuch } from '../workers/pool'
import { CHUNK_ROWS, type StagedFile } from './stagedFile'

/** Sent twice under one id, it is there once. */
export async function stageImport(
  db: Database,
  { id, name, bytes, signal }: { id: string; name: string; bytes: Buffer; signal?: AbortSignal },
): Promise<Outcome<{ id: string }>> {
  const [standing] = await db.select({ id: tableImport.id }).from(tableImport).where(eq(tableImport.id, id))
  if (standing) return saved({ id })
  try {
    const read = await inThread<R<StagedFile>>('stageFile', { name, bytes }, { signal, longestMs: IMPORT.longestMs })
    if (!read.ok) return invalidAt('file', problemText(read.problem))
    await keepStaged(db, { id, fileName: name, bytes: bytes.length }, read.value)
    return saved({ id })
  } catch (error) {
    if (error instanceof TooMuch)
      return invalidAt(
        'file',
        error.what === 'queue'
          ? 'Many files are being read here at this moment. Try again when they are.'
          : `${name}: it takes too much ${error.what} to read. Bring a part of it at a time. Nothing was stored.`,
      )
    throw error
  }
}

async function keepStaged(
  db: Database,
  file: { id: string; fileName: string; bytes: number },
  { chunks, ...about }: StagedFile,
): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.insert(tableImport).values({ ...file, ...about })
    for (const { sheet, seq, json } of chunks) {
      await tx.execute(
        sql`insert into ${importChunk} (import_id, sheet, seq, rows) values (${file.id}, ${sheet}, ${seq}, ${Buffer.from(json).toString('utf8')}::jsonb)`,
      )
    }
  })
}

/** The rows of a sheet as they came, a chunk at a time, with the number of the first. */
async function* chunksOf<T>(
  db: Connection,
  importId: string,
  sheet: number,
): AsyncGenerator<{ first: number; rows: T[] }> {
  for (let seq = 0; ; seq++) {
    const [chunk] = await db
      .select({ rows: importChunk.rows })
      .from(importChunk)
      .where(and(eq(importChunk.importId, importId), eq(importChunk.sheet, sheet), eq(importChunk.seq, seq)))
    if (!chunk) return
    yield { first: seq * CHUNK_ROWS, rows: chunk.rows as T[] }
  }
}

export async function rowsOf<T>(db: Connection, importId: string, sheet: number, most = Infinity): Promise<T[]> {
  const rows: T[] = []
  for await (const chunk of chunksOf<T>(db, importId, sheet)) {
    rows.push(...chunk.rows)
    if (rows.length >= most) break
  }
  return rows
}

/** The first rows of every sheet. */
export async function headsOf(db: Connection, importId: string): Promise<string[][][]> {
  const first = await db
    .select({ sheet: importChunk.sheet, rows: importChunk.rows })
    .from(importChunk)
    .where(and(eq(importChunk.importId, importId), eq(importChunk.seq, 0)))
    .orderBy(asc(importChunk.sheet))
  return first.map((one) => one.rows as string[][])
}
