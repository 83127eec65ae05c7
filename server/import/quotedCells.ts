/**
 * Cells in quotation marks that are too long to be any, found before a table is read: a mark that is missing makes one
 * cell of half a file, and a reader of tables goes over it many times.
 */

/** `open`: its mark is never closed. */
export interface LongQuoted {
  row: number
  open: boolean
}

const DELIMITERS = '\t;,|\n'
const beginsCell = (text: string, at: number): boolean => at === 0 || DELIMITERS.includes(text[at - 1]!)

/** @param most characters that a cell may have. Lines end with \n. */
export function longQuoted(text: string, most: number): LongQuoted | null {
  for (let at = text.indexOf('"'); at >= 0;) {
    if (!beginsCell(text, at)) {
      at = text.indexOf('"', at + 1)
      continue
    }
    const end = endOf(text, at, most)
    if (end === 'never' || end === 'far') return { row: rowAt(text, at), open: end === 'never' }
    at = text.indexOf('"', end + 1)
  }
  return null
}

/** Where the mark at `at` is closed: a doubled one stands for itself. */
function endOf(text: string, at: number, most: number): number | 'never' | 'far' {
  // Each character may be a mark, and doubled.
  const farthest = at + 2 * most + 2
  for (let mark = text.indexOf('"', at + 1); ; mark = text.indexOf('"', mark + 2)) {
    if (mark < 0) return text.length > farthest ? 'never' : text.length
    if (mark > farthest) return 'far'
    if (text[mark + 1] !== '"') return mark
  }
}

function rowAt(text: string, at: number): number {
  let row = 1
  for (let end = text.indexOf('\n'); end >= 0 && end < at; end = text.indexOf('\n', end + 1)) row++
  return row
}
