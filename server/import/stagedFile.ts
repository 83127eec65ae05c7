/**
 * A file read, as the chunks of rows in which it waits to be stored: written as the database keeps them, so that
 * whoever stores them need not look at them.
 */
import { ok, type R } from '../../core/result'
import type { ImportKind, SheetLine } from '../../shared/tableImport/imports'
import { plainJson } from '../../shared/plainJson'
import { hashOf, sha256 } from '../database/hash'
import { readFile } from './readFile'

/** Rows a chunk; also how often progress is told. */
export const CHUNK_ROWS = 500

export interface FileToStage {
  name: string
  bytes: Uint8Array
}
interface StagedChunk {
  sheet: number
  seq: number
  /** JSON, as UTF-8. */ json: Uint8Array
}
export interface StagedFile {
  kind: ImportKind
  fileHash: string
  notes: string[]
  headingsHash: string
  sheets: SheetLine[]
  chunks: StagedChunk[]
}

const encoder = new TextEncoder()

export async function stagedFrom(name: string, bytes: Buffer): Promise<R<StagedFile>> {
  const read = await readFile(name, bytes)
  if (!read.ok) return read
  const content = read.value
  const sheets = content.kind === 'table' ? content.sheets : [{ name: '', rows: content.documents }]
  return ok({
    kind: content.kind,
    fileHash: sha256(bytes),
    notes: content.notes,
    headingsHash: content.kind === 'table' ? headingsHash(content.sheets.map((sheet) => sheet.rows)) : 'documents',
    sheets: sheets.map(({ name: sheet, rows }) => ({ name: sheet, rows: rows.length })),
    chunks: sheets.flatMap(({ rows }, sheet) => chunked(rows, sheet)),
  })
}

function chunked(rows: readonly unknown[], sheet: number): StagedChunk[] {
  return Array.from({ length: Math.ceil(rows.length / CHUNK_ROWS) }, (_, seq) => ({
    sheet,
    seq,
    json: encoder.encode(JSON.stringify(plainJson(rows.slice(seq * CHUNK_ROWS, (seq + 1) * CHUNK_ROWS)))),
  }))
}

/**
 * The first row with more words than figures stands for the headings: tables that one program wrote are alike in it.
 */
function headingsHash(sheets: readonly (readonly (readonly string[])[])[]): string {
  return hashOf(
    sheets.map(
      (rows) =>
        rows
          .slice(0, 20)
          .find((row) => row.filter((cell) => /\p{L}{2}/u.test(cell)).length >= 2)
          ?.map((cell) => cell.trim().toLowerCase()) ?? [],
    ),
  )
}
