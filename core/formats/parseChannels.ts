/**
 * A logger's table, row by row, as traces of any number of channels on one clock, with every fault named by row and
 * column.
 */
import { parseNumber } from '../quantity/parseNumber'
import { fail, ok, type Problem, type R } from '../result'
import { plainNumber, readDate, type DateOrder, type DecimalMark } from './tableCells'

/** `seconds` and `milliseconds`: from any zero, also that of 1970. */
export type TimeFormat = 'seconds' | 'milliseconds' | 'minutes' | 'clock' | 'stamp'

export interface ChannelColumn {
  column: number
  /** SI value = (read + shift)·factor. */
  factor: number
  shift: number
  /** What it can be [SI], as it is said, and what to think of where it is not. */
  low: number
  high: number
  limit: string
  hint: string
  /** "a temperature". */
  what: string
}
export interface ChannelMapping {
  /** Rows before the first sample. */
  headerRows: number
  timeColumn: number
  time: TimeFormat
  dateOrder?: DateOrder | null
  decimal?: DecimalMark | null
  channels: ChannelColumn[]
}
export interface ParsedChannels {
  /** Of each channel, in the order asked for: [seconds from the table's first sample, SI], sorted. */
  samples: [number, number][][]
  /** What a person should know of it: a gap, rows left empty, times out of order. */
  notes: string[]
}

