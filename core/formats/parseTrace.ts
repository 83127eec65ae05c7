/**
 * A logger's table, row by row, as a trace of the water: whatever columns it has, with every fault named by row and
 * column.
 */
import { parseNumber } from '../quantity/parseNumber'
import { ok, type R } from '../result'
import { isClock, parseChannelRows, rawSeconds, type ChannelColumn, type TimeFormat } from './parseChannels'

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

const LIKELY_C = { min: -20, max: 130 }

/**
 * A guess at what the columns are: a time that rises and a temperature; null where there are no two columns of numbers.
 */
export function guessTraceMapping(rows: readonly (readonly string[])[]): TraceMapping | null {
  const headerRows = rows.findIndex((row) => row.filter((cell) => readsAsValue(cell)).length >= 2)
  if (headerRows < 0) return null
  const sample = rows.slice(headerRows, headerRows + 50)
  const header = headerRows > 0 ? rows[headerRows - 1]! : []
  const columns = rows[headerRows]!.map((_, i) => i).filter(
    (i) => sample.filter((row) => readsAsValue(row[i] ?? '')).length >= sample.length * 0.6,
  )
  const isCalled = (words: RegExp) => (i: number) => words.test(header[i] ?? '')
  const rising = columns.filter((i) => rises(sample, i))
  const timeColumn = rising.find(isCalled(/time|zeit|temps|sec|\bs\b|min|clock|date/i)) ?? rising[0]
  if (timeColumn === undefined) return null
  const others = columns.filter((i) => i !== timeColumn)
  const tempColumn = others.find(isCalled(/temp|water|°|deg|wasser|probe/i)) ?? others[0]
  if (tempColumn === undefined) return null
  return {
    headerRows,
    timeColumn,
    tempColumn,
    time: timeFormat(sample[0]?.[timeColumn] ?? '', header[timeColumn] ?? ''),
    temp: tempUnit(
      sample.map((row) => row[tempColumn] ?? ''),
      header[tempColumn] ?? '',
    ),
  }
}

/** As its column says; else by what water can be. */
function tempUnit(cells: readonly string[], header: string): TempUnit {
  const temps = cells.map((cell) => parseNumber(cell)).filter((value) => value !== null)
  const saysF = /°\s*f|deg\s*f|fahrenheit|\(f\)|_f\b/i.test(header)
  return saysF || Math.max(...temps) > LIKELY_C.max ? 'F' : 'C'
}

/** From 1973 on the milliseconds since 1970 are more than this; no count of seconds or minutes is. */
const EPOCH_MS_FROM = 1e11
export function timeFormat(cell: string, header: string): TimeFormat {
  if (isClock(cell)) return 'clock'
  const value = parseNumber(cell)
  if (value === null) return 'stamp'
  if (value >= EPOCH_MS_FROM || /^ms$|\bms\b|_ms$|milli/i.test(header.trim())) return 'milliseconds'
  return /min/i.test(header) ? 'minutes' : 'seconds'
}

function readsAsValue(cell: string): boolean {
  return parseNumber(cell) !== null || isClock(cell) || isStamp(cell)
}
const isStamp = (cell: string) => /\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}/.test(cell)

function rises(sample: readonly (readonly string[])[], column: number): boolean {
  const times = sample
    .map((row) => rawSeconds(row[column] ?? '', timeFormat(row[column] ?? '', '')))
    .filter((value) => value !== null)
  return times.length > 1 && times.every((value, i) => i === 0 || value >= times[i - 1]!) && times.at(-1)! > times[0]!
}

/**
 * Reads a table as a trace of the water.
 * @param rows cells as text; `mapping` which columns are what
 * @returns samples from the first one's time on; the first fault by row and column (counted from 1), as a person finds
 * it in the file
 */
export function parseTraceRows(
  rows: readonly (readonly string[])[],
  { headerRows, timeColumn, tempColumn, time, temp }: TraceMapping,
): R<ParsedTrace> {
  const read = parseChannelRows(rows, {
    headerRows,
    timeColumn,
    time,
    channels: [{ column: tempColumn, ...WATER[temp] }],
  })
  return read.ok
    ? ok({
        samples: read.value.samples[0]!.map(([s, tempC]) => [s, Number(tempC.toFixed(4))]),
        notes: read.value.notes,
      })
    : read
}
const WATER: Record<TempUnit, Omit<ChannelColumn, 'column'>> = {
  C: {
    factor: 1,
    shift: 0,
    low: LIKELY_C.min,
    high: LIKELY_C.max,
    limit: 'water between −20 and 130 °C',
    hint: 'In °F, or the columns swapped?',
    what: 'a temperature',
  },
  F: {
    factor: 5 / 9,
    shift: -32,
    low: LIKELY_C.min,
    high: LIKELY_C.max,
    limit: 'water between −20 and 130 °C',
    hint: 'In °C, or the columns swapped?',
    what: 'a temperature',
  },
}
