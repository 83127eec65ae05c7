/** A table's rows as CSV. */
import Papa from 'papaparse'
import type { DataColumn } from './dataTable'

/** Rows under their heads, each with its unit. */
export const tableText = <T>(columns: readonly DataColumn<T>[], rows: readonly T[]): string => {
  const held = columns.filter((column) => column.of)
  const headOf = ({ words, unit }: DataColumn<T>) => (unit ? `${words} [${unit}]` : words)
  const cells = rows.map((row) => held.map((column) => column.of!(row) ?? ''))
  return Papa.unparse([held.map(headOf), ...cells], { newline: '\n' })
}