const CLOCK = /^(?:(\d+):)?(\d{1,3}):(\d{1,2}(?:[.,]\d+)?)$/
/** What loggers write where a probe gave nothing. */
const NOTHING = /^(|-+|nan|n\/?a|null|none|ol|#n\/a)$/i
const GAP_FACTOR = 10

/** Seconds of a cell on a clock of its own; null: not a time of this format. */
export function rawSeconds(cell: string, format: TimeFormat, order: DateOrder | null = null): number | null {
  if (format === 'clock') {
    const parts = CLOCK.exec(cell.trim())
    return parts ? Number(parts[1] ?? 0) * 3600 + Number(parts[2]) * 60 + Number(parts[3]!.replace(',', '.')) : null
  }
  if (format === 'stamp') {
    const date = readDate(cell, order)
    if (date === null || date.time === null) return null
    return (
      Date.parse(
        `${new Date(Date.UTC(date.year, date.month - 1, date.day)).toISOString().slice(0, 10)}T${date.time}Z`,
      ) / 1000
    )
  }
  const value = parseNumber(cell)
  return value === null ? null : value * SECONDS_IN[format]
}
const SECONDS_IN = { seconds: 1, milliseconds: 0.001, minutes: 60 }
export const isClock = (cell: string): boolean => CLOCK.test(cell.trim())

interface Sample {
  seconds: number
  /** Of each channel; null: nothing was read. */
  values: (number | null)[]
}

/** @param i of the row, counted from 0 */
function readSample(row: readonly string[], i: number, mapping: ChannelMapping): R<Sample> {
  const { channels, timeColumn, time, decimal = null } = mapping
  const timeCell = row[timeColumn] ?? ''
  const seconds = secondsIn(timeCell, mapping)
  if (seconds === null) return fail(at(i, timeColumn, timeCell, TIME_WORDS[time]))
  const values: (number | null)[] = []
  for (const channel of channels) {
    const value = readValue(row[channel.column] ?? '', channel, decimal)
    if (value === 'fault') return fail(at(i, channel.column, row[channel.column]!, channel.what))
    if (value !== null && (value < channel.low || value > channel.high))
      return fail({ ...at(i, channel.column, row[channel.column]!, channel.limit), hint: channel.hint })
    values.push(value)
  }
  return ok({ seconds, values })
}

function secondsIn(cell: string, { time, dateOrder = null, decimal = null }: ChannelMapping): number | null {
  const written = time === 'stamp' || time === 'clock' ? cell : plainNumber(cell.trim(), decimal)
  return rawSeconds(written, time, dateOrder)
}

/**
 * Reads a table as traces.
 * @param rows cells as text; `mapping` which columns are what
 * @returns samples from the table's first time on; the first fault by row and column (counted from 1), as a person
 * finds it in the file
 */
export function parseChannelRows(rows: readonly (readonly string[])[], mapping: ChannelMapping): R<ParsedChannels> {
  const { channels } = mapping
  const times: number[] = []
  const read: (number | null)[][] = channels.map(() => [])
  const empty = channels.map(() => 0)
  for (let i = mapping.headerRows; i < rows.length; i++) {
    const row = rows[i]!
    if (channels.every(({ column }) => NOTHING.test((row[column] ?? '').trim()))) {
      if (row.some((cell) => cell.trim() !== '')) channels.forEach((_, c) => (empty[c]! += 1))
      continue
    }
    const sample = readSample(row, i, mapping)
    if (!sample.ok) return sample
    times.push(sample.value.seconds)
    for (const [c, value] of sample.value.values.entries()) {
      if (value === null) empty[c]! += 1
      read[c]!.push(value)
    }
  }
  if (times.length < 2)
    return fail({
      code: 'no-samples',
      what: `${times.length === 0 ? 'No' : 'Only one'} sample was found`,
      hint: 'Choose the columns of time and temperature, and the rows of the header.',
    })
  const spanS = extent(times)
  if (spanS > LONGEST_TRACE_S)
    return fail({
      code: 'too-long',
      what: 'Times',
      got: `${Math.round(spanS / 86_400)} days from the first sample to the last`,
      limit: `at most ${LONGEST_TRACE_S / 86_400}`,
      hint: 'Are they in milliseconds, or in another column? Say so.',
    })
  return ok(onOneClock(times, read, Math.max(0, ...empty)))
}

/** Longer than any burn: what is written so is in another unit. */
export const LONGEST_TRACE_S = 604_800
function extent(times: readonly number[]): number {
  let [least, most] = [Infinity, -Infinity]
  for (const s of times) {
    least = Math.min(least, s)
    most = Math.max(most, s)
  }
  return most - least
}

function readValue(
  cell: string,
  { factor, shift }: ChannelColumn,
  decimal: DecimalMark | null,
): number | null | 'fault' {
  if (NOTHING.test(cell.trim())) return null
  const value = parseNumber(plainNumber(cell.trim(), decimal))
  return value === null ? 'fault' : (value + shift) * factor
}

const TIME_WORDS: Record<TimeFormat, string> = {
  seconds: 'seconds',
  milliseconds: 'milliseconds',
  minutes: 'minutes',
  clock: 'a time such as 5:12',
  stamp: 'a date and time such as 2026-03-14T09:30:00',
}
const at = (row: number, column: number, got: string, limit: string): Problem => ({
  code: 'bad-cell',
  what: `Row ${row + 1}, column ${column + 1}`,
  where: `${row + 1}:${column + 1}`,
  got: `"${got.slice(0, 40)}"`,
  limit,
  hint: 'Mend the file, or choose another column.',
})

function onOneClock(times: number[], read: (number | null)[][], empty: number): ParsedChannels {
  const notes: string[] = []
  const order = times.map((_, i) => i).sort((a, b) => times[a]! - times[b]! || a - b)
  if (order.some((from, to) => from !== to)) notes.push('Times were out of order: sorted.')
  if (empty > 0)
    notes.push(`${empty} ${empty === 1 ? 'row' : 'rows'} without a reading ${empty === 1 ? 'was' : 'were'} left out.`)
  const steps = order
    .slice(1)
    .map((one, i) => times[one]! - times[order[i]!]!)
    .sort((a, b) => a - b)
  const usual = steps[Math.floor(steps.length / 2)]!
  const longest = steps.at(-1)!
  if (usual > 0 && longest > GAP_FACTOR * usual)
    notes.push(`A gap of ${Math.round(longest)} s, where samples are ${usual} s apart.`)
  const zero = times[order[0]!]!
  const samples = read.map((values) =>
    order.flatMap((i): [number, number][] =>
      values[i] === null ? [] : [[Number((times[i]! - zero).toFixed(3)), Number(values[i]!.toPrecision(9))]],
    ),
  )
  return { samples, notes }
}
