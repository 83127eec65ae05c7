/**
 * A file that was chosen becomes rows that wait: read once, in a thread of its own, kept until they are stored or
 * thrown away.
 */
import { problemText, type R } from '../../core/result'
import { IMPORT } from '../../shared/limits'
import type { Connection, Database } from '../database/connection'
import { invalidAt, saved, type Outcome } from '../kit/outcome'
import { inThread, TooMuch } from '../workers/pool'
import { chunkRows, firstChunks, insertChunk } from './repository/chunks'
import { importRow, insertImport } from './repository/imports'
import { CHUNK_ROWS, type StagedFile } from './stagedFile'

/** Sent twice under one id, it is there once. */
export async function stageImport(
  db: Database,
  { id, name, bytes, signal }: { id: string; name: string; bytes: Buffer; signal?: AbortSignal },
): Promise<Outcome<{ id: string }>> {
  if ((await importRow(db, id)) !== null) return saved({ id })
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
    await insertImport(tx, { ...file, ...about })
    for (const { sheet, seq, json } of chunks) await insertChunk(tx, { importId: file.id, sheet, seq, json })
  })
}

/** The rows of a sheet as they came, a chunk at a time, with the number of the first. */
async function* chunksOf<T>(
  db: Connection,
  importId: string,
  sheet: number,
): AsyncGenerator<{ first: number; rows: T[] }> {
  for (let seq = 0; ; seq++) {
    const rows = await chunkRows(db, { importId, sheet, seq })
    if (rows === null) return
    yield { first: seq * CHUNK_ROWS, rows: rows as T[] }
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
  return (await firstChunks(db, importId)) as string[][][]
}
