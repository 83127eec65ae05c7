/**
 * A workbook's sheets as rows of text, as they look there. It is measured before it is opened: a small file may unpack
 * to any size.
 */
import { Readable } from 'node:stream'
import ExcelJS from 'exceljs'
import yauzl from 'yauzl'
import { fail, ok, type R } from '../../core/result'
import { IMPORT } from '../../shared/limits'
import { CellCount } from './cellLimits'

export interface Sheet {
  name: string
  rows: string[][]
}

export const isZip = (bytes: Buffer): boolean => bytes.length > 3 && bytes.readUInt32LE(0) === 0x04034b50

export async function readWorkbook(name: string, bytes: Buffer): Promise<R<Sheet[]>> {
  const inside = await measureZip(name, bytes)
  if (!inside.ok) return inside
  if (!inside.value.some((entry) => entry.name === 'xl/workbook.xml'))
    return fail({
      code: 'not-a-workbook',
      what: `${name} is a zip archive, and no workbook`,
      hint: 'Unpack it, and choose the table in it.',
    })
  const names = [
    ...inside.value
      .find((entry) => entry.name === 'xl/workbook.xml')!
      .text.matchAll(/<(?:\w+:)?sheet\s[^>]*?name="([^"]*)"/g),
  ].map((found) => unescapeXml(found[1]!))
  try {
    return ok(await readSheets(name, bytes, names))
  } catch (error) {
    if (error instanceof TooMuch) return error.fault
    return fail({
      code: 'broken-workbook',
      what: `${name} cannot be read as a workbook`,
      hint: 'Open it where it was made, save it again as .xlsx or CSV, and choose that.',
    })
  }
}

const unescapeXml = (text: string) =>
  text.replace(
    /&(lt|gt|quot|apos|amp);/g,
    (_, entity: string) => ({ lt: '<', gt: '>', quot: '"', apos: "'", amp: '&' })[entity]!,
  )

interface ZipEntry {
  name: string
  text: string
}
const LIST_OF_SHEETS = 'xl/workbook.xml'

/**
 * Unpacks everything once, counting: what a file says of its own sizes is not believed. Keeps the text of the list of
 * sheets.
 */
async function measureZip(name: string, bytes: Buffer): Promise<R<ZipEntry[]>> {
  try {
    return ok(await unpackedEntries(bytes))
  } catch (error) {
    if (error instanceof TooLarge)
      return fail({
        code: 'zip-bomb',
        what: name,
        got: `${(bytes.length / 1e6).toFixed(1)} MB that unpack to more than ${IMPORT.maxUnpackedBytes / 1e6} MB`,
        limit: 'less',
        hint: 'Bring a part of it at a time. Nothing was stored.',
      })
    return fail({
      code: 'broken-zip',
      what: `${name} looks like a zip archive and cannot be unpacked`,
      hint: 'It may have broken off on the way. Copy it again, or save it anew. Nothing was stored.',
    })
  }
}

class TooLarge extends Error {}

/** @throws TooLarge, or what is broken */
function unpackedEntries(bytes: Buffer): Promise<ZipEntry[]> {
  return new Promise((resolve, reject) => {
    yauzl.fromBuffer(bytes, { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error)
      const entries: ZipEntry[] = []
      let room = IMPORT.maxUnpackedBytes
      zip.on('error', reject)
      zip.on('end', () => resolve(entries))
      zip.on('entry', (entry: yauzl.Entry) => {
        unpack(zip, entry, room).then(({ text, length }) => {
          room -= length
          entries.push({ name: entry.fileName, text })
          zip.readEntry()
        }, reject)
      })
      zip.readEntry()
    })
  })
}

/** @param room as many bytes it may have */
async function unpack(zip: yauzl.ZipFile, entry: yauzl.Entry, room: number): Promise<{ text: string; length: number }> {
  if (entry.uncompressedSize > room) throw new TooLarge()
  const stream = await new Promise<Readable>((resolve, reject) =>
    zip.openReadStream(entry, (failed, opened) => (failed ? reject(failed) : resolve(opened))),
  )
  const kept: Buffer[] = []
  let length = 0
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    length += chunk.length
    if (length > room) throw new TooLarge()
    if (entry.fileName === LIST_OF_SHEETS) kept.push(chunk)
  }
  return { text: Buffer.concat(kept).toString('utf8'), length }
}

class TooMuch extends Error {
  constructor(readonly fault: R<never>) {
    super('too much')
  }
}

async function readSheets(name: string, bytes: Buffer, names: readonly string[]): Promise<Sheet[]> {
  const reader = new ExcelJS.stream.xlsx.WorkbookReader(Readable.from([bytes]), {
    sharedStrings: 'cache',
    styles: 'cache',
    hyperlinks: 'ignore',
    worksheets: 'emit',
    entries: 'ignore',
  })
  const sheets: Sheet[] = []
  const count = new CellCount(name)
  const take = (rows: string[][], row: string[]) => {
    if (!count.take(row)) throw new TooMuch(count.fault!)
    rows.push(row)
  }
  for await (const sheet of reader) {
    const rows: string[][] = []
    for await (const row of sheet) {
      while (rows.length < row.number - 1) take(rows, [])
      take(rows, cellsOf(row))
    }
    sheets.push({ name: names[sheets.length] ?? `Sheet ${sheets.length + 1}`, rows })
  }
  return sheets
}

/** Up to the last cell that says something. One that stands far out is told by its column, and is not filled up to. */
function cellsOf(row: ExcelJS.Row): string[] {
  const cells: string[] = []
  row.eachCell({ includeEmpty: false }, (cell, column) => {
    const text = cellText(cell)
    if (text === '') return
    const at = Math.min(Number(column), IMPORT.maxColumns + 1)
    while (cells.length < at - 1) cells.push('')
    cells[at - 1] = text
  })
  return cells
}

/** As it is seen there; of a formula, what it came to. */
function cellText(cell: ExcelJS.Cell): string {
  const { value } = cell
  return textOf(
    typeof value === 'object' && value !== null && ('formula' in value || 'sharedFormula' in value)
      ? value.result
      : value,
    cell.numFmt ?? '',
  )
}

function textOf(value: unknown, format: string): string {
  if (value === null || value === undefined) return ''
  if (typeof value === 'number') return String(Number(value.toPrecision(12)))
  if (value instanceof Date) return dateText(value, format)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'object') {
    const parts = value as { richText?: { text: string }[]; text?: unknown; error?: string }
    if (parts.richText) return parts.richText.map((part) => part.text).join('')
    return parts.error ?? textOf(parts.text, format)
  }
  return String(value)
}

/** Days before the first of 1900 are times without a day, written as their format shows them. */
function dateText(date: Date, format: string): string {
  const two = (n: number) => String(n).padStart(2, '0')
  if (date.getUTCFullYear() >= 1900) {
    const day = date.toISOString()
    return day.endsWith('T00:00:00.000Z') ? day.slice(0, 10) : day.slice(0, 19).replace('T', ' ')
  }
  const seconds = Math.round((date.getTime() - Date.UTC(1899, 11, 30)) / 1000)
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60]
  if (/^\[?m+\]?:s/i.test(format)) return `${Math.floor(seconds / 60)}:${two(s)}`
  return /s/i.test(format) ? `${h}:${two(m)}:${two(s)}` : `${h}:${two(m)}`
}
