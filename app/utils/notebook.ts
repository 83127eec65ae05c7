/** A page of a notebook: what was the same for all its runs once on top, a row a run, as it becomes a table to store. */
import { QUANTITY_KINDS, type UnitSystem } from '#core/quantity/kinds'
import type { MethodBody } from '#core/method/method'
import { NO_NAMES, type TableMapping } from '#shared/tableImport/mapping'
import { targetOf, type TargetKey } from '#shared/tableImport/targets'
import { furtherOf, logFields, neededOf } from './logFields'

export type NotebookRow = Partial<Record<TargetKey, string>>
export interface NotebookPage {
  /** Of the import it becomes, and the table that was sent under it. */
  id: string
  sent: string
  units: UnitSystem
  setupId: string
  fuelBatchId: string
  methodId: string | null
  personId: string
  placeId: string | null
  /** The day of all its runs, 2026-08-05. */
  day: string
  zone: string
  /** Columns that were added to those the method asks for. */
  added: TargetKey[]
  /** What is the same in every row that says nothing else. */
  all: NotebookRow
  rows: NotebookRow[]
}
export const NOTEBOOK_ROWS = { first: 10, most: 200 } as const
export function emptyRows(): NotebookRow[] {
  return Array.from({ length: NOTEBOOK_ROWS.first }, () => ({}))
}

const NOTHING_TYPED = { measured: {}, times: {} }
const measured = (names: readonly string[]) => names.map((name): TargetKey => `measured.${name}` as TargetKey)
const times = (kinds: readonly string[]) => kinds.map((kind): TargetKey => `times.${kind}` as TargetKey)

/** Which columns a method asks for, in the order of the work, and which more it could have. The clock's zero is none. */
export function notebookColumns(method: MethodBody | null, isNowhere: boolean, added: readonly TargetKey[]) {
  const fields = logFields(method, NOTHING_TYPED)
  const { where, water, fuel, times: marks } = neededOf(fields, isNowhere)
  const zero = clockOf(method)
  const asked: TargetKey[] = [
    'time',
    ...measured([...where, ...water, ...fuel]),
    ...times(marks.filter((kind) => kind !== zero)),
  ]
  const further = furtherOf(fields, isNowhere)
  const more: TargetKey[] = [
    ...measured([...further.readings, ...fields.restReadings]),
    ...times([...further.times, ...fields.restTimes].filter((kind) => kind !== zero)),
    'setting',
    'breakIn',
    'tags',
  ]
  const extra = added.filter((key) => !asked.includes(key))
  return {
    columns: [...asked, ...extra, 'notes' as const],
    more: more.filter((key) => !extra.includes(key) && !asked.includes(key)),
  }
}

/** The mark that the times are counted from. */
const clockOf = (method: MethodBody | null): 'lit' | 'potOn' => (method?.mustMark.includes('lit') ? 'lit' : 'potOn')

/** The unit of a bare number of a column; '': it must say its own, or has none. */
export function bareUnit(key: TargetKey, units: UnitSystem): string {
  const quantity = targetOf(key)?.quantity ?? null
  return quantity === null ? '' : QUANTITY_KINDS[quantity].bare[units]
}

const DITTO = /^\s*["”″〃]\s*$/
/** A ditto mark is what the row above says; rows left blank are none. */
export function settleDitto(rows: readonly NotebookRow[], i: number, key: TargetKey): string {
  const own = rows[i]?.[key] ?? ''
  if (!DITTO.test(own)) return own
  const above = rows.slice(0, i).findLastIndex((row) => !isRowBlank(row))
  return above < 0 ? '' : settleDitto(rows, above, key)
}

export const isRowBlank = (row: NotebookRow): boolean => Object.values(row).every((text) => !text?.trim())
/** What a cell says: its own, else what is the same for all. */
export const cellOf = ({ rows, all }: NotebookPage, i: number, key: TargetKey): string =>
  settleDitto(rows, i, key).trim() || (all[key] ?? '').trim()

/** The rows with something in them, by their place on the page, with the cells of every column. */
export const filledRows = (page: NotebookPage, columns: readonly TargetKey[]) =>
  page.rows.flatMap((row, at) => (isRowBlank(row) ? [] : [{ at, cells: columns.map((key) => cellOf(page, at, key)) }]))

/** How the table is to be read: nothing in it is guessed. */
export function notebookMapping(
  page: NotebookPage,
  columns: readonly TargetKey[],
  method: MethodBody | null,
): TableMapping {
  return {
    sheet: 0,
    headerRow: 0,
    columns: columns.map((key) => ({ to: key, unit: bareUnit(key, page.units) })),
    dateOrder: 'ymd',
    decimal: '',
    day: page.day,
    zone: page.zone,
    origin: 'measured',
    clock: clockOf(method),
    names: NO_NAMES(),
    usual: {
      setup: page.setupId,
      place: page.placeId ?? '',
      fuel: page.fuelBatchId,
      person: page.personId,
      method: page.methodId ?? '',
    },
  }
}
