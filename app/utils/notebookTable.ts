/** A page of a notebook as text: the table that is stored, and what a spreadsheet lays over it. */
import Papa from 'papaparse'
import { targetOf, type TargetKey } from '#shared/tableImport/targets'
import { filledRows, NOTEBOOK_ROWS, type NotebookPage, type NotebookRow } from './notebook'

/** The page as the table that is stored. */
export const notebookTable = (page: NotebookPage, columns: readonly TargetKey[]): string =>
  Papa.unparse([columns.map((key) => targetOf(key)!.name), ...filledRows(page, columns).map(({ cells }) => cells)])

/** Cells that were copied from a spreadsheet, laid over the page from a cell on. @returns the rows as they are then */
export function laidOver(
  rows: readonly NotebookRow[],
  columns: readonly TargetKey[],
  at: { row: number; column: number },
  text: string,
): NotebookRow[] {
  const { data } = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' })
  const laid = rows.map((row) => ({ ...row }))
  for (const [i, cells] of data.entries()) {
    const to = at.row + i
    if (to >= NOTEBOOK_ROWS.most) break
    while (laid.length <= to) laid.push({})
    for (const [j, cell] of cells.entries()) {
      const key = columns[at.column + j]
      if (key !== undefined) laid[to]![key] = cell.trim()
    }
  }
  return laid
}
