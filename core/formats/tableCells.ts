/**
 * Cells of somebody's table, read as they were meant: decimal marks, dates in three orders, times of a run. What can be
 * read two ways is told, not guessed.
 */
import { parseNumber } from '../quantity/parseNumber'

export type DecimalMark = 'point' | 'comma'
export const DATE_ORDERS = ['dmy', 'mdy', 'ymd'] as const
export type DateOrder = (typeof DATE_ORDERS)[number]

const NUMBER = /^[-+−–]?[\d.,' \u00a0\u202f]*\d/
const ONE_COMMA = /^\D*\d*,(\d{1,2}|\d{4,})(\D|$)/
const ONE_POINT = /^\D*\d*\.(\d{1,2}|\d{4,})(\D|$)/
/** 1,234 or 1.234: thousands, or three decimals. */
const EITHER = /^\D*[1-9]\d{0,2}([.,])\d{3}(\D|$)/

const GROUPED_BY_POINT = /^\D*[1-9]\d{0,2}(\.\d{3})+(,\d+)?$/
const GROUPED_BY_COMMA = /^\D*[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/

/** Which decimal mark some cells show: null where none does, 'both' where they disagree. */
export function decimalMarkOf(cells: readonly string[]): DecimalMark | 'both' | null {
  const [comma, point] = [cells.some((cell) => ONE_COMMA.test(cell)), cells.some((cell) => ONE_POINT.test(cell))]
  return comma && point ? 'both' : comma ? 'comma' : point ? 'point' : null
}
/** Cells that only the decimal mark tells: 1,234 may be a thousand or one and a bit. */
export const hangsOnDecimalMark = (cell: string): boolean => EITHER.test(cell)

/** A cell with its number written plainly, by the table's decimal mark; what is no number stays. */
export function plainNumber(cell: string, mark: DecimalMark | null): string {
  const found = mark === null ? null : NUMBER.exec(cell)
  if (!found) return cell
  const [digits] = found
  return (mark === 'comma' ? byComma(digits) : byPoint(digits)) + cell.slice(digits.length)
}
// Only what stands in threes is a thousand: "12.7" stays what it says in a table of commas too.
const byComma = (digits: string) =>
  (GROUPED_BY_POINT.test(digits) ? digits.replaceAll('.', '') : digits).replace(/,(?=\d+$)/, '.')
const byPoint = (digits: string) => (GROUPED_BY_COMMA.test(digits) ? digits.replaceAll(',', '') : digits)

/** Whether a cell holds a bare number, without a unit of its own. */
export const isBareNumber = (cell: string): boolean => parseNumber(cell) !== null

const ISO_DAY = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/
const DAY = /^(\d{1,4})[-/. ](\d{1,2})[-/. ](\d{2,4})$/
const STAMP =
  /^(\d{1,4}[-/. ]\d{1,2}[-/. ]\d{1,4})(?:[T ,]+(\d{1,2}:\d{2}(?::\d{2}(?:\.\d+)?)?)\s*([ap]m)?\s*(Z|[+-]\d{2}:?\d{2})?)?$/i

/** Whether a date is told only by the order of its parts. */
export function hangsOnDateOrder(cell: string): boolean {
  const day = STAMP.exec(cell.trim())?.[1] ?? cell.trim()
  return !ISO_DAY.test(day) && DAY.test(day)
}

export interface ReadDate {
  year: number
  month: number
  day: number
  time: string | null
  /** "+01:00", "Z", or null: at the place. */ offset: string | null
}

/**
 * A day, with its time where there is one. Null: none, or none in this order. A year first of four figures needs no
 * order.
 */
export function readDate(cell: string, order: DateOrder | null): ReadDate | null {
  const parts = STAMP.exec(cell.trim())
  if (!parts) return null
  const iso = ISO_DAY.exec(parts[1]!)
  const loose = iso ? null : DAY.exec(parts[1]!)
  const ymd = iso ? iso.slice(1, 4).map(Number) : loose && order ? inOrder(loose.slice(1, 4), order) : null
  if (ymd === null) return null
  const [year, month, day] = ymd as [number, number, number]
  const at = new Date(Date.UTC(year, month - 1, day))
  if (at.getUTCMonth() !== month - 1 || at.getUTCDate() !== day) return null
  return {
    year,
    month,
    day,
    time: parts[2] === undefined ? null : clock24(parts[2], parts[3]),
    offset: parts[4] ?? null,
  }
}

function inOrder(parts: string[], order: DateOrder): number[] | null {
  const at = (part: 'd' | 'm' | 'y') => parts[order.indexOf(part)]!
  const year = at('y')
  if (year.length !== 2 && year.length !== 4) return null
  if (at('d').length > 2 || at('m').length > 2) return null
  return [
    year.length === 4 ? Number(year) : Number(year) + (Number(year) < 70 ? 2000 : 1900),
    Number(at('m')),
    Number(at('d')),
  ]
}

/** "9:05" pm → "21:05:00". */
export function clock24(time: string, half: string | undefined): string | null {
  const [h, m, s = '00'] = time.split(':')
  const hour = (Number(h) % (half ? 12 : 24)) + (half?.toLowerCase() === 'pm' ? 12 : 0)
  return Number(h) > 23 || Number(m) > 59 || Number(s) >= 60
    ? null
    : `${String(hour).padStart(2, '0')}:${m}:${s.padStart(2, '0')}`
}

/** The moment of a wall clock at a place, as ISO with Z. The offset of the zone on that day counts. */
export function momentAt({ year, month, day, time, offset }: ReadDate, zone: string): string {
  const two = (n: number) => String(n).padStart(2, '0')
  const wall = `${year}-${two(month)}-${two(day)}T${time ?? '12:00:00'}`
  if (offset !== null)
    return new Date(
      `${wall}${offset.length === 5 ? `${offset.slice(0, 3)}:${offset.slice(3)}` : offset.toUpperCase()}`,
    ).toISOString()
  let at = Date.parse(`${wall}Z`)
  // Twice: near a change of the clocks the first guess may have the other offset.
  for (let i = 0; i < 2; i++) at = Date.parse(`${wall}Z`) - offsetMs(at, zone)
  return new Date(at).toISOString()
}

const formats = new Map<string, Intl.DateTimeFormat>()
function offsetMs(at: number, zone: string): number {
  const format =
    formats.get(zone) ??
    new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    })
  formats.set(zone, format)
  const part = Object.fromEntries(format.formatToParts(at).map((one) => [one.type, Number(one.value)]))
  return (
    Date.UTC(part.year!, part.month! - 1, part.day!, part.hour!, part.minute!, part.second!) -
    Math.floor(at / 1000) * 1000
  )
}
