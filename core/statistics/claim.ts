/** A maker's figure beside the measured one, both at the maker's conditions. */

export interface Brought {
  /** The condition that was taken so, where the maker does not state it: "start 15 °C"; null: all are stated. */
  taken: string | null
  /** Measured fuel per litre corrected to these conditions, its standard uncertainty, and the part repeating shrinks [g/L]. */
  gPerL: number
  u: number
  uRandom: number
}

export interface ClaimVerdict {
  says: 'met' | 'aboutAsSaid' | 'missed' | 'cannotSay'
  text: string
}

/** Where a maker leaves the start open, both usual ones are tried [°C]. Source: commonPractice. */
export const OPEN_STARTS_C = [15.56, 20]

/** One-sided 95 % of a normal figure. */
const ONE_SIDED = 1.64
/** What is nearer than this is about as said. Source: commonPractice. */
const ABOUT = 0.1
const MOST_RUNS = 200

/**
 * By one-sided bounds: *met* where even the upper is no higher than claimed, *missed* where even the lower is higher;
 * *about as said* where both are within 10 % of it. Where the maker leaves a condition open, every way to take it must
 * agree.
 * @param claimedGPerL as the maker states it [g/L]; `brought` at least one. Source: commonPractice.
 */
export function judgeClaim(claimedGPerL: number, brought: readonly Brought[]): ClaimVerdict {
  const each = brought.map((one) => saysOf(claimedGPerL, one))
  const [first] = each
  if (each.some((one) => one !== first))
    return {
      says: 'cannotSay',
      text: `Cannot say, and no number of runs will: it is decided by what they do not state (${brought.flatMap(({ taken }) => taken ?? []).join(' or ')}).`,
    }
  const nearest = brought.reduce((a, b) =>
    Math.abs(b.gPerL - claimedGPerL) < Math.abs(a.gPerL - claimedGPerL) ? b : a,
  )
  const figures = `claimed ${claimedGPerL.toFixed(1)} g/L, measured ${nearest.gPerL.toFixed(1)} ± ${(2 * nearest.u).toFixed(1)} g/L there`
  if (first !== 'cannotSay') return { says: first!, text: `${SAID[first!]}: ${figures}.` }
  return { says: 'cannotSay', text: `Cannot say: ${figures}. ${whatSettles(claimedGPerL, nearest)}` }
}

const SAID = { met: 'Met', aboutAsSaid: 'About as said', missed: 'Missed' }

function saysOf(claimed: number, { gPerL, u }: Brought): ClaimVerdict['says'] {
  const [low, high] = [gPerL - ONE_SIDED * u, gPerL + ONE_SIDED * u]
  if (high <= claimed) return 'met'
  if (low >= (1 - ABOUT) * claimed && high <= (1 + ABOUT) * claimed) return 'aboutAsSaid'
  return low > claimed ? 'missed' : 'cannotSay'
}

/** So many runs, if they come out alike; or none, where what they share is too uncertain. */
function whatSettles(claimed: number, { gPerL, u, uRandom }: Brought): string {
  const shared = u ** 2 - uRandom ** 2
  for (let n = 2; n <= MOST_RUNS; n++)
    if (saysOf(claimed, { taken: null, gPerL, u: Math.sqrt(shared + uRandom ** 2 / n), uRandom }) !== 'cannotSay')
      return `${n} runs like this one would settle it.`
  return 'Repeating will not settle it: better instruments, or its own windy and calm runs, will.'
}
