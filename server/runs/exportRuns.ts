/**
 * Many runs out of the house: as CSV, as a workbook, as the contract's JSON; piece by piece, so that a hundred thousand
 * fit.
 */
import { PassThrough, Readable } from 'node:stream'
import { setImmediate } from 'node:timers/promises'
import Papa from 'papaparse'
import { toRunDocument } from '../../core/formats/toRunDocument'
import { defaultOptions } from '../../shared/reduceRequest'
import { asText, TABLE_COLUMNS, tableRowOf, type Cell, type TableRow } from '../../shared/runTable'
import type { Connection } from '../database/connection'
import { findRuns } from './repository/findRuns'
import { tableRuns } from './repository/tableRuns'

export const EXPORT_FORMATS = ['csv', 'xlsx', 'json'] as const
export type ExportFormat = (typeof EXPORT_FORMATS)[number]
export const EXPORT_TYPES: Record<ExportFormat, string> = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json; charset=utf-8',
}
/** Rows of a table are read many at a time; as many are written in one go as hold nobody up. */
const READ_AT_A_TIME = 1000
const WRITTEN_AT_A_TIME = 250
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

/** Parts of a list, in its order; the database is at work on the next two while one is read and written. */
async function* inParts<T>(
  ids: readonly string[],
  size: number,
  read: (part: readonly string[]) => Promise<T[]>,
): AsyncGenerator<T[]> {
  const asked: Promise<T[]>[] = []
  const ask = (from: number) => {
    if (from >= ids.length) return
    const part = read(ids.slice(from, from + size))
    // Its failure is met when its turn comes.
    part.catch(() => undefined)
    asked.push(part)
  }
  ask(0)
  ask(size)
  for (let from = 0; from < ids.length; from += size) {
    const part = await asked.shift()!
    ask(from + 2 * size)
    yield part
  }
}

async function* rows(db: Connection, ids: readonly string[]): AsyncGenerator<Cell[][]> {
  for await (const part of inParts(ids, READ_AT_A_TIME, (some) => tableRuns(db, some)))
    for (let from = 0; from < part.length; from += WRITTEN_AT_A_TIME) {
      yield part
        .slice(from, from + WRITTEN_AT_A_TIME)
        .map(({ record, figures }) => cellsOf(tableRowOf(record, figures)))
      // Others have their turn.
      await setImmediate()
    }
}

const cellsOf = (row: TableRow): Cell[] => TABLE_COLUMNS.map((column) => asText(column.of(row)))

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
  const whole = async (some: readonly string[]) => {
    const runs = new Map((await findRuns(db, [...some])).map((one) => [one.record.id, one]))
    return some.flatMap((id) => runs.get(id) ?? [])
  }
  for await (const part of inParts(ids, DOCUMENTS_AT_A_TIME, whole)) {
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
