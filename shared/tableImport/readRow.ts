/** One row of somebody's table as a run: read in full, or every fault of it by column. */
import { SETTINGS, type Setting } from '../../core/formats/document'
import { TESTS, type TestName } from '../../core/method/method'
import { TEST_KINDS } from '../../core/formats/document'
import { parseQuantity, type Quantity } from '../../core/quantity/parseQuantity'
import { unitOf } from '../../core/quantity/units'
import { problemText, type R } from '../../core/result'
import { CONTROL } from '../fields'
import { MAX_TEXT } from '../limits'
import type { MeasuredQuantity } from '../measuredQuantity'
import { shown } from '../readProblems'
import { fromText } from '../runTable'
import { crossCheckReadings } from '../typedRunChecks'
import { isZone, TYPED_EVENTS, type ReadRun, type TypedEventKind } from '../typedRun'
import { isUuid } from '../uuid'
import {
  clock24,
  hangsOnDateOrder,
  hangsOnDecimalMark,
  isBareNumber,
  momentAt,
  plainNumber,
  readDate,
} from '../../core/formats/tableCells'
import { EARLIEST_MS } from '../moments'
import { MINUTES_DOT_SECONDS, type TableMapping } from './mapping'
import { targetOf, type NameTarget, type TargetKey } from './targets'

export interface RowProblem {
  /** Column, counted from 0; null: of the row as a whole. */ column: number | null
  text: string
}
export interface ImportedRow {
  /** Null: it had none. */
  id: string | null
  startedAt: string
  zone: string
  test: TestName
  setting: Setting | null
  breakIn: boolean
  /** Fuel to the boil is taken by its share of burn time. */
  burnShare: boolean
  notes: string
  tags: string[]
  stoppedReason: string
  /** As written; '' where nothing was. */
  names: Record<NameTarget, string>
  batch: string
  read: ReadRun
}
export type ReadRow = { ok: true; row: ImportedRow } | { ok: false; problems: RowProblem[] }

const YES = /^(yes|y|true|1|x|ja|oui|sí|si)$/i

/** @param nowMs the time, against which a date in the future is told */
export function readRow(cells: readonly string[], mapping: TableMapping, nowMs: number): ReadRow {
  const problems: RowProblem[] = []
  const faulty = (column: number | null, text: string) => void problems.push({ column, text })
  const filled = mapping.columns.flatMap(({ to, unit }, i) =>
    to !== '' && (cells[i] ?? '').trim() !== '' ? [{ i, to, unit, cell: fromText(cells[i]!.trim()).trim() }] : [],
  )
  const wordAt = (key: TargetKey) => filled.find((one) => one.to === key)
  const words = (key: TargetKey, most: number) => {
    const found = wordAt(key)
    if (found && CONTROL.test(found.cell))
      faulty(found.i, `${targetOf(key)!.name}: holds a character that cannot be kept. Take it out.`)
    if (found && found.cell.length > most)
      faulty(
        found.i,
        `${targetOf(key)!.name}: read ${found.cell.length} characters, expected at most ${most}. Shorten it.`,
      )
    return found?.cell ?? ''
  }
  const read = readQuantities(filled, mapping, faulty)
  const { startedAt, zone } = momentOf(wordAt, mapping, nowMs, faulty)
  const test = testOf(wordAt('kind'), faulty)
  const id = wordAt('id')
  const setting = wordAt('setting')
  const chosen = setting ? (SETTINGS.find((one) => one === setting.cell.toLowerCase()) ?? null) : null
  if (setting && chosen === null)
    faulty(setting.i, `Setting: read ${shown(setting.cell)}, expected ${SETTINGS.join(', ')}.`)
  const state = wordAt('state')
  if (state && /^(void|draft|live)$/i.test(state.cell))
    faulty(
      state.i,
      `State: this run is ${state.cell}. It comes in as a run that counts; take the row out, or empty the cell if that is meant.`,
    )
  if (problems.length === 0)
    for (const problem of crossCheckReadings(read, null, test)) faulty(columnOf(filled, problem.path), problem.text)
  if (problems.length > 0) return { ok: false, problems }
  return {
    ok: true,
    row: {
      id: id && isUuid(id.cell.toLowerCase()) ? id.cell.toLowerCase() : null,
      startedAt,
      zone,
      test,
      setting: chosen,
      breakIn: YES.test(wordAt('breakIn')?.cell ?? ''),
      burnShare: YES.test(wordAt('burnShare')?.cell ?? ''),
      notes: words('notes', MAX_TEXT.notes),
      stoppedReason: words('stoppedReason', MAX_TEXT.reason),
      tags: words('tags', MAX_TEXT.reason)
        .split(/[,;]/)
        .map((tag) => tag.trim().toLowerCase())
        .filter(Boolean),
      names: {
        setup: words('setup', MAX_TEXT.name),
        place: words('place', MAX_TEXT.name),
        fuel: words('fuel', MAX_TEXT.name),
        person: words('person', MAX_TEXT.name),
        method: words('method', MAX_TEXT.name),
      },
      batch: words('batch', MAX_TEXT.name),
      read,
    },
  }
}

