/** How a logger's table is read: its time, what each other column follows, and which run it belongs to from when on. */
import {
  parseChannelRows,
  type ChannelColumn,
  type ParsedChannels,
  type TimeFormat,
} from '../../core/formats/parseChannels'
import { hangsOnDateOrder, type DateOrder, type DecimalMark } from '../../core/formats/tableCells'
import { QUANTITY_KINDS } from '../../core/quantity/kinds'
import { parseQuantity } from '../../core/quantity/parseQuantity'
import { unitOf, UNITS, unitsNamed, type Dimension } from '../../core/quantity/units'
import { fail, ok, problemText, type Problem, type R } from '../../core/result'
import { CHANNELS, isChannel, type ChannelName } from '../channels'

export const TIME_FORMATS = [
  'seconds',
  'milliseconds',
  'minutes',
  'clock',
  'stamp',
] as const satisfies readonly TimeFormat[]
export interface ChannelColumnMapping {
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

const dimensionsOf = (channel: ChannelName): readonly Dimension[] =>
  QUANTITY_KINDS[CHANNELS[channel].quantity].dimensions
/** '' where it is none of the channel's. */
export const unitIn = (channel: ChannelName, written: string) =>
  written === '' ? '' : (unitsNamed(written, dimensionsOf(channel))[0]?.id ?? '')
export const unitsOfChannel = (channel: ChannelName) =>
  UNITS.filter((unit) => dimensionsOf(channel).includes(unit.dimension)).map(({ id, label }) => ({ id, label }))

const asksTraceOrder = (rows: readonly (readonly string[])[], { columns, headerRow, time }: TraceMapping): boolean => {
  const at = columns.findIndex(({ to }) => to === 'time')
  return time === 'stamp' && at >= 0 && rows.slice(headerRow + 1).some((row) => hangsOnDateOrder(row[at] ?? ''))
}

export interface ChannelSamples {
  channel: ChannelName
  /** [seconds on the run's clock, SI]. */
  samples: [number, number][]
}

/** The table as traces on the run's clock. */
export function readChannels(
  rows: readonly (readonly string[])[],
  mapping: TraceMapping,
): R<{ channels: ChannelSamples[]; notes: string[] }> {
  const timeColumn = mapping.columns.findIndex(({ to }) => to === 'time')
  const chosen = mapping.columns.flatMap(({ to, unit }, column) => (isChannel(to) ? [{ to, unit, column }] : []))
  const problem = mappingProblem(rows, mapping, chosen)
  if (problem !== null) return fail(problem)
  const offset = readOffset(mapping.firstAt)
  if (!offset.ok) return offset
  const parsed = parseChannelRows(rows, {
    headerRows: mapping.headerRow + 1,
    timeColumn,
    time: mapping.time,
    dateOrder: mapping.dateOrder || null,
    decimal: mapping.decimal || null,
    channels: chosen.map(columnToParse),
  })
  if (!parsed.ok) return parsed
  const followed = chosen.map((one) => one.to)
  return ok(onTheRunsClock(followed, parsed.value, offset.value))
}

interface Chosen {
  to: ChannelName
  unit: string
  column: number
}

function columnToParse({ to, unit, column }: Chosen): ChannelColumn {
  const { low, high, limit } = CHANNELS[to]
  const { factor, shift } = unitOf(unit)
  return { column, factor, shift, low, high, limit, hint: 'Another unit, or the columns swapped?', what: 'a number' }
}

/** What a mapping lacks before a table can be read by it. */
function mappingProblem(
  rows: readonly (readonly string[])[],
  mapping: TraceMapping,
  chosen: readonly Chosen[],
): Problem | null {
  if (!mapping.columns.some(({ to }) => to === 'time'))
    return { code: 'no-time', what: 'Time', got: 'no column', limit: 'one', hint: 'Say which column holds the times.' }
  if (chosen.length === 0)
    return {
      code: 'no-channel',
      what: 'What was followed',
      got: 'no column',
      limit: 'one at least',
      hint: 'Say which column follows the water.',
    }
  const twice = chosen.find((one, i) => chosen.findIndex((each) => each.to === one.to) !== i)
  if (twice)
    return { code: 'twice', what: CHANNELS[twice.to].name, got: 'two columns', limit: 'one', hint: 'Leave one out.' }
  const unsaid = chosen.find((one) => one.unit === '')
  if (unsaid)
    return {
      code: 'no-unit',
      what: `${CHANNELS[unsaid.to].name}, column ${unsaid.column + 1}`,
      got: 'no unit',
      limit: 'one',
      hint: 'Say which unit it is in.',
    }
  if (mapping.dateOrder === '' && asksTraceOrder(rows, mapping))
    return {
      code: 'date-order',
      what: 'Times',
      got: 'dates that can be read in more than one order',
      limit: 'one order',
      hint: 'Say whether day, month or year comes first.',
    }
  return null
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
