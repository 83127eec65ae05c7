/** One row of somebody's table as a run: read in full, or every fault of it by column. */
import { SETTINGS, type Setting, TEST_KINDS } from '../../core/formats/document'
import { TESTS, type TestName } from '../../core/method/method'
import { CONTROL } from '../fields'
import { MAX_TEXT } from '../limits'
import type { MeasuredQuantity } from '../measuredQuantity'
import { shown } from '../readProblems'
import { fromText } from '../runTable'
import { crossCheckReadings } from '../typedRunChecks'
import type { ReadRun } from '../readRun'
import { isZone } from '../zone'
import { isUuid } from '../uuid'
import { clock24, hangsOnDateOrder, momentAt, readDate } from '../../core/formats/tableCells'
import { EARLIEST_MS } from '../moments'
import type { TableMapping } from './mapping'
import { targetOf, type NameTarget, type TargetKey } from './targets'
import { readQuantities } from './readQuantities'

export interface RowProblem {
  /** Column, counted from 0; null: of the row as a whole. */
  column: number | null
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
  const row = new WrittenRow(cells, mapping)
  const read = readQuantities(row.filled, mapping, row.faulty)
  const moment = momentOf(row, mapping, nowMs)
  const test = testOf(row)
  const setting = settingOf(row)
  refuseState(row)
  if (row.problems.length === 0)
    for (const problem of crossCheckReadings(read, null, test)) row.faulty(row.columnOf(problem.path), problem.text)
  if (row.problems.length > 0) return { ok: false, problems: row.problems }
  return { ok: true, row: { ...moment, test, setting, ...wordsOf(row), read } }
}

/** What of a row is filled in, by what its columns are, and what is wrong with it. */
class WrittenRow {
  readonly problems: RowProblem[] = []
  readonly filled: Filled[]

  constructor(cells: readonly string[], { columns }: TableMapping) {
    this.filled = columns.flatMap(({ to, unit }, i) =>
      to !== '' && (cells[i] ?? '').trim() !== '' ? [{ i, to, unit, cell: fromText(cells[i]!.trim()).trim() }] : [],
    )
  }

  readonly faulty: Faulty = (column, text) => void this.problems.push({ column, text })

  at(key: TargetKey): Filled | undefined {
    return this.filled.find((one) => one.to === key)
  }

  isYes(key: TargetKey): boolean {
    return YES.test(this.at(key)?.cell ?? '')
  }

  columnOf(path: string): number | null {
    return this.filled.find((one) => one.to === path)?.i ?? null
  }

  /** '' where nothing is. */
  words(key: TargetKey, most: number): string {
    const found = this.at(key)
    if (!found) return ''
    const { i, cell } = found
    const { name } = targetOf(key)!
    if (CONTROL.test(cell)) this.faulty(i, `${name}: holds a character that cannot be kept. Take it out.`)
    if (cell.length > most)
      this.faulty(i, `${name}: read ${cell.length} characters, expected at most ${most}. Shorten it.`)
    return cell
  }
}

type Words = Pick<ImportedRow, 'id' | 'breakIn' | 'burnShare' | 'notes' | 'stoppedReason' | 'tags' | 'names' | 'batch'>
function wordsOf(row: WrittenRow): Words {
  const id = row.at('id')?.cell.toLowerCase()
  return {
    id: id !== undefined && isUuid(id) ? id : null,
    breakIn: row.isYes('breakIn'),
    burnShare: row.isYes('burnShare'),
    notes: row.words('notes', MAX_TEXT.notes),
    stoppedReason: row.words('stoppedReason', MAX_TEXT.reason),
    tags: row
      .words('tags', MAX_TEXT.reason)
      .split(/[,;]/)
      .map((tag) => tag.trim().toLowerCase())
      .filter(Boolean),
    names: {
      setup: row.words('setup', MAX_TEXT.name),
      place: row.words('place', MAX_TEXT.name),
      fuel: row.words('fuel', MAX_TEXT.name),
      person: row.words('person', MAX_TEXT.name),
      method: row.words('method', MAX_TEXT.name),
    },
    batch: row.words('batch', MAX_TEXT.name),
  }
}

