/** A first reading of a logger's table: which column is its time, and what the others follow. */
import { rawSeconds, type TimeFormat } from '../../core/formats/parseChannels'
import { timeFormat } from '../../core/formats/parseTrace'
import { parseNumber } from '../../core/quantity/parseNumber'
import { CHANNEL_NAMES, CHANNELS, type ChannelName } from '../channels'
import { LOOKED_AT } from './guess'
import { readHeading } from './header'
import { unitIn, type ChannelColumnMapping, type TraceMapping } from './traceMapping'

type Rows = readonly (readonly string[])[]

/** Null: no column of times that rise, with figures beside it. */
export function guessChannels(rows: Rows, sheet = 0): TraceMapping | null {
  const table = tableOf(rows)
  const time = table === null ? undefined : timeColumnOf(table)
  if (table === null || time === undefined) return null
  const columns = columnsOf(table, time)
  if (columns.every(({ to }) => to === '' || to === 'time')) return null
  return {
    sheet,
    headerRow: table.headerRow,
    columns,
    time: table.timeFormatOf(time),
    dateOrder: '',
    decimal: '',
    runId: '',
    firstAt: '0:00',
  }
}

interface GuessedTable {
  /** −1: it has none. */
  headerRow: number
  width: number
  headings: ReturnType<typeof readHeading>[]
  /** Of the first rows, those that are filled in. */
  cellsOf: (column: number) => string[]
  timeFormatOf: (column: number) => TimeFormat
}

function tableOf(rows: Rows): GuessedTable | null {
  const first = rows.findIndex((row) => row.filter(isFigure).length >= 2)
  if (first < 0) return null
  const body = rows.slice(first, first + LOOKED_AT)
  const written = rows[first - 1] ?? []
  const headings = written.map(readHeading)
  const cellsOf = (i: number) => body.map((row) => row[i] ?? '').filter((cell) => cell.trim() !== '')
  return {
    headerRow: first - 1,
    width: Math.max(...body.map((row) => row.length)),
    headings,
    cellsOf,
    timeFormatOf: (i) => timeFormat(cellsOf(i)[0] ?? '', headings[i]?.unit || written[i] || ''),
  }
}

const isFigure = (cell: string): boolean =>
  parseNumber(cell) !== null || timeFormat(cell, '') === 'clock' || looksStamp(cell)
const looksStamp = (cell: string) => /^\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}[T ,]+\d{1,2}:\d{2}/.test(cell.trim())

/** Of those that rise, the one whose heading says so, else the first. */
function timeColumnOf({ width, headings, cellsOf, timeFormatOf }: GuessedTable): number | undefined {
  const rising = Array.from({ length: width }, (_, i) => i).filter((i) => rises(cellsOf(i), timeFormatOf(i)))
  return rising.find((i) => /time|sec|clock|date|elapsed|zeit/.test(headings[i]?.words ?? '')) ?? rising[0]
}

function rises(cells: readonly string[], format: TimeFormat): boolean {
  // In whichever order its parts are: the time of day alone must rise.
  const times = cells
    .map((cell) => rawSeconds(cell, format, 'dmy') ?? rawSeconds(cell, format, 'mdy'))
    .filter((value) => value !== null)
  return (
    times.length > 1 &&
    times.length === cells.length &&
    times.every((value, i) => i === 0 || value >= times[i - 1]!) &&
    times.at(-1)! > times[0]!
  )
}

function columnsOf({ width, headings, cellsOf }: GuessedTable, time: number): ChannelColumnMapping[] {
  const taken = new Set<ChannelName>()
  const columns = Array.from({ length: width }, (_, i): ChannelColumnMapping => {
    if (i === time) return { to: 'time', unit: '' }
    const { words = '', unit = '' } = headings[i] ?? {}
    const channel = CHANNEL_NAMES.find(
      (name) =>
        !taken.has(name) &&
        CHANNELS[name].says.test(words) &&
        cellsOf(i).some((cell) => parseNumber(cell) !== null) &&
        (unit === '' || unitIn(name, unit) !== ''),
    )
    if (channel === undefined) return { to: '', unit: '' }
    taken.add(channel)
    return { to: channel, unit: unitIn(channel, unit) }
  })
  // The only figures beside the time are the water's, whatever their heading.
  const lone = columns.flatMap((column, i) =>
    column.to === '' && cellsOf(i).length > 0 && cellsOf(i).every((cell) => parseNumber(cell) !== null) ? [i] : [],
  )
  if (taken.size === 0 && lone.length === 1)
    columns[lone[0]!] = { to: 'water', unit: unitIn('water', headings[lone[0]!]?.unit ?? '') }
  return columns
}
