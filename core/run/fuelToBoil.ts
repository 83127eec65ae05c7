/** Fuel up to the boil, when the flame may have run on after it. */
import type { Flag } from '../formats/answer'
import { formatClock } from '../quantity/format'
import type { BurnedByScale } from './scaleFuel'

/** A flame shut off within this of the call was shut off at the call. Source: estimate. */
const SAME_MOMENT_S = 3
/** Least relative uncertainty of a share of burn time. Source: commonPractice. */
const BURN_SHARE_U = 0.1

export interface FuelToBoil {
  massKg: number | null
  /** Share of the fuel used; 1 when the flame was shut off at the boil. */
  share: number
  /** Relative standard uncertainty of that share. */
  shareU: number
  /** What the share rests on. */
  by: 'whole' | 'scale' | 'burnTime'
  flags: Flag[]
}

/**
 * @param usedKg fuel used in the whole run [kg]
 * @param span the flame's end (null: shut off at the boil), the boil, and the seconds of flame to the boil and in all
 * `byScale`: what a scale under the stove lost to the boil and in all; null: there was none
 * `takeShare`: the tester accepts the share of burn time. Source: commonPractice.
 */
export function fuelToBoil(
  usedKg: number,
  {
    flameEndS,
    boilS,
    flameToBoilS,
    flameS,
    takeShare,
    byScale,
  }: {
    flameEndS: number | null
    boilS: number
    flameToBoilS: number
    flameS: number
    takeShare: boolean
    byScale: { toBoil: BurnedByScale; inAll: BurnedByScale } | null
  },
): FuelToBoil {
  if (flameEndS === null || flameEndS <= boilS + SAME_MOMENT_S)
    return { massKg: usedKg, share: 1, shareU: 0, by: 'whole', flags: [] }
  const ranOn = formatClock(flameEndS - boilS)
  if (byScale !== null && byScale.toBoil.massKg < byScale.inAll.massKg) {
    const share = byScale.toBoil.massKg / byScale.inAll.massKg
    const text = `The flame ran on ${ranOn} after the boil: fuel to the boil is what the scale under it had lost by then. Vapour from a pot on that scale counts as fuel.`
    return {
      massKg: usedKg * share,
      share,
      shareU: byScale.toBoil.u / byScale.toBoil.massKg,
      by: 'scale',
      flags: [{ code: 'fuel-by-scale', severity: 'note', text }],
    }
  }
  if (!takeShare) {
    const text = `The flame ran on ${ranOn} after the boil: fuel to the boil is not known. Weigh at the boil, or take the share of burn time.`
    return {
      massKg: null,
      share: NaN,
      shareU: 0,
      by: 'whole',
      flags: [{ code: 'flame-ran-on', severity: 'warning', text }],
    }
  }
  const share = flameToBoilS / flameS
  const text = `Fuel to the boil is a share of burn time (the flame ran on ${ranOn}): assumes an even flame.`
  return {
    massKg: usedKg * share,
    share,
    shareU: BURN_SHARE_U,
    by: 'burnTime',
    flags: [{ code: 'even-flame-assumed', severity: 'warning', text }],
  }
}
