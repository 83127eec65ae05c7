/** How much a table may hold, the same for every format: counted as it is read, so that what is too much is never held. */
import { fail, type R } from '../../core/result'
import { IMPORT } from '../../shared/limits'

const AGAIN = 'Bring a part of it at a time. Nothing was stored.'

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
    if (row.length > IMPORT.maxColumns) return this.#refuse(`Row ${this.#rows} of ${this.name}`, `${row.length} columns`, `at most ${IMPORT.maxColumns}`, 'Leave out the columns that are of no use here. Nothing was stored.')
    if (this.#cells > IMPORT.maxCells) return this.#refuse(this.name, `more than ${IMPORT.maxCells / 1e6} million cells`, 'fewer', AGAIN)
    const long = row.findIndex(cell => cell.length > IMPORT.maxCellCharacters)
    if (long >= 0) return this.#refuse(`Row ${this.#rows}, column ${long + 1} of ${this.name}`, `${row[long]!.length} characters`, `at most ${IMPORT.maxCellCharacters}`, 'Shorten it, or mend a quotation mark that is missing. Nothing was stored.')
    return true
  }

  #refuse(what: string, got: string, limit: string, hint: string): false {
    this.fault = fail({ code: 'too-large', what, got, limit, hint })
    return false
  }
}
