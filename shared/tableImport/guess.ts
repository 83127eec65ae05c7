/**
 * A first reading of somebody's table: where its headings are, what the columns are, their units. What cannot be told
 * stays open, to be asked.
 */
import { UNITS } from '../../core/quantity/units'
import { QUANTITY_KINDS, type QuantityKind } from '../../core/quantity/kinds'
import { parseNumber } from '../../core/quantity/parseNumber'
import {
  decimalMarkOf,
  hangsOnDateOrder,
  hangsOnDecimalMark,
  isBareNumber,
  type DecimalMark,
} from '../../core/formats/tableCells'
import { readHeading, targetOfHeading, unitFor } from './header'
import { TABLE_COLUMNS } from '../runTable'
import { MINUTES_DOT_SECONDS, NO_NAMES, type ColumnMapping, type TableMapping } from './mapping'
import { targetOf, type Target, type TargetKey } from './targets'

/** Rows looked at for guessing. */
export const LOOKED_AT = 200

export function guessMapping(
  rows: readonly (readonly string[])[],
  { zone, sheet = 0 }: { zone: string; sheet?: number },
): TableMapping {
  const headerRow = headingRow(rows)
  const width = Math.max(0, ...rows.map((row) => row.length))
  const body = rows.slice(headerRow + 1)
  const taken = new Set<TargetKey>()
  const columns = Array.from({ length: width }, (_, i) =>
    guessColumn(
      headerRow < 0 ? null : (rows[headerRow]![i] ?? ''),
      body.map((row) => row[i] ?? ''),
      taken,
    ),
  )
  return {
    sheet,
    headerRow,
    columns,
    dateOrder: '',
    decimal: askedDecimal(body, columns) ?? '',
    day: '',
    zone,
    origin: 'measured',
    clock: 'potOn',
    names: NO_NAMES(),
    usual: { setup: '', place: '', fuel: '', person: '', method: '' },
  }
}

/** @param written its heading; null: the table has none */
function guessColumn(written: string | null, cells: readonly string[], taken: Set<TargetKey>): ColumnMapping {
  if (written === null || WORKED_OUT.has(written.trim())) return { to: '', unit: '' }
  const heading = readHeading(written)
  const target = targetOfHeading(heading, areFigures(cells))
  // A quantity may have a column for each way of measuring it, as water by mass and by volume; a name or a moment has
  // one.
  if (target === null || (taken.has(target.key) && !target.key.startsWith('measured.'))) return { to: '', unit: '' }
  taken.add(target.key)
  return { to: target.key, unit: unitFor(target, heading.unit) || unitFromValues(target, cells) }
}

/** Columns of an exported table that are worked out anew from the readings. */
const WORKED_OUT = new Set(
  TABLE_COLUMNS.filter((column) => column.key.startsWith('figure.')).map((column) => column.header),
)
const areFigures = (cells: readonly string[]) =>
  cells.some((cell) => cell !== '') &&
  cells.every((cell) => cell === '' || /^[-+−]?[\d.,]+\s*\D{0,6}$/.test(cell.trim()))

/** The row that knows most headings, of those above the first row of figures; −1 where none does. */
function headingRow(rows: readonly (readonly string[])[]): number {
  let [best, most] = [-1, 0]
  for (const [i, row] of rows.slice(0, 30).entries()) {
    const known = row.filter(
      (cell) => cell.trim() !== '' && !isBareNumber(cell) && targetOfHeading(readHeading(cell)) !== null,
    ).length
    if (known > most) [best, most] = [i, known]
  }
  return best
}

/**
 * Values that only one of a kind's units makes sensible [in that unit]: water at 60 is Fahrenheit before it is lit, a
 * pressure of 29.9 is of mercury.
 */
const SENSIBLE: Partial<Record<TargetKey, [unit: string, low: number, high: number][]>> = {
  'measured.waterStart': [
    ['degC', -1, 32],
    ['degF', 40, 100],
  ],
  'measured.air': [
    ['degC', -35, 32],
    ['degF', 40, 110],
  ],
  'measured.stationPressure': [
    ['hPa', 500, 1100],
    ['inHg', 15, 33],
  ],
  'measured.seaLevelPressure': [
    ['hPa', 900, 1100],
    ['inHg', 26, 33],
  ],
  'measured.humidity': [['pct', 1.01, 100]],
}
/** The one unit that makes all bare numbers sensible; '' where none or several do. */
function unitFromValues(target: Target, cells: readonly string[]): string {
  const values = cells
    .slice(0, LOOKED_AT)
    .filter(isBareNumber)
    .map((cell) => parseNumber(cell)!)
  if (values.length < 3) return ''
  const fits = (SENSIBLE[target.key] ?? []).filter(([, low, high]) =>
    values.every((value) => value >= low && value <= high),
  )
  return fits.length === 1 ? fits[0]![0] : ''
}

/** Null: there is no need to say it. '': it must be said. */
export function askedDecimal(
  body: readonly (readonly string[])[],
  columns: readonly ColumnMapping[],
): DecimalMark | '' | null {
  const cells = body.flatMap((row) => row.filter((cell, i) => cell !== '' && targetOf(columns[i]?.to ?? '')?.quantity))
  const mark = decimalMarkOf(cells)
  if (mark === 'comma' || mark === 'point') return mark
  return cells.some(hangsOnDecimalMark) ? '' : null
}
export const asksDateOrder = (body: readonly (readonly string[])[], columns: readonly ColumnMapping[]): boolean =>
  columns.some(
    ({ to }, i) => (to === 'day' || to === 'startedAt') && body.some((row) => hangsOnDateOrder(row[i] ?? '')),
  )
/** Columns with bare numbers whose unit nobody said. */
export const asksUnit = (body: readonly (readonly string[])[], columns: readonly ColumnMapping[]): number[] =>
  columns.flatMap(({ to, unit }, i) =>
    unit === '' && targetOf(to)?.quantity && body.some((row) => isBareNumber(row[i] ?? '')) ? [i] : [],
  )

/** The units a column of this target may be in. */
export function unitsOfTarget(target: Target): { id: string; label: string }[] {
  if (target.quantity === null) return []
  const { dimensions }: QuantityKind = QUANTITY_KINDS[target.quantity]
  const units = UNITS.filter((unit) => dimensions.includes(unit.dimension)).map(({ id, label }) => ({ id, label }))
  return target.quantity === 'clockTime'
    ? [...units, { id: MINUTES_DOT_SECONDS, label: 'min.s (5.12 is 5:12)' }]
    : units
}
