/**
 * What would be stored of a table of runs, row by row, before anything is: every row is read as storing would read it.
 */
import { asksDateOrder, asksUnit, askedDecimal } from '../../shared/tableImport/guess'
import { EMPTY_UNKNOWN, SHOWN, type ImportPreview, type PreviewRow } from '../../shared/tableImport/imports'
import type { TableMapping } from '../../shared/tableImport/mapping'
import { quantityName, type RowProblem } from '../../shared/tableImport/readRow'
import { NAME_TARGETS, type NameTarget } from '../../shared/tableImport/targets'
import { EVENT_NAMES } from '../../core/run/events'
import type { Connection } from '../database/connection'
import { kitByName, type Kit } from './kitNames'
import { knownRuns } from './repository/runs'
import { isBlank, resolveRow, unknownNames, type ResolvedRow, type RowOutcome } from './resolveRow'

/** Rows that can be stored, with their number in the file; and those that cannot, with why. */
export interface ReadTable {
  good: { row: number; value: ResolvedRow }[]
  faults: (RowProblem & { row: number })[]
  bad: number
  unknown: Record<NameTarget, Map<string, number>>
}

/** @param rows of the sheet, the headings with them */
export function readTable(
  rows: readonly (readonly string[])[],
  mapping: TableMapping,
  kit: Kit,
  nowMs: number,
): ReadTable {
  const table: ReadTable = { good: [], faults: [], bad: 0, unknown: unknownNames() }
  const seen = new Map<string, number>()
  for (let i = mapping.headerRow + 1; i < rows.length; i++) {
    const cells = rows[i]!
    if (isBlank(cells)) continue
    take(table, seen, { row: i + 1, outcome: resolveRow(cells, mapping, kit, nowMs), mapping })
  }
  return table
}

interface TakenRow {
  row: number
  outcome: RowOutcome
  mapping: TableMapping
}
/** @param seen rows by the ids that they give */
function take(table: ReadTable, seen: Map<string, number>, { row, outcome, mapping }: TakenRow): void {
  if (!outcome.ok) {
    table.bad += 1
    for (const problem of outcome.problems) table.faults.push({ row, ...problem })
    for (const { target, name } of outcome.unknown)
      table.unknown[target].set(name, (table.unknown[target].get(name) ?? 0) + 1)
    return
  }
  const { id } = outcome.value.row
  const twin = id === null ? undefined : seen.get(id)
  if (twin === undefined) {
    table.good.push({ row, value: outcome.value })
    if (id !== null) seen.set(id, row)
    return
  }
  table.bad += 1
  table.faults.push({
    row,
    column: mapping.columns.findIndex((one) => one.to === 'id'),
    text: `Id: row ${twin} has the same. An id is of one run; take one of the rows out, or leave the column out.`,
  })
}

/** Rows whose run is here already: they are left out, and it is said. */
export async function withoutKnown(db: Connection, table: ReadTable, mapping: TableMapping): Promise<ReadTable> {
  const ids = table.good.flatMap((one) => one.value.row.id ?? [])
  const known = await knownRuns(db, ids)
  if (known.size === 0) return table
  const column = mapping.columns.findIndex((one) => one.to === 'id')
  const there = table.good.filter((one) => known.has(one.value.row.id ?? ''))
  return {
    ...table,
    good: table.good.filter((one) => !known.has(one.value.row.id ?? '')),
    bad: table.bad + there.length,
    faults: [
      ...table.faults,
      ...there.map(({ row }) => ({
        row,
        column,
        text: 'Id: a run of this id is here already. It stays as it is; leave the column out to have the row as another run.',
      })),
    ].sort((a, b) => a.row - b.row),
  }
}

export async function previewTable(
  db: Connection,
  rows: readonly string[][],
  mapping: TableMapping,
  nowMs: number,
): Promise<ImportPreview> {
  const table = await withoutKnown(db, readTable(rows, mapping, await kitByName(db), nowMs), mapping)
  const body = rows.slice(mapping.headerRow + 1)
  const unknown = EMPTY_UNKNOWN()
  for (const target of NAME_TARGETS)
    unknown[target] = [...table.unknown[target]]
      .map(([name, count]) => ({ name, rows: count }))
      .sort((a, b) => b.rows - a.rows)
  return {
    good: table.good.length,
    bad: table.bad,
    rows: table.good.slice(0, SHOWN.rows).map(({ row, value }) => ({ row, cells: cellsOf(value) })),
    faults: table.faults.slice(0, SHOWN.faults),
    asks: {
      dateOrder: asksDateOrder(body, mapping.columns),
      decimal: askedDecimal(body, mapping.columns) === '',
      units: asksUnit(body, mapping.columns),
    },
    unknown,
    problems: [],
  }
}

/** A row as it would be stored, in words. */
function cellsOf({ row, setup, place, fuel, person }: ResolvedRow): PreviewRow['cells'] {
  const named = (one: { make: { name: string } | null } | null, written: string) =>
    one === null ? '' : one.make ? `${one.make.name}, new` : written
  return {
    Started: `${row.startedAt.slice(0, 16).replace('T', ' ')} UTC`,
    'Set-up': named(setup, row.names.setup || 'as usual'),
    Place: named(place, row.names.place || (place ? 'as usual' : '')),
    Fuel: named(fuel, row.names.fuel || 'as usual'),
    Who: named(person, row.names.person || 'as usual'),
    ...Object.fromEntries(row.read.measurements.map((one) => [quantityName(one.quantity), one.typed])),
    ...Object.fromEntries(row.read.events.map((one) => [EVENT_NAMES[one.kind], one.typed])),
  }
}
