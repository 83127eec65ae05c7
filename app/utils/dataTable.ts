/** A table's columns. */
export interface DataColumn<T> {
  key: string
  words: string
  /** What stands over it, where its place says the rest. */
  head?: string
  unit?: string
  /** Figures stand to the right, in the figures' letters. */
  figure?: boolean
  /** Left out at a phone's width. */
  wide?: boolean
  /** Its share of the table, in ems. */
  em?: number
  /** What it holds: shown unless the slot says otherwise, sorted by where it may be, copied. */
  of?: (row: T) => string | number | null
  /** Whether its head sorts. */
  sorts?: boolean
}

/** Smaller before larger; what is not known comes last by both directions. */
export function compareValues(a: string | number | null, b: string | number | null): number {
  return typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b), 'en')
}
