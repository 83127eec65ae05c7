/**
 * While it burns, of a thermometer that sends: the boil is the plateau of its trace, whatever the probe's offset; the
 * rest is predicted as from readings by eye.
 */
import { findBoil, NEAR_K } from '../trace/findBoil'
import { fallingSinceOf, predictBoil, type Prediction, type SeenSoFar } from './predictBoil'

/** A plateau that is found so surely is offered [s]. */
const SURE_U_S = 3
/** Found too long ago, it was no plateau but a bend of the rise: the water went on [K]. */
const WENT_ON_K = 1.5
/** So much of the trace tells it; before, the burner warmed up [s]. */
const LOOKED_AT_S = 600

/** @param sent the thermometer's samples, in order, on the readings' clock */
export function predictFromSamples(
  { readings, boilingC, nowS }: SeenSoFar,
  sent: readonly (readonly [number, number])[],
): Prediction {
  const recent = sent.filter(([s]) => s >= nowS - LOOKED_AT_S)
  const boiledAtS = plateauAt(recent, boilingC)
  if (boiledAtS !== null) return { boil: null, stallsAtC: null, fallingSinceS: null, boiledAtS }
  return {
    ...predictBoil({ readings, boilingC, nowS, isSent: true }),
    boiledAtS: null,
    fallingSinceS: fallingSinceOf({ readings, boilingC: boilingC + OFFSET_ROOM_K, isSent: true }),
  }
}
/** A probe that reads high is no boil: the readings alone do not say it. */
const OFFSET_ROOM_K = 4

/** A level lies among its samples: far below the boil, as for most of a run, none is sought [K]. */
const LEVEL_ROOM_K = 2

function plateauAt(trace: readonly (readonly [number, number])[], boilingC: number): number | null {
  if (!trace.some(([, c]) => c >= boilingC - NEAR_K - LEVEL_ROOM_K)) return null
  const found = findBoil(trace, { boilingC })
  if (!found.ok || found.value.status !== 'boiled' || found.value.atS === null || found.value.u! > SURE_U_S) return null
  const newest = trace
    .slice(-3)
    .map(([, c]) => c)
    .sort((a, b) => a - b)[1]!
  return newest > found.value.levelC + WENT_ON_K ? null : found.value.atS
}
