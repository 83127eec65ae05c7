/** An import as its page reads it, from the choice of a file to undoing it. */
import type { FieldProblem } from '../readProblems'
import type { RowProblem } from './readRow'
import type { TableMapping } from './mapping'
import type { TraceMapping } from './traceMapping'
import type { NameTarget } from './targets'

export type ImportKind = 'table' | 'documents'
export type ImportState = 'staged' | 'storing' | 'stored' | 'undone'
export interface SheetLine {
  name: string
  rows: number
}
export interface ImportMade {
  setups: string[]
  things: string[]
  batches: string[]
  places: string[]
  people: string[]
}
/** What was stored of it: runs, or a logger's traces. */
export type StoredMapping = { what: 'runs'; mapping: TableMapping } | { what: 'trace'; mapping: TraceMapping }

export interface ImportLine {
  id: string
  fileName: string
  kind: ImportKind
  state: ImportState
  what: StoredMapping['what'] | null
  createdAt: string
  storedAt: string | null
  undoneAt: string | null
  rows: number
  done: number
  stored: number
  leftOut: number
  trouble: string
}
/** `alike`: the same file that came in before. */
export interface ImportPage extends ImportLine {
  sheets: SheetLine[]
  notes: string[]
  /** The first rows of each sheet, as they came. */
  heads: string[][][]
  mapping: StoredMapping | null
  guessed: TableMapping | null
  guessedTrace: TraceMapping | null
  /** Whose mapping the guess is, where a table of the same headings came in before. */
  guessedFrom: { fileName: string; at: string } | null
  alike: { id: string; fileName: string; storedAt: string; stored: number } | null
  /** The run that a trace was stored for. */
  runId: string | null
}

interface UnknownName {
  name: string
  rows: number
}
export interface PreviewRow {
  row: number
  cells: Record<string, string>
}
/** What would be stored, and what stands in the way of it. */
export interface ImportPreview {
  /** Rows that can be stored, and that cannot. Rows of nothing count as neither. */
  good: number
  bad: number
  /** The first of those that can, as they would be stored. */
  rows: PreviewRow[]
  /** Faults by row, counted from 1 as a spreadsheet does; at most so many. */
  faults: (RowProblem & { row: number })[]
  asks: { dateOrder: boolean; decimal: boolean; units: number[] }
  unknown: Record<NameTarget, UnknownName[]>
  problems: FieldProblem[]
}
/** As many faults and rows are shown. */
export const SHOWN = { faults: 200, rows: 8 } as const
export const EMPTY_UNKNOWN = (): ImportPreview['unknown'] => ({
  setup: [],
  place: [],
  fuel: [],
  person: [],
  method: [],
})
