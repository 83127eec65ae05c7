/**
 * How somebody's table is to be read: what each column is, in which unit, and what was asked because it cannot be told.
 */
import type { BurnerKind, Origin } from '../../core/formats/document'
import type { DateOrder, DecimalMark } from '../../core/formats/tableCells'
import type { NameTarget, TargetKey } from './targets'

/** Times written as 5.12 for five minutes and twelve seconds: no unit, a habit. */
export const MINUTES_DOT_SECONDS = 'm.ss'
/** `to` '': the column is left out. `unit` '': it is in the cells, or must still be said. */
export interface ColumnMapping {
  to: TargetKey | ''
  unit: string
}
/** What a name that is not in the kit stands for: something that is, or something to be made. */
export type NameChoice =
  { use: string } | { make: true; /** Of a set-up. */ burner?: BurnerKind; /** Of a fuel. */ fuel?: string }

export interface TableMapping {
  sheet: number
  /** Row of the headings, counted from 0; −1: the table has none. */
  headerRow: number
  columns: ColumnMapping[]
  dateOrder: DateOrder | ''
  decimal: DecimalMark | ''
  /** What every row has that says nothing else. */
  day: string
  zone: string
  origin: Origin
  /** Where the times are counted from. */
  clock: 'potOn' | 'lit'
  names: Record<NameTarget, Record<string, NameChoice>>
  /** For rows that name none. */
  usual: Record<NameTarget, string>
}

export const NO_NAMES = (): TableMapping['names'] => ({ setup: {}, place: {}, fuel: {}, person: {}, method: {} })
