/** A file that was chosen becomes rows that wait: read once, kept until they are stored or thrown away. */
import { and, asc, eq } from 'drizzle-orm'
import { problemText } from '../../core/result'
import type { ImportKind, SheetLine } from '../../shared/tableImport/imports'
import type { Connection, Database } from '../database/connection'
import { bulkInsert } from '../database/bulkInsert'
import { hashOf, sha256 } from '../database/hash'
import { importChunk, tableImport } from '../database/schema'
import { invalidAt, saved, type Outcome } from '../kit/outcome'
import { readFile } from './readFile'

/** Rows a chunk; also how often progress is told. */
export const CHUNK_ROWS = 500

/** Sent twice under one id, it is there once. */
export async function stageImport(db: Database, { id, name, bytes }: { id: string, name: string, bytes: Buffer }): Promise<Outcome<{ id: string }>> {
  const [standing] = await db.select({ id: tableImport.id }).from(tableImport).where(eq(tableImport.id, id))
  if (standing) return saved({ id })
  const read = await readFile(name, bytes)
  if (!read.ok) return invalidAt('file', problemText(read.problem))
  const content = read.value
  const sheets: { line: SheetLine, rows: readonly unknown[] }[] = content.kind === 'table'
    ? content.sheets.map(({ name: sheet, rows }) => ({ line: { name: sheet, rows: rows.length }, rows: rows.map(cells => cells.map(cell => cell.replaceAll('\0', '\uFFFD'))) }))
    : [{ line: { name: '', rows: content.documents.length }, rows: content.documents }]
  const headings = content.kind === 'table' ? headingsHash(content.sheets.map(sheet => sheet.rows)) : 'documents'
  await db.transaction(async (tx) => {
    await tx.insert(tableImport).values({ id, fileName: name, fileHash: sha256(bytes), bytes: bytes.length, kind: content.kind satisfies ImportKind, sheets: sheets.map(sheet => sheet.line), notes: content.notes, headingsHash: headings })
    for (const [sheet, { rows }] of sheets.entries()) {
      for (let seq = 0; seq * CHUNK_ROWS < rows.length; seq++) await bulkInsert(tx, importChunk, [{ importId: id, sheet, seq, rows: rows.slice(seq * CHUNK_ROWS, (seq + 1) * CHUNK_ROWS) }])
    }
  })
  return saved({ id })
}

/** The first row with more words than figures stands for the headings: tables that one program wrote are alike in it. */
function headingsHash(sheets: readonly (readonly (readonly string[])[])[]): string {
  return hashOf(sheets.map(rows => rows.slice(0, 20).find(row => row.filter(cell => /\p{L}{2}/u.test(cell)).length >= 2)?.map(cell => cell.trim().toLowerCase()) ?? []))
}

/** The rows of a sheet as they came, a chunk at a time, with the number of the first. */
export async function* chunksOf<T>(db: Connection, importId: string, sheet: number): AsyncGenerator<{ first: number, rows: T[] }> {
  for (let seq = 0; ; seq++) {
    const [chunk] = await db.select({ rows: importChunk.rows }).from(importChunk).where(and(eq(importChunk.importId, importId), eq(importChunk.sheet, sheet), eq(importChunk.seq, seq)))
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
  const first = await db.select({ sheet: importChunk.sheet, rows: importChunk.rows }).from(importChunk).where(and(eq(importChunk.importId, importId), eq(importChunk.seq, 0))).orderBy(asc(importChunk.sheet))
  return first.map(one => one.rows as string[][])
}
