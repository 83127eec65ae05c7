/** Somebody's file as rows of text, or as the contract's runs, told by what is in it and not by its name. */
import Papa from 'papaparse'
import { plainLines } from '../../core/formats/lineEnds'
import { fail, ok, type R } from '../../core/result'
import { IMPORT } from '../../shared/limits'
import { CellCount, moreLines, tooManyCells } from './cellLimits'
import { decodeText } from './decodeText'
import { longQuoted } from './quotedCells'
import { isZip, readWorkbook, type Sheet } from './workbook'

export type FileContent =
  | { kind: 'table'; sheets: Sheet[]; notes: string[] }
  /** Runs of the contract's request, as they came. */
  | { kind: 'documents'; documents: unknown[]; notes: string[] }

const endingOf = (name: string) => /\.[a-z0-9]+$/i.exec(name)?.[0].toLowerCase() ?? ''

/** @param name as the tester knows the file, for the words */
export async function readFile(name: string, bytes: Buffer): Promise<R<FileContent>> {
  if (bytes.length === 0) return fail({ code: 'empty', what: `${name} is empty`, hint: 'Choose another file.' })
  if (isZip(bytes)) return zipped(name, bytes)
  const decoded = decodeText(bytes)
  if (decoded === null)
    return fail({
      code: 'not-text',
      what: `${name} holds no text`,
      hint: 'Save the table as CSV, TSV, JSON or .xlsx, and choose that.',
    })
  const text = decoded.text.replace(/^\uFEFF/, '')
  if (text.trim() === '') return fail({ code: 'empty', what: `${name} is empty`, hint: 'Choose another file.' })
  const read = /^\s*[[{]/.test(text) ? readJson(name, text) : readText(name, text)
  return read.ok ? ok({ ...read.value, notes: [...decoded.notes, ...read.value.notes] }) : read
}

async function zipped(name: string, bytes: Buffer): Promise<R<FileContent>> {
  const ending = endingOf(name)
  if (ending !== '.xlsx' && ending !== '.xlsm')
    return fail({
      code: 'zip',
      what: `${name} is a zip archive, not a table as its name says`,
      hint: 'If it is a workbook, name it .xlsx; if not, unpack it and choose the table in it.',
    })
  const sheets = await readWorkbook(name, bytes)
  if (!sheets.ok) return sheets
  const full = sheets.value.filter((sheet) => sheet.rows.some((row) => row.some((cell) => cell !== '')))
  if (full.length === 0) return fail({ code: 'empty', what: `${name} holds no cell`, hint: 'Choose another file.' })
  return ok({ kind: 'table', sheets: full, notes: [] })
}

function readText(name: string, text: string): R<FileContent> {
  const plain = plainLines(text)
  if (moreLines(plain.text, IMPORT.maxCells)) return fail(tooManyCells(name))
  const long = longQuoted(plain.text, IMPORT.maxCellCharacters)
  if (long?.open) return neverClosed(name, long.row)
  if (long)
    return fail({
      code: 'too-large',
      what: `Row ${long.row} of ${name}`,
      got: `more than ${IMPORT.maxCellCharacters} characters between quotation marks`,
      limit: `at most ${IMPORT.maxCellCharacters} in a cell`,
      hint: 'Shorten it, or mend a quotation mark that is missing. Nothing was stored.',
    })
  const count = new CellCount(name)
  const rows: string[][] = []
  let openQuote: number | null = null
  Papa.parse<string[]>(plain.text, {
    newline: '\n',
    delimitersToGuess: ['\t', ';', ',', '|'],
    step: ({ data, errors }, parser) => {
      openQuote ??= errors.some((error) => error.type === 'Quotes') ? rows.length + 1 : null
      if (count.take(data)) rows.push(data)
      else parser.abort()
    },
  })
  if (count.fault) return count.fault
  if (openQuote !== null) return neverClosed(name, openQuote)
  if (rows.at(-1)?.every((cell) => cell === '')) rows.pop()
  return ok({
    kind: 'table',
    sheets: [{ name: '', rows }],
    notes: plain.mixed
      ? ['Its lines end in more than one way; each was taken as the end of a row. Look at rows that break off.']
      : [],
  })
}

const neverClosed = (name: string, row: number) =>
  fail({
    code: 'quotes',
    what: `Row ${row} of ${name}`,
    got: 'a quotation mark that is opened and never closed',
    limit: 'a pair',
    hint: 'Mend it there, and choose the file again. Nothing was stored.',
  })

function readJson(name: string, text: string): R<FileContent> {
  const parsed = parseJson(name, text)
  if (!parsed.ok) return parsed
  const read = parsed.value
  const { format, runs } = (Array.isArray(read) ? {} : read) as { format?: unknown; runs?: unknown }
  if (format === 'vulcanum-reduce' && Array.isArray(runs)) return documentsIn(name, runs)
  const list = Array.isArray(read) ? read : (Object.values(read as object).find(Array.isArray) as unknown[] | undefined)
  if (!list || list.length === 0 || !list.every(isFlat))
    return fail({
      code: 'not-a-table',
      what: `${name} is JSON, and no table`,
      hint: 'Expected a list of objects whose values are texts and numbers, or a document of runs that Vulcanum wrote.',
    })
  return tableIn(name, list)
}

function parseJson(name: string, text: string): R<unknown> {
  try {
    return ok(JSON.parse(text) as unknown)
  } catch (error) {
    return fail({
      code: 'not-json',
      what: `${name} begins like JSON and is none`,
      got: (error as Error).message.slice(0, 120),
      hint: 'Mend it there, and choose it again. Nothing was stored.',
    })
  }
}

function documentsIn(name: string, documents: unknown[]): R<FileContent> {
  if (documents.length <= IMPORT.maxDocuments) return ok({ kind: 'documents', documents, notes: [] })
  return fail({
    code: 'too-large',
    what: name,
    got: `${documents.length} runs`,
    limit: `at most ${IMPORT.maxDocuments}`,
    hint: 'Bring a part of them at a time. Nothing was stored.',
  })
}

/** A column for each key that any of the first rows has. */
function tableIn(name: string, list: readonly Record<string, unknown>[]): R<FileContent> {
  const count = new CellCount(name)
  const keys = new Set<string>()
  for (const row of list) {
    for (const key of Object.keys(row)) keys.add(key)
    if (keys.size > IMPORT.maxColumns) break
  }
  const rows = [[...keys]]
  if (!count.take(rows[0]!)) return count.fault!
  for (const row of list) {
    const cells = rows[0]!.map((key) => cellOf(row[key]))
    if (!count.take(cells)) return count.fault!
    rows.push(cells)
  }
  return ok({ kind: 'table', sheets: [{ name: '', rows }], notes: [] })
}

const isFlat = (row: unknown): row is Record<string, unknown> =>
  typeof row === 'object' &&
  row !== null &&
  !Array.isArray(row) &&
  Object.values(row).every((value) => typeof value !== 'object' || value === null)
const cellOf = (value: unknown) => (value === null || value === undefined ? '' : value === true ? 'yes' : String(value))
