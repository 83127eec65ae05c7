/** How a logger's table is read: its time, what each other column follows, and which run it belongs to from when on. */
import { array, number, object, ValidationError } from 'yup'
import { parseChannelRows, rawSeconds, type ParsedChannels, type TimeFormat } from '../../core/formats/parseChannels'
import { timeFormat } from '../../core/formats/parseTrace'
import { DATE_ORDERS, hangsOnDateOrder, type DateOrder, type DecimalMark } from '../../core/formats/tableCells'
import { QUANTITY_KINDS } from '../../core/quantity/kinds'
import { parseNumber } from '../../core/quantity/parseNumber'
import { parseQuantity } from '../../core/quantity/parseQuantity'
import { unitOf, UNITS, unitsNamed, type Dimension } from '../../core/quantity/units'
import { fail, ok, problemText, type R } from '../../core/result'
import { CHANNEL_NAMES, CHANNELS, isChannel, type ChannelName } from '../channels'
import { fieldProblems, type FieldProblem } from '../readProblems'
import { UUID } from '../uuid'
import { LOOKED_AT } from './guess'
import { readHeading } from './header'
import { string } from '../words'

export const TIME_FORMATS = [
  'seconds',
  'milliseconds',
  'minutes',
  'clock',
  'stamp',
] as const satisfies readonly TimeFormat[]
interface ChannelColumnMapping {
  to: ChannelName | 'time' | ''
  unit: string
}
export interface TraceMapping {
  sheet: number
  headerRow: number
  columns: ChannelColumnMapping[]
  time: TimeFormat
  dateOrder: DateOrder | ''
  decimal: DecimalMark | ''
  /** '' until it is chosen. */
  runId: string
  /** When its first sample was, on the run's clock: "0:00", "−0:30". */
  firstAt: string
}

const schema = object({
  sheet: number().integer().min(0).default(0),
  headerRow: number().integer().min(-1).max(200).required(),
  columns: array(
    object({
      to: string()
        .default('')
        .oneOf(['', 'time', ...CHANNEL_NAMES], 'Column: choose what it follows from the list.'),
      unit: string()
        .default('')
        .oneOf(['', ...UNITS.map((unit) => unit.id)], 'Unit: choose one from the list.'),
    }),
  )
    .required()
    .max(500),
  time: string().oneOf(TIME_FORMATS).required(),
  dateOrder: string()
    .default('')
    .oneOf(['', ...DATE_ORDERS]),
  decimal: string().default('').oneOf(['', 'point', 'comma']),
  runId: string().default('').matches(UUID, { message: 'Run: choose one from the list.', excludeEmptyString: true }),
  firstAt: string().default('0:00').max(20),
})
export type ReadTraceMapping = { ok: true; mapping: TraceMapping } | { ok: false; problems: FieldProblem[] }
export function readTraceMapping(input: unknown): ReadTraceMapping {
  try {
    return {
      ok: true,
      mapping: schema.validateSync(input ?? {}, { abortEarly: false, stripUnknown: true }) as TraceMapping,
    }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}

/** A first reading; null: no column of times that rise, with figures beside it. */
export function guessChannels(rows: readonly (readonly string[])[], sheet = 0): TraceMapping | null {
  const first = rows.findIndex(
    (row) =>
      row.filter((cell) => parseNumber(cell) !== null || timeFormat(cell, '') === 'clock' || looksStamp(cell)).length >=
      2,
  )
  if (first < 0) return null
  const body = rows.slice(first, first + LOOKED_AT)
  const headings = (rows[first - 1] ?? []).map(readHeading)
  const cellsOf = (i: number) => body.map((row) => row[i] ?? '').filter((cell) => cell.trim() !== '')
  const width = Math.max(...body.map((row) => row.length))
  const timeOf = (i: number) => timeFormat(cellsOf(i)[0] ?? '', headings[i]?.unit || rows[first - 1]?.[i] || '')
  const candidates = Array.from({ length: width }, (_, i) => i).filter((i) => rises(cellsOf(i), timeOf(i)))
  const time =
    candidates.find((i) => /time|sec|clock|date|elapsed|zeit/.test(headings[i]?.words ?? '')) ?? candidates[0]
  if (time === undefined) return null
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
  const lone = columns.flatMap((column, i) =>
    column.to === '' && cellsOf(i).length > 0 && cellsOf(i).every((cell) => parseNumber(cell) !== null) ? [i] : [],
  )
  if (taken.size === 0 && lone.length === 1)
    columns[lone[0]!] = { to: 'water', unit: unitIn('water', headings[lone[0]!]?.unit ?? '') }
  if (columns.every(({ to }) => to === '' || to === 'time')) return null
  return {
    sheet,
    headerRow: first - 1,
    columns,
    time: timeOf(time),
    dateOrder: '',
    decimal: '',
    runId: '',
    firstAt: '0:00',
  }
}
const looksStamp = (cell: string) => /^\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}[T ,]+\d{1,2}:\d{2}/.test(cell.trim())
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
const dimensionsOf = (channel: ChannelName): readonly Dimension[] =>
  QUANTITY_KINDS[CHANNELS[channel].quantity].dimensions
