/** A maker's figure beside the measured one, both at the maker's conditions. */
import { formatNumber } from '../quantity/format'

export interface Brought {
  /** The condition that was taken so, where the maker does not state it: "start 15 °C"; null: all are stated. */
  taken: string | null
  /** The measured figure corrected to these conditions, its standard uncertainty, and the part repeating shrinks. */
  value: number
  u: number
  uRandom: number
}

/** What is claimed, in one unit with the measured figures. */
export interface Claimed {
  value: number
  /** A boil takes at most so much; a load burns at least so long. */
  says: 'atMost' | 'atLeast'
  /** A figure as it is shown, and the unit that stands behind it. */
  shown: (value: number) => string
  unit: string
}

export interface ClaimVerdict {
  says: 'met' | 'aboutAsSaid' | 'missed' | 'cannotSay'
  text: string
  /** The measured figure that it rests on, of those that were tried the nearest; null: there is none. */
  measured?: Brought | null
}

/** Where a maker leaves the start open, both usual ones are tried [°C]. Source: commonPractice. */
export const OPEN_STARTS_C = [15.56, 20]
export const startTaken = (startC: number): string =>
  `start ${formatNumber(startC, Number.isInteger(startC) ? 0 : 1)} °C`

export const inTenths = (value: number): string => value.toFixed(1)

/** Of fuel per litre [g/L], at most so much. */
export const gPerLClaimed = (value: number): Claimed => ({
  value,
  says: 'atMost',
  shown: inTenths,
  unit: ' g/L',
})

/** One-sided 95 % of a normal figure. */
const ONE_SIDED = 1.64
/** What is nearer than this is about as said. Source: commonPractice. */
const ABOUT = 0.1
const MOST_RUNS = 200

/**
 * By one-sided bounds, of an "at most": *met* where even the upper is no higher than claimed, *missed* where even the
 * lower is higher; of an "at least" the other way round. *About as said* where both are within 10 % of it. Where the
 * maker leaves a condition open, every way to take it must agree.
 * @param brought at least one. Source: commonPractice.
 */
export function judgeClaim(claimed: Claimed, brought: readonly Brought[]): ClaimVerdict {
  const each = brought.map((one) => saysOf(claimed, one))
  const [first] = each
  const nearest = brought.reduce((a, b) =>
    Math.abs(b.value - claimed.value) < Math.abs(a.value - claimed.value) ? b : a,
  )
  if (each.some((one) => one !== first))
    return {
      says: 'cannotSay',
      measured: nearest,
      text: `Cannot say, and no number of runs will: it is decided by what they do not state (${brought.flatMap(({ taken }) => taken ?? []).join(' or ')}).`,
    }
  const { unit, shown } = claimed
  const figures = `claimed ${shown(claimed.value)}${unit}, measured ${shown(nearest.value)} ± ${shown(2 * nearest.u)}${unit} there`
  if (first !== 'cannotSay') return { says: first!, text: `${SAID[first!]}: ${figures}.`, measured: nearest }
  return { says: 'cannotSay', measured: nearest, text: `Cannot say: ${figures}. ${whatSettles(claimed, nearest)}` }
}

const SAID = { met: 'Met', aboutAsSaid: 'About as said', missed: 'Missed' }

function saysOf({ value: claimed, says }: Claimed, { value, u }: Brought): ClaimVerdict['says'] {
  const [low, high] = [value - ONE_SIDED * u, value + ONE_SIDED * u]
  if (says === 'atMost' ? high <= claimed : low >= claimed) return 'met'
  if (low >= (1 - ABOUT) * claimed && high <= (1 + ABOUT) * claimed) return 'aboutAsSaid'
  return (says === 'atMost' ? low > claimed : high < claimed) ? 'missed' : 'cannotSay'
}

/** So many runs, if they come out alike; or none, where what they share is too uncertain. */
function whatSettles(claimed: Claimed, { value, u, uRandom }: Brought): string {
  const shared = u ** 2 - uRandom ** 2
  for (let n = 2; n <= MOST_RUNS; n++)
    if (saysOf(claimed, { taken: null, value, u: Math.sqrt(shared + uRandom ** 2 / n), uRandom }) !== 'cannotSay')
      return `${n} runs like this one would settle it.`
  return 'Repeating will not settle it: better instruments, or its own windy and calm runs, will.'
}
