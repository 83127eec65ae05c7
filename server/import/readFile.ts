/** Somebody's file as rows of text, or as the contract's runs, told by what is in it and not by its name. */
import Papa from 'papaparse'
import { fail, ok, type R } from '../../core/result'
import { IMPORT } from '../../shared/limits'
import { decodeText } from './decodeText'
import { isZip, readWorkbook, type Sheet } from './workbook'

export type FileContent
  = | { kind: 'table', sheets: Sheet[], notes: string[] }
    /** Runs of the contract's request, as they came. */
    | { kind: 'documents', documents: unknown[], notes: string[] }

const endingOf = (name: string) => /\.[a-z0-9]+$/i.exec(name)?.[0].toLowerCase() ?? ''

/** @param name as the tester knows the file, for the words */
export async function readFile(name: string, bytes: Buffer): Promise<R<FileContent>> {
  if (bytes.length === 0) return fail({ code: 'empty', what: `${name} is empty`, hint: 'Choose another file.' })
  if (isZip(bytes)) return zipped(name, bytes)
  const decoded = decodeText(bytes)
  if (decoded === null) return fail({ code: 'not-text', what: `${name} holds no text`, hint: 'Save the table as CSV, TSV, JSON or .xlsx, and choose that.' })
  const text = decoded.text.replace(/^\uFEFF/, '')
  if (text.trim() === '') return fail({ code: 'empty', what: `${name} is empty`, hint: 'Choose another file.' })
  const read = /^\s*[[{]/.test(text) ? readJson(name, text) : readText(name, text)
  return read.ok ? ok({ ...read.value, notes: [...decoded.notes, ...read.value.notes] }) : read
}

async function zipped(name: string, bytes: Buffer): Promise<R<FileContent>> {
  const ending = endingOf(name)
  if (ending !== '.xlsx' && ending !== '.xlsm') return fail({ code: 'zip', what: `${name} is a zip archive, not a table as its name says`, hint: 'If it is a workbook, name it .xlsx; if not, unpack it and choose the table in it.' })
  const sheets = await readWorkbook(name, bytes)
  if (!sheets.ok) return sheets
  const full = sheets.value.filter(sheet => sheet.rows.some(row => row.some(cell => cell !== '')))
  if (full.length === 0) return fail({ code: 'empty', what: `${name} holds no cell`, hint: 'Choose another file.' })
  return ok({ kind: 'table', sheets: full, notes: [] })
}

function readText(name: string, text: string): R<FileContent> {
  const { data, errors } = Papa.parse<string[]>(text, { delimitersToGuess: ['\t', ';', ',', '|'] })
  const quotes = errors.find(error => error.type === 'Quotes')
  if (quotes) return fail({ code: 'quotes', what: `Row ${(quotes.row ?? 0) + 1} of ${name}`, got: 'a quotation mark that is opened and never closed', limit: 'a pair', hint: 'Mend it there, and choose the file again. Nothing was stored.' })
  const rows = data.at(-1)?.every(cell => cell === '') ? data.slice(0, -1) : data
  const cells = rows.reduce((sum, row) => sum + row.length, 0)
  if (cells > IMPORT.maxCells) return fail({ code: 'too-large', what: name, got: `${(cells / 1e6).toFixed(1)} million cells`, limit: `at most ${IMPORT.maxCells / 1e6} million`, hint: 'Bring a part of it at a time. Nothing was stored.' })
  // PostgreSQL keeps no NUL; a file that has some was refused before.
  return ok({ kind: 'table', sheets: [{ name: '', rows }], notes: [] })
}

function readJson(name: string, text: string): R<FileContent> {
  let read: unknown
  try {
    read = JSON.parse(text)
  } catch (error) {
    return fail({ code: 'not-json', what: `${name} begins like JSON and is none`, got: (error as Error).message.slice(0, 120), hint: 'Mend it there, and choose it again. Nothing was stored.' })
  }
  const { format, runs } = (Array.isArray(read) ? {} : read) as { format?: unknown, runs?: unknown }
  if (format === 'vulcanum-reduce' && Array.isArray(runs)) {
    if (runs.length > IMPORT.maxDocuments) return fail({ code: 'too-large', what: name, got: `${runs.length} runs`, limit: `at most ${IMPORT.maxDocuments}`, hint: 'Bring a part of them at a time. Nothing was stored.' })
    return ok({ kind: 'documents', documents: runs, notes: [] })
  }
  const list = Array.isArray(read) ? read : Object.values(read as object).find(Array.isArray) as unknown[] | undefined
  if (!list || list.length === 0 || !list.every(isFlat)) return fail({ code: 'not-a-table', what: `${name} is JSON, and no table`, hint: 'Expected a list of objects whose values are texts and numbers, or a document of runs that Vulcanum wrote.' })
  const keys = [...new Set(list.flatMap(row => Object.keys(row)))]
  return ok({ kind: 'table', sheets: [{ name: '', rows: [keys, ...list.map(row => keys.map(key => cellOf(row[key])))] }], notes: [] })
}

const isFlat = (row: unknown): row is Record<string, unknown> => typeof row === 'object' && row !== null && !Array.isArray(row) && Object.values(row).every(value => typeof value !== 'object' || value === null)
const cellOf = (value: unknown) => (value === null || value === undefined ? '' : value === true ? 'yes' : String(value))