const unitIn = (channel: ChannelName, written: string) =>
  written === '' ? '' : (unitsNamed(written, dimensionsOf(channel))[0]?.id ?? '')
export const unitsOfChannel = (channel: ChannelName) =>
  UNITS.filter((unit) => dimensionsOf(channel).includes(unit.dimension)).map(({ id, label }) => ({ id, label }))

const asksTraceOrder = (rows: readonly (readonly string[])[], { columns, headerRow, time }: TraceMapping): boolean => {
  const at = columns.findIndex(({ to }) => to === 'time')
  return time === 'stamp' && at >= 0 && rows.slice(headerRow + 1).some((row) => hangsOnDateOrder(row[at] ?? ''))
}

export interface ChannelSamples {
  channel: ChannelName
  /** [seconds on the run's clock, SI]. */ samples: [number, number][]
}

/** The table as traces on the run's clock. */
export function readChannels(
  rows: readonly (readonly string[])[],
  mapping: TraceMapping,
): R<{ channels: ChannelSamples[]; notes: string[] }> {
  const timeColumn = mapping.columns.findIndex(({ to }) => to === 'time')
  const chosen = mapping.columns.flatMap(({ to, unit }, column) => (isChannel(to) ? [{ to, unit, column }] : []))
  if (timeColumn < 0)
    return fail({
      code: 'no-time',
      what: 'Time',
      got: 'no column',
      limit: 'one',
      hint: 'Say which column holds the times.',
    })
  if (chosen.length === 0)
    return fail({
      code: 'no-channel',
      what: 'What was followed',
      got: 'no column',
      limit: 'one at least',
      hint: 'Say which column follows the water.',
    })
  const twice = chosen.find((one, i) => chosen.findIndex((each) => each.to === one.to) !== i)
  if (twice)
    return fail({
      code: 'twice',
      what: CHANNELS[twice.to].name,
      got: 'two columns',
      limit: 'one',
      hint: 'Leave one out.',
    })
  const unsaid = chosen.find((one) => one.unit === '')
  if (unsaid)
    return fail({
      code: 'no-unit',
      what: `${CHANNELS[unsaid.to].name}, column ${unsaid.column + 1}`,
      got: 'no unit',
      limit: 'one',
      hint: 'Say which unit it is in.',
    })
  if (mapping.dateOrder === '' && asksTraceOrder(rows, mapping))
    return fail({
      code: 'date-order',
      what: 'Times',
      got: 'dates that can be read in more than one order',
      limit: 'one order',
      hint: 'Say whether day, month or year comes first.',
    })
  const offset = readOffset(mapping.firstAt)
  if (!offset.ok) return offset
  const parsed = parseChannelRows(rows, {
    headerRows: mapping.headerRow + 1,
    timeColumn,
    time: mapping.time,
    dateOrder: mapping.dateOrder || null,
    decimal: mapping.decimal || null,
    channels: chosen.map(({ to, unit, column }) => {
      const { low, high, limit } = CHANNELS[to]
      const { factor, shift } = unitOf(unit)
      return {
        column,
        factor,
        shift,
        low,
        high,
        limit,
        hint: 'Another unit, or the columns swapped?',
        what: 'a number',
      }
    }),
  })
  return parsed.ok
    ? ok(
        onTheRunsClock(
          chosen.map((one) => one.to),
          parsed.value,
          offset.value,
        ),
      )
    : parsed
}

function onTheRunsClock(channels: readonly ChannelName[], { samples, notes }: ParsedChannels, offsetS: number) {
  return {
    notes,
    channels: channels
      .map((channel, i) => ({
        channel,
        samples: samples[i]!.map(([s, value]): [number, number] => [Number((s + offsetS).toFixed(3)), value]),
      }))
      .filter((one) => one.samples.length > 0),
  }
}

function readOffset(typed: string): R<number> {
  const text = typed.trim() || '0:00'
  const before = /^[-−–]/.test(text)
  const read = parseQuantity(before ? text.slice(1).trim() : text, 'clockTime', 'metric')
  return read.ok
    ? ok(before ? -read.value.value : read.value.value)
    : fail({ ...read.problem, what: `First sample at: ${problemText({ ...read.problem, hint: undefined })}` })
}