interface Filled {
  i: number
  to: TargetKey
  unit: string
  cell: string
}
type Faulty = (column: number | null, text: string) => void
const columnOf = (filled: readonly Filled[], path: string) => filled.find((one) => one.to === path)?.i ?? null

function readQuantities(filled: readonly Filled[], mapping: TableMapping, faulty: Faulty): ReadRun {
  const measurements: ReadRun['measurements'] = []
  const events: ReadRun['events'] = []
  for (const one of filled) {
    const target = targetOf(one.to)!
    if (target.quantity === null) continue
    const quantity = readCell(one, mapping)
    if (!quantity.ok) {
      faulty(one.i, `${target.name}: ${problemText(quantity.problem)}`)
      continue
    }
    const { value, unit } = quantity.value
    // As it stood there, with the unit that its heading gave.
    const typed =
      isBareNumber(one.cell) && one.unit !== '' && one.unit !== MINUTES_DOT_SECONDS
        ? `${one.cell} ${unitOf(one.unit).label}`
        : one.cell
    const twice = () => faulty(one.i, `${target.name}: two columns give it, and they differ. Leave one out.`)
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
  const counted = mapping.clock
  if (events.length > 0 && !events.some((event) => event.kind === 'potOn' || event.kind === 'lit'))
    events.unshift({ kind: counted, atMs: 0, typed: '0:00' })
  return {
    measurements,
    events: events.sort(
      (a, b) =>
        a.atMs - b.atMs ||
        TYPED_EVENTS.indexOf(a.kind as TypedEventKind) - TYPED_EVENTS.indexOf(b.kind as TypedEventKind),
    ),
  }
}

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

function momentOf(
  at: (key: TargetKey) => Filled | undefined,
  mapping: TableMapping,
  nowMs: number,
  faulty: Faulty,
): { startedAt: string; zone: string } {
  const named = at('zone')
  if (named && !isZone(named.cell))
    faulty(named.i, `Time zone: read ${shown(named.cell)}, expected one such as Europe/Lisbon.`)
  const zone = named && isZone(named.cell) ? named.cell : mapping.zone
  const day = at('startedAt') ?? at('day')
  const written = day?.cell ?? mapping.day
  if (written === '') {
    faulty(null, 'Date: read nothing. Say which column it is in, or one day for all rows.')
    return { startedAt: '', zone }
  }
  if (mapping.dateOrder === '' && hangsOnDateOrder(written))
    faulty(day?.i ?? null, `Date: ${shown(written)} can be read in more than one order. Say which the table has.`)
  const date = readDate(written, mapping.dateOrder || null)
  if (date === null) {
    if (mapping.dateOrder !== '' || !hangsOnDateOrder(written))
      faulty(
        day?.i ?? null,
        `Date: read ${shown(written)}, expected a date such as 2026-03-14${mapping.dateOrder === '' ? '' : `, or one with the ${ORDER_WORDS[mapping.dateOrder]}`}.`,
      )
    return { startedAt: '', zone }
  }
  const time = at('time')
  const clock = time ? /^(\d{1,2}:\d{2}(?::\d{2})?)\s*([ap]m)?$/i.exec(time.cell) : null
  if (time && !clock) faulty(time.i, `Time of day: read ${shown(time.cell)}, expected a time such as 14:05.`)
  const startedAt = momentAt(clock ? { ...date, time: clock24(clock[1]!, clock[2]) } : date, zone)
  if (Date.parse(startedAt) > nowMs)
    faulty(day?.i ?? null, `Date: ${shown(written)} is in the future. Check the order of day and month, and the year.`)
  if (Date.parse(startedAt) < EARLIEST_MS)
    faulty(day?.i ?? null, `Date: ${shown(written)} is before 1970. Check the year.`)
  return { startedAt, zone }
}
const ORDER_WORDS = { dmy: 'day first', mdy: 'month first', ymd: 'year first' } as const

function testOf(found: Filled | undefined, faulty: Faulty): TestName {
  if (!found) return 'boil'
  const plain = (text: string) => text.toLowerCase().replace(/[^a-z]/g, '')
  const known = [...TESTS, ...TEST_KINDS].find((one) => plain(one) === plain(found.cell))
  if (known === undefined) faulty(found.i, `Test: read ${shown(found.cell)}, expected one of ${TEST_KINDS.join(', ')}.`)
  return (known ?? 'boil') as TestName
}

/** The quantities of a row as they are shown in a preview. */
export const quantityName = (quantity: MeasuredQuantity): string => targetOf(`measured.${quantity}`)!.name
