/** The ladder: rung by rung from the figure as measured to the figure at the reference, with what is missing named. */
import type { Basis, Rung } from '../formats/answer'
import type { RungName } from './reference'

/** One rung as the arithmetic leaves it. */
export interface RungInput {
  rung: RungName
  basis: Basis
  moved: Rung['moved']
  reach: Rung['reach']
  /** Fuel per litre after it [g/L], carried on where it is open; not finite where it stalls. */
  gPerL: number
  /** Cumulative standard uncertainty [g/L], and of the rung's factor, relative. */
  u: number
  factorU: number
  /** The reading or series without which it is open; null: it is not. */
  open: string | null
  /** Where an open rung may lead [g/L], for the drawing. */
  ghost: [number, number] | null
}

export interface Ladder {
  rungs: Rung[]
  normalisedGPerL: number | null
  normalisedU: number | null
  status: 'normalised' | 'partly' | 'not'
  missing: string[]
}

/**
 * Builds the rungs. Factors multiply to the total exactly; an open rung has a null factor and carries the figure on.
 * @param ownGPerL fuel per litre as measured or predicted [g/L]; not finite where it stalls
 */
export function ladder(ownGPerL: number, inputs: readonly RungInput[]): Ladder {
  let before = ownGPerL
  const rungs = inputs.map((input) => {
    const rung = rungFrom(input, before)
    // Where one rung stalls and a later one frees it, that one carries the change of both.
    if (Number.isFinite(input.gPerL)) before = input.gPerL
    return rung
  })
  const last = rungs.at(-1)!
  const missing = inputs.flatMap(({ open }) => open ?? [])
  const status = last.gPerL === null ? 'not' : missing.length > 0 ? 'partly' : 'normalised'
  return { rungs, normalisedGPerL: last.gPerL, normalisedU: last.u, status, missing }
}

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null)

function rungFrom({ rung, basis, moved, reach, gPerL, u, factorU, open, ghost }: RungInput, before: number): Rung {
  // Out of a stall there is no factor: the figure begins here.
  const factor = open === null && Number.isFinite(before) ? finite(gPerL / before) : null
  return {
    rung,
    basis,
    moved,
    reach,
    gPerL: finite(gPerL),
    u: finite(gPerL) === null ? null : finite(u),
    factor,
    ownU: factor === null ? null : finite(factorU * gPerL),
    ghost: finite(gPerL) === null ? null : ghost,
  }
}
