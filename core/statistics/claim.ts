/** A maker's figure beside the measured one, both at the maker's conditions. */

export interface Brought {
  /** The condition that was taken so, where the maker does not state it: "start 15 °C"; null: all are stated. */
  taken: string | null
  /** Measured fuel per litre corrected to these conditions, and its standard uncertainty [g/L]. */
  gPerL: number
  u: number
}

export interface ClaimVerdict {
  says: 'met' | 'missed' | 'cannotSay'
  text: string
}

/**
 * Met where the measured figure, within its k = 2 interval, is no higher than claimed; missed where even the lower end
 * is higher.
 * Where the maker leaves a condition open, every way to take it must agree.
 * @param claimedGPerL as the maker states it [g/L]; `brought` at least one. Source: commonPractice.
 */
export function judgeClaim(claimedGPerL: number, brought: readonly Brought[]): ClaimVerdict {
  const each = brought.map(({ gPerL, u }) =>
    gPerL <= claimedGPerL ? 'met' : gPerL - 2 * u > claimedGPerL ? 'missed' : 'cannotSay',
  )
  const [first] = each
  if (each.some((one) => one !== first))
    return {
      says: 'cannotSay',
      text: `Cannot say: it is decided by what they do not state (${brought.flatMap(({ taken }) => taken ?? []).join(' or ')}).`,
    }
  const nearest = brought.reduce((a, b) =>
    Math.abs(b.gPerL - claimedGPerL) < Math.abs(a.gPerL - claimedGPerL) ? b : a,
  )
  const figures = `claimed ${claimedGPerL.toFixed(1)} g/L, measured ${nearest.gPerL.toFixed(1)} ± ${(2 * nearest.u).toFixed(1)} g/L there`
  if (first === 'met') return { says: 'met', text: `Met: ${figures}.` }
  if (first === 'missed') return { says: 'missed', text: `Missed: ${figures}.` }
  return { says: 'cannotSay', text: `Cannot say: ${figures}; the interval holds both.` }
}
