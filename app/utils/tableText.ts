/** A table's rows as text that spreadsheets take. */
import Papa from 'papaparse'
import type { DataColumn } from './dataTable'

/** Rows with their heads; tabs between them is what the clipboard takes. */
export const tableText = <T>(columns: readonly DataColumn<T>[], rows: readonly T[], delimiter: ',' | '\t'): string => {
  const held = columns.filter((column) => column.of)
  const headOf = ({ words, unit }: DataColumn<T>) => (unit ? `${words} [${unit}]` : words)
  const cells = rows.map((row) => held.map((column) => column.of!(row) ?? ''))
  return Papa.unparse([held.map(headOf), ...cells], { delimiter, newline: '\n' })
}
