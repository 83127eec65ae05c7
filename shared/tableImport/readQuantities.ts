/** The quantities of a row, each in its unit. */
import { parseQuantity, type Quantity } from '../../core/quantity/parseQuantity'
import { unitOf } from '../../core/quantity/units'
import { problemText, type R } from '../../core/result'
import type { MeasuredQuantity } from '../measuredQuantity'
import { shown } from '../readProblems'
import { TYPED_EVENTS, type TypedEventKind } from '../typedRun'
import type { ReadRun } from '../readRun'
import { hangsOnDecimalMark, isBareNumber, plainNumber } from '../../core/formats/tableCells'
import { MINUTES_DOT_SECONDS, type TableMapping } from './mapping'
import { targetOf } from './targets'
import type { Filled, Faulty } from './readRow'

export function readQuantities(filled: readonly Filled[], mapping: TableMapping, faulty: Faulty): ReadRun {
  const read: ReadRun = { measurements: [], events: [] }
  for (const one of filled) {
    const target = targetOf(one.to)!
    if (target.quantity === null) continue
    const quantity = readCell(one, mapping)
    if (!quantity.ok) {
      faulty(one.i, `${target.name}: ${problemText(quantity.problem)}`)
      continue
    }
    addTo(read, one, quantity.value, () =>
      faulty(one.i, `${target.name}: two columns give it, and they differ. Leave one out.`),
    )
  }
  const { events } = read
  if (events.length > 0 && !events.some((event) => event.kind === 'potOn' || event.kind === 'lit'))
    events.unshift({ kind: mapping.clock, atMs: 0, typed: '0:00' })
  events.sort((a, b) => a.atMs - b.atMs || rankOf(a) - rankOf(b))
  return read
}

const rankOf = ({ kind }: ReadRun['events'][number]): number => TYPED_EVENTS.indexOf(kind as TypedEventKind)

function addTo({ measurements, events }: ReadRun, one: Filled, { value, unit }: Quantity, twice: () => void): void {
  const typed = asTyped(one)
  if (one.to.startsWith('times.'))
    addOnce(
      events,
      { kind: one.to.slice(6) as TypedEventKind, atMs: Math.round(value * 1000), typed },
      (each) => each.kind,
      (each) => each.atMs,
      twice,
    )
  else
    addOnce(
      measurements,
      { quantity: one.to.slice(9) as MeasuredQuantity, value, typed, unit },
      (each) => each.quantity,
      (each) => each.value,
      twice,
    )
}

/** As it stood there, with the unit that its heading gave. */
const asTyped = ({ cell, unit }: Filled): string =>
  isBareNumber(cell) && unit !== '' && unit !== MINUTES_DOT_SECONDS ? `${cell} ${unitOf(unit).label}` : cell

function addOnce<T>(
  list: T[],
  one: T,
  what: (each: T) => string,
  value: (each: T) => number,
  differ: () => void,
): void {
  const standing = list.find((each) => what(each) === what(one))
  if (standing === undefined) list.push(one)
  else if (Math.abs(value(standing) - value(one)) > 1e-9 * Math.abs(value(one))) differ()
}

/** A cell's own unit beats its column's. */
function readCell({ to, unit, cell }: Filled, { decimal }: TableMapping): R<Quantity> {
  const target = targetOf(to)!
  if (decimal === '' && hangsOnDecimalMark(cell))
    return {
      ok: false,
      problem: {
        code: 'ambiguous-number',
        what: 'A thousand, or three decimals?',
        got: shown(cell),
        hint: 'Say which decimal mark the table has.',
      },
    }
  const plain = plainNumber(cell, decimal || null)
  if (!isBareNumber(plain)) return parseQuantity(plain, target.quantity!, 'metric')
  if (unit === MINUTES_DOT_SECONDS) return minutesDotSeconds(plain)
  if (unit === '')
    return {
      ok: false,
      problem: { code: 'no-unit', what: 'No unit', got: shown(cell), hint: 'Say which unit the column is in.' },
    }
  return parseQuantity(`${plain} ${SPELT[unit] ?? unitOf(unit).label}`, target.quantity!, 'metric')
}

/** Labels that are read another way where weight and volume are both asked. */
const SPELT: Record<string, string> = { oz: 'oz wt' }

/** "5.12" as a stop-watch's 5:12. One decimal is refused: 5.1 may be 5:10 or 5:01. */
function minutesDotSeconds(cell: string): R<Quantity> {
  const parts = /^(\d+)(?:[.,](\d+))?$/.exec(cell)
  if (!parts || (parts[2] !== undefined && (parts[2].length !== 2 || Number(parts[2]) > 59)))
    return {
      ok: false,
      problem: {
        code: 'not-a-time',
        what: 'Not minutes and seconds',
        got: shown(cell),
        limit: 'a time such as 5.12 for 5:12',
      },
    }
  return parseQuantity(`${parts[1]}:${parts[2] ?? '00'}`, 'clockTime', 'metric')
}
