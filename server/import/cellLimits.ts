/**
 * How much a table may hold, the same for every format: counted as it is read, so that what is too much is never held.
 */
import { fail, type Problem, type R } from '../../core/result'
import { IMPORT } from '../../shared/limits'

const AGAIN = 'Bring a part of it at a time. Nothing was stored.'

export const tooManyCells = (name: string): Problem => ({
  code: 'too-large',
  what: name,
  got: `more than ${IMPORT.maxCells / 1e6} million cells`,
  limit: 'fewer',
  hint: AGAIN,
})

/** Whether a text has more lines: seen long before its cells are taken apart. */
export function moreLines(text: string, most: number): boolean {
  let lines = 0
  for (let at = text.indexOf('\n'); at >= 0 && lines <= most; at = text.indexOf('\n', at + 1)) lines++
  return lines > most
}

export class CellCount {
  #cells = 0
  #rows = 0
  /** The first thing that was too much; null: nothing. */
  fault: R<never> | null = null

  constructor(readonly name: string) {}

  /** False: this row is too much, or one before was. An empty row counts as one cell. */
  take(row: readonly string[]): boolean {
    if (this.fault) return false
    this.#rows++
    this.#cells += Math.max(1, row.length)
    if (row.length > IMPORT.maxColumns)
      return this.#refuse({
        code: 'too-large',
        what: `Row ${this.#rows} of ${this.name}`,
        got: `${row.length} columns`,
        limit: `at most ${IMPORT.maxColumns}`,
        hint: 'Leave out the columns that are of no use here. Nothing was stored.',
      })
    if (this.#cells > IMPORT.maxCells) return this.#refuse(tooManyCells(this.name))
    const long = row.findIndex((cell) => cell.length > IMPORT.maxCellCharacters)
    if (long >= 0)
      return this.#refuse({
        code: 'too-large',
        what: `Row ${this.#rows}, column ${long + 1} of ${this.name}`,
        got: `${row[long]!.length} characters`,
        limit: `at most ${IMPORT.maxCellCharacters}`,
        hint: 'Shorten it, or mend a quotation mark that is missing. Nothing was stored.',
      })
    return true
  }

  #refuse(problem: Problem): false {
    this.fault = fail(problem)
    return false
  }
}
