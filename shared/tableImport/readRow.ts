/** One row of somebody's table as a run: read in full, or every fault of it by column. */
import { SETTINGS, type Setting, TEST_KINDS } from '../../core/formats/document'
import { TESTS, type TestName } from '../../core/method/method'
import { CONTROL } from '../fields'
import { MAX_TEXT } from '../limits'
import type { MeasuredQuantity } from '../measuredQuantity'
import { shown } from '../readProblems'
import { fromText } from '../runTable'
import { crossCheckReadings } from '../typedRunChecks'
import { isZone, type ReadRun } from '../typedRun'
import { isUuid } from '../uuid'
import { clock24, hangsOnDateOrder, momentAt, readDate } from '../../core/formats/tableCells'
import { EARLIEST_MS } from '../moments'
import type { TableMapping } from './mapping'
import { targetOf, type NameTarget, type TargetKey } from './targets'
import { readQuantities } from './readQuantities'

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

export interface Filled {
  i: number
  to: TargetKey
  unit: string
  cell: string
}

export type Faulty = (column: number | null, text: string) => void

const columnOf = (filled: readonly Filled[], path: string) => filled.find((one) => one.to === path)?.i ?? null

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
