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

interface BurnedSpan {
  /** Null: shut off at the boil. */
  flameEndS: number | null
  boilS: number
  /** Seconds of flame to the boil, and in all. */
  flameToBoilS: number
  flameS: number
  /** The tester accepts the share of burn time. */
  takeShare: boolean
  /** What a scale under the stove lost to the boil and in all; null: there was none. */
  byScale: { toBoil: BurnedByScale; inAll: BurnedByScale } | null
}

/** @param usedKg fuel used in the whole run [kg]. Source: commonPractice. */
export function fuelToBoil(usedKg: number, span: BurnedSpan): FuelToBoil {
  const { flameEndS, boilS, byScale } = span
  if (flameEndS === null || flameEndS <= boilS + SAME_MOMENT_S)
    return { massKg: usedKg, share: 1, shareU: 0, by: 'whole', flags: [] }
  const ranOn = formatClock(flameEndS - boilS)
  if (byScale !== null && byScale.toBoil.massKg < byScale.inAll.massKg) return shareByScale(usedKg, byScale, ranOn)
  return span.takeShare ? shareByTime(usedKg, span, ranOn) : unknownShare(ranOn)
}

function shareByScale(
  usedKg: number,
  { toBoil, inAll }: NonNullable<BurnedSpan['byScale']>,
  ranOn: string,
): FuelToBoil {
  const share = toBoil.massKg / inAll.massKg
  const text = `The flame ran on ${ranOn} after the boil: fuel to the boil is what the scale under it had lost by then. Vapour from a pot on that scale counts as fuel.`
  return {
    massKg: usedKg * share,
    share,
    shareU: toBoil.u / toBoil.massKg,
    by: 'scale',
    flags: [{ code: 'fuel-by-scale', severity: 'note', text }],
  }
}

function shareByTime(usedKg: number, { flameToBoilS, flameS }: BurnedSpan, ranOn: string): FuelToBoil {
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

function unknownShare(ranOn: string): FuelToBoil {
  const text = `The flame ran on ${ranOn} after the boil: fuel to the boil is not known. Weigh at the boil, or take the share of burn time.`
  return {
    massKg: null,
    share: NaN,
    shareU: 0,
    by: 'whole',
    flags: [{ code: 'flame-ran-on', severity: 'warning', text }],
  }
}