function settingOf(row: WrittenRow): Setting | null {
  const written = row.at('setting')
  if (!written) return null
  const known = SETTINGS.find((one) => one === written.cell.toLowerCase()) ?? null
  if (known === null) row.faulty(written.i, `Setting: read ${shown(written.cell)}, expected ${SETTINGS.join(', ')}.`)
  return known
}

function refuseState(row: WrittenRow): void {
  const state = row.at('state')
  if (state && /^(void|draft|live)$/i.test(state.cell))
    row.faulty(
      state.i,
      `State: this run is ${state.cell}. It comes in as a run that counts; take the row out, or empty the cell if that is meant.`,
    )
}

export interface Filled {
  i: number
  to: TargetKey
  unit: string
  cell: string
}

export type Faulty = (column: number | null, text: string) => void

interface Moment {
  startedAt: string
  zone: string
}

function momentOf(row: WrittenRow, mapping: TableMapping, nowMs: number): Moment {
  const zone = zoneOf(row, mapping)
  const day = row.at('startedAt') ?? row.at('day')
  const date = dateOf(row, day, mapping)
  if (date === null) return { startedAt: '', zone }
  const startedAt = momentAt(withTime(row, date), zone)
  const written = shown(day?.cell ?? mapping.day)
  const at = day?.i ?? null
  if (Date.parse(startedAt) > nowMs)
    row.faulty(at, `Date: ${written} is in the future. Check the order of day and month, and the year.`)
  if (Date.parse(startedAt) < EARLIEST_MS) row.faulty(at, `Date: ${written} is before 1970. Check the year.`)
  return { startedAt, zone }
}

/** Its own where that is one, else the table's. */
function zoneOf(row: WrittenRow, mapping: TableMapping): string {
  const named = row.at('zone')
  if (!named) return mapping.zone
  if (isZone(named.cell)) return named.cell
  row.faulty(named.i, `Time zone: read ${shown(named.cell)}, expected one such as Europe/Lisbon.`)
  return mapping.zone
}

/** @param day the cell that says it; undefined: one day for all rows */
function dateOf(row: WrittenRow, day: Filled | undefined, { dateOrder, day: ofAll }: TableMapping): ReadDate | null {
  const written = day?.cell ?? ofAll
  const at = day?.i ?? null
  if (written === '') {
    row.faulty(null, 'Date: read nothing. Say which column it is in, or one day for all rows.')
    return null
  }
  const isOpen = dateOrder === '' && hangsOnDateOrder(written)
  if (isOpen) row.faulty(at, `Date: ${shown(written)} can be read in more than one order. Say which the table has.`)
  const date = readDate(written, dateOrder || null)
  if (date === null && !isOpen) {
    const order = dateOrder === '' ? '' : `, or one with the ${ORDER_WORDS[dateOrder]}`
    row.faulty(at, `Date: read ${shown(written)}, expected a date such as 2026-03-14${order}.`)
  }
  return date
}
type ReadDate = NonNullable<ReturnType<typeof readDate>>

function withTime(row: WrittenRow, date: ReadDate): ReadDate {
  const time = row.at('time')
  if (!time) return date
  const clock = /^(\d{1,2}:\d{2}(?::\d{2})?)\s*([ap]m)?$/i.exec(time.cell)
  if (!clock) row.faulty(time.i, `Time of day: read ${shown(time.cell)}, expected a time such as 14:05.`)
  return clock ? { ...date, time: clock24(clock[1]!, clock[2]) } : date
}

const ORDER_WORDS = { dmy: 'day first', mdy: 'month first', ymd: 'year first' } as const

function testOf(row: WrittenRow): TestName {
  const found = row.at('kind')
  if (!found) return 'boil'
  const plain = (text: string) => text.toLowerCase().replace(/[^a-z]/g, '')
  const known = [...TESTS, ...TEST_KINDS].find((one) => plain(one) === plain(found.cell))
  if (known === undefined)
    row.faulty(found.i, `Test: read ${shown(found.cell)}, expected one of ${TEST_KINDS.join(', ')}.`)
  return (known ?? 'boil') as TestName
}

/** The quantities of a row as they are shown in a preview. */
export const quantityName = (quantity: MeasuredQuantity): string => targetOf(`measured.${quantity}`)!.name
