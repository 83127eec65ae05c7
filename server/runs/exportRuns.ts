/**
 * Many runs out of the house: as CSV, as a workbook, as the contract's JSON; piece by piece, so that a hundred thousand
 * fit.
 */
import { PassThrough, Readable } from 'node:stream'
import Papa from 'papaparse'
import { toRunDocument } from '../../core/formats/toRunDocument'
import { defaultOptions } from '../../shared/reduceRequest'
import { asText, TABLE_COLUMNS, type Cell } from '../../shared/runTable'
import type { Connection } from '../database/connection'
import { findRuns, type FoundRun } from './repository/findRuns'
import { figuresOf } from './listRuns'

export const EXPORT_FORMATS = ['csv', 'xlsx', 'json'] as const
export type ExportFormat = (typeof EXPORT_FORMATS)[number]
export const EXPORT_TYPES: Record<ExportFormat, string> = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json; charset=utf-8',
}
/** More of them hold others up: 123 ms were seen of a thousand. */
const AT_A_TIME = 250
/** Traces are the bulk of a document. */
const DOCUMENTS_AT_A_TIME = 25

export function exportRuns(db: Connection, ids: readonly string[], format: ExportFormat): Readable {
  switch (format) {
    case 'csv':
      return Readable.from(csv(db, ids))
    case 'json':
      return Readable.from(documents(db, ids))
    case 'xlsx':
      return workbook(db, ids)
  }
}

/** In the order asked for. */
async function* found(
  db: Connection,
  ids: readonly string[],
  { size, traces }: { size: number; traces: boolean },
): AsyncGenerator<FoundRun[]> {
  const read = async (from: number) => {
    const part = ids.slice(from, from + size)
    const runs = new Map((await findRuns(db, part, { traces })).map((one) => [one.record.id, one]))
    return part.flatMap((id) => runs.get(id) ?? [])
  }
  let next = read(0)
  for (let from = 0; from < ids.length; from += size) {
    const part = await next
    // The database reads on while these are written.
    next = read(from + size)
    next.catch(() => undefined)
    yield part
  }
}

async function* rows(db: Connection, ids: readonly string[]): AsyncGenerator<Cell[][]> {
  for await (const part of found(db, ids, { size: AT_A_TIME, traces: false })) {
    const lines = await figuresOf(
      db,
      part.map((one) => one.record.id),
    )
    yield part.map(({ record }) =>
      TABLE_COLUMNS.map((column) => asText(column.of(record, lines.get(record.id) ?? null))),
    )
  }
}

const HEADERS = TABLE_COLUMNS.map((column) => column.header)
async function* csv(db: Connection, ids: readonly string[]): AsyncGenerator<string> {
  // The mark by which a spreadsheet knows the letters.
  yield `\ufeff${Papa.unparse([HEADERS], { newline: '\r\n' })}\r\n`
  for await (const part of rows(db, ids)) yield `${Papa.unparse(part, { newline: '\r\n' })}\r\n`
}

/** A request that `reduce` takes: the runs, read by the contract's defaults. */
async function* documents(db: Connection, ids: readonly string[]): AsyncGenerator<string> {
  yield `${JSON.stringify(defaultOptions()).slice(0, -1)},"runs":[\n`
  let first = true
  for await (const part of found(db, ids, { size: DOCUMENTS_AT_A_TIME, traces: true })) {
    for (const { stored, apart } of part) {
      yield `${first ? '' : ',\n'}${JSON.stringify(toRunDocument(apart ? { ...stored, setup: null } : stored))}`
      first = false
    }
  }
  yield '\n]}\n'
}

function workbook(db: Connection, ids: readonly string[]): Readable {
  const out = new PassThrough()
  const write = async () => {
    // Read where it is used: it takes a quarter of a second, and a table of text needs none of it.
    const { default: ExcelJS } = await import('exceljs')
    const book = new ExcelJS.stream.xlsx.WorkbookWriter({ stream: out, useStyles: false, useSharedStrings: false })
    const sheet = book.addWorksheet('Runs', { views: [{ state: 'frozen', ySplit: 1 }] })
    sheet.addRow(HEADERS).commit()
    for await (const part of rows(db, ids)) for (const row of part) sheet.addRow(row).commit()
    sheet.commit()
    await book.commit()
  }
  write().catch((error) => out.destroy(error as Error))
  return out
}
