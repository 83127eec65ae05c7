/** A logger's table, row by row, as a trace of the water: whatever columns it has, with every fault named by row and column. */
import { parseNumber } from '../quantity/parseNumber'
import { fail, ok, type Problem, type R } from '../result'

export type TimeFormat = 'seconds' | 'minutes' | 'clock' | 'stamp'
export type TempUnit = 'C' | 'F'

export interface TraceMapping {
  /** Rows before the first sample. */
  headerRows: number
  timeColumn: number
  tempColumn: number
  time: TimeFormat
  temp: TempUnit
}

export interface ParsedTrace {
  /** [seconds from the first sample, °C], sorted. */
  samples: [number, number][]
  /** What a person should know of it: a gap, rows left empty, times out of order. */
  notes: string[]
}

const CLOCK = /^(?:(\d+):)?(\d{1,3}):(\d{1,2}(?:[.,]\d+)?)$/
const LIKELY_C = { min: -20, max: 130 }
const GAP_FACTOR = 10

/** A guess at what the columns are: a time that rises and a temperature; null where there are no two columns of numbers. */
export function guessTraceMapping(rows: readonly (readonly string[])[]): TraceMapping | null {
  const headerRows = rows.findIndex(row => row.filter(cell => readsAsValue(cell)).length >= 2)
  if (headerRows < 0) return null
  const sample = rows.slice(headerRows, headerRows + 50)
  const header = headerRows > 0 ? rows[headerRows - 1]! : []
  const columns = rows[headerRows]!.map((_, i) => i).filter(i => sample.filter(row => readsAsValue(row[i] ?? '')).length >= sample.length * 0.6)
  const timeColumn = columns.find(i => /time|zeit|temps|sec|\bs\b|min|clock|date/i.test(header[i] ?? '') && rises(sample, i)) ?? columns.find(i => rises(sample, i))
  if (timeColumn === undefined) return null
  const tempColumn = columns.find(i => i !== timeColumn && /temp|water|°|deg|wasser|probe/i.test(header[i] ?? '')) ?? columns.find(i => i !== timeColumn)
  if (tempColumn === undefined) return null
  const temps = sample.map(row => parseNumber(row[tempColumn] ?? '')).filter(value => value !== null)
  const saysF = /°\s*f|deg\s*f|fahrenheit|\(f\)|_f\b/i.test(header[tempColumn] ?? '')
  return { headerRows, timeColumn, tempColumn, time: timeFormat(sample[0]?.[timeColumn] ?? '', header[timeColumn] ?? ''), temp: saysF || Math.max(...temps) > LIKELY_C.max ? 'F' : 'C' }
}

function timeFormat(cell: string, header: string): TimeFormat {
  if (CLOCK.test(cell.trim())) return 'clock'
  if (parseNumber(cell) === null) return 'stamp'
  return /min/i.test(header) ? 'minutes' : 'seconds'
}

function readsAsValue(cell: string): boolean {
  return parseNumber(cell) !== null || CLOCK.test(cell.trim()) || isStamp(cell)
}
const isStamp = (cell: string) => /\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}/.test(cell)

function rises(sample: readonly (readonly string[])[], column: number): boolean {
  const times = sample.map(row => rawSeconds(row[column] ?? '', timeFormat(row[column] ?? '', ''))).filter(value => value !== null)
  return times.length > 1 && times.every((value, i) => i === 0 || value >= times[i - 1]!) && times.at(-1)! > times[0]!
}

function rawSeconds(cell: string, format: TimeFormat): number | null {
  if (format === 'clock') {
    const parts = CLOCK.exec(cell.trim())
    return parts ? Number(parts[1] ?? 0) * 3600 + Number(parts[2]) * 60 + Number(parts[3]!.replace(',', '.')) : null
  }
  if (format === 'stamp') {
    const ms = isStamp(cell) ? Date.parse(cell.trim().replace(' ', 'T')) : NaN
    return Number.isNaN(ms) ? null : ms / 1000
  }
  const value = parseNumber(cell)
  return value === null ? null : value * (format === 'minutes' ? 60 : 1)
}

/**
 * Reads a table as a trace.
 * @param rows cells as text; `mapping` which columns are what
 * @returns samples from the first one's time on; the first fault by row and column (counted from 1), as a person finds it in the file
 */
export function parseTraceRows(rows: readonly (readonly string[])[], mapping: TraceMapping): R<ParsedTrace> {
  const samples: [number, number][] = []
  let empty = 0
  for (let i = mapping.headerRows; i < rows.length; i++) {
    const row = rows[i]!
    if (row.every(cell => cell.trim() === '')) continue
    const timeCell = row[mapping.timeColumn] ?? ''
    const tempCell = row[mapping.tempColumn] ?? ''
    if (tempCell.trim() === '') {
      empty += 1
      continue
    }
    const seconds = rawSeconds(timeCell, mapping.time)
    if (seconds === null) return fail(at(i, mapping.timeColumn, timeCell, TIME_WORDS[mapping.time]))
    const value = parseNumber(tempCell)
    if (value === null) return fail(at(i, mapping.tempColumn, tempCell, 'a temperature'))
    const tempC = mapping.temp === 'F' ? ((value - 32) * 5) / 9 : value
    if (tempC < LIKELY_C.min || tempC > LIKELY_C.max) {
      return fail({ ...at(i, mapping.tempColumn, tempCell, 'water between −20 and 130 °C'), hint: mapping.temp === 'C' ? 'In °F, or the columns swapped?' : 'In °C, or the columns swapped?' })
    }
    samples.push([seconds, tempC])
  }
  if (samples.length < 2) return fail({ code: 'no-samples', what: `${samples.length === 0 ? 'No' : 'Only one'} sample was found`, hint: 'Choose the columns of time and temperature, and the rows of the header.' })
  return ok(fromFirst(samples, empty))
}

const TIME_WORDS: Record<TimeFormat, string> = { seconds: 'seconds', minutes: 'minutes', clock: 'a time such as 5:12', stamp: 'a date and time such as 2026-03-14T09:30:00' }
const at = (row: number, column: number, got: string, limit: string): Problem => ({
  code: 'bad-cell', what: `Row ${row + 1}, column ${column + 1}`, where: `${row + 1}:${column + 1}`, got: `"${got.slice(0, 40)}"`, limit, hint: 'Mend the file, or choose another column.',
})

function fromFirst(samples: [number, number][], empty: number): ParsedTrace {
  const notes: string[] = []
  const sorted = [...samples].sort((a, b) => a[0] - b[0])
  if (sorted.some((one, i) => one !== samples[i])) notes.push('Times were out of order: sorted.')
  if (empty > 0) notes.push(`${empty} rows without a temperature were left out.`)
  const steps = sorted.slice(1).map((one, i) => one[0] - sorted[i]![0]).sort((a, b) => a - b)
  const usual = steps[Math.floor(steps.length / 2)]!
  const longest = steps.at(-1)!
  if (usual > 0 && longest > GAP_FACTOR * usual) notes.push(`A gap of ${Math.round(longest)} s, where samples are ${usual} s apart.`)
  const zero = sorted[0]![0]
  return { samples: sorted.map(([s, tempC]) => [Number((s - zero).toFixed(3)), Number(tempC.toFixed(4))]), notes }
}
