/** The bench burn rate of each setting of the valve: what a weak or forced flame is brought to. Source: commonPractice. */

export interface BurnRate {
  setting: string | null
  lnKgPerS: number
  /** Calm, warm, from a container more than a third full: the flame as the setting gives it. */
  isBench: boolean
  /** And at room temperature, from a container two thirds full or more: where there are three such, they alone count. */
  isFull: boolean
}

interface BenchRate {
  lnKgPerS: number
  n: number
}

const FEWEST = 3
/** Rates further apart than this are two settings that nobody named. */
const APART = Math.log(1.25)
/** A flame under all others by more than this is weak. */
export const WEAK = Math.log(1.15)

export interface BenchRates {
  /** null: fewer than three, or several settings that nobody told apart. */
  of: (setting: string | null) => BenchRate | null
  /** The lowest bench rate that it could be held against [ln kg/s]; Infinity: there is none. */
  lowest: (setting: string | null) => number
}

/** @param burnRates of the runs of one series */
export function benchRates(burnRates: readonly BurnRate[]): BenchRates {
  const bench = burnRates.filter((one) => one.isBench)
  const ratesOf = (setting: string | null) => {
    const own = bench.filter((one) => one.setting === setting)
    const full = own.filter((one) => one.isFull)
    return (full.length >= FEWEST ? full : own).map((one) => one.lnKgPerS)
  }
  const lowestOf = (rates: readonly number[]) => Math.min(Infinity, ...rates)
  return {
    of(setting) {
      const rates = ratesOf(setting)
      if (rates.length < FEWEST || (setting === null && isSeveral(rates))) return null
      return { lnKgPerS: rates.reduce((sum, one) => sum + one, 0) / rates.length, n: rates.length }
    },
    lowest(setting) {
      const own = ratesOf(setting)
      return lowestOf(own.length > 0 ? own : bench.map((one) => one.lnKgPerS))
    },
  }
}

function isSeveral(rates: readonly number[]): boolean {
  const sorted = [...rates].sort((a, b) => a - b)
  return sorted.some((rate, i) => i > 0 && rate - sorted[i - 1]! > APART)
}
