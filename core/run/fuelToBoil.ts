/** Fuel up to the boil, when the flame may have run on after it. */
import type { Flag } from '../formats/answer'
import { formatClock } from '../quantity/format'

/** A flame shut off within this of the call was shut off at the call. Source: estimate. */
export const SAME_MOMENT_S = 3
/** Least relative uncertainty of a share of burn time. Source: commonPractice. */
export const BURN_SHARE_U = 0.1

export interface FuelToBoil {
  grams: number | null
  /** Share of the fuel used; 1 when the flame was shut off at the boil. */
  share: number
  /** Relative standard uncertainty of that share. */
  shareU: number
  flags: Flag[]
}

/**
 * @param usedG fuel used in the whole run [g]
 * @param span the flame's end (null: shut off at the boil), the boil, and the seconds of flame to the boil and in all
 * `takeShare`: the tester accepts the share of burn time. Source: commonPractice.
 */
export function fuelToBoil(
  usedG: number, { flameEndS, boilS, flameToBoilS, flameS, takeShare }: { flameEndS: number | null, boilS: number, flameToBoilS: number, flameS: number, takeShare: boolean },
): FuelToBoil {
  if (flameEndS === null || flameEndS <= boilS + SAME_MOMENT_S) return { grams: usedG, share: 1, shareU: 0, flags: [] }
  const ranOn = formatClock(flameEndS - boilS)
  if (!takeShare) {
    const text = `The flame ran on ${ranOn} after the boil: fuel to the boil is not known. Weigh at the boil, or take the share of burn time.`
    return { grams: null, share: NaN, shareU: 0, flags: [{ code: 'flame-ran-on', severity: 'warning', text }] }
  }
  const share = flameToBoilS / flameS
  const text = `Fuel to the boil is a share of burn time (the flame ran on ${ranOn}): assumes an even flame.`
  return { grams: usedG * share, share, shareU: BURN_SHARE_U, flags: [{ code: 'even-flame-assumed', severity: 'warning', text }] }
}
