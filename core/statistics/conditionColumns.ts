/** Conditions of an arm's runs, each summed up: what a comparison of arms looks at. */

interface Lot {
  runs: readonly { values: Readonly<Partial<Record<string, unknown>>> }[]
}

/** One condition of an arm's runs, summed up. */
export interface Column {
  n: number
  /** Of what is a number; null: none is. */
  numbers: { n: number; low: number; high: number; sum: number } | null
  /** How often each word or absence (null) stands, in the order in which they first do. */
  words: (readonly [unknown, number])[]
  /** Any of its runs has a word of it. */
  isStated: boolean
}

const columns = new WeakMap<Lot['runs'], Map<string, Column>>()
/** Worked out once for each lot, as long as it is held. */
export function columnOf({ runs }: Lot, what: string): Column {
  let own = columns.get(runs)
  if (own === undefined) {
    own = new Map()
    columns.set(runs, own)
  }
  const column = own.get(what) ?? summedUp(runs, what)
  own.set(what, column)
  return column
}

function summedUp(runs: Lot['runs'], what: string): Column {
  const numbers = { n: 0, low: Infinity, high: -Infinity, sum: 0 }
  const words = new Map<unknown, number>()
  let isStated = false
  for (const { values } of runs) {
    const value = values[what] ?? null
    isStated ||= what in values
    if (typeof value === 'number') {
      numbers.n++
      numbers.low = Math.min(numbers.low, value)
      numbers.high = Math.max(numbers.high, value)
      numbers.sum += value
    } else words.set(value, (words.get(value) ?? 0) + 1)
  }
  return { n: runs.length, numbers: numbers.n === 0 ? null : numbers, words: [...words], isStated }
}
