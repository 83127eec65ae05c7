/** How long a run will burn, before it is lit. */
import type { BurnerKind } from '../formats/document'
import { squaresOf } from '../statistics/arms'

export interface RunLength {
  /** Median, from lit to out [s]. */
  burnS: number
  /** Standard deviation of its logarithm. */
  spread: number
  /** The set-up's own runs, or what burners of its kind do. */
  from: 'own' | 'class'
  runs: number
}

/**
 * Heat into the water that is usual by kind of burner [W]: 473 mL take gas 3 to 4 minutes, alcohol and tablets about 10.
 * Source: commonPractice.
 */
const USUAL_W: Record<BurnerKind, number> = {
  'canister-top': 800,
  integrated: 1100,
  'remote-gas': 800,
  'liquid-pressure': 750,
  alcohol: 290,
  gel: 250,
  solid: 260,
  wood: 300,
}
const CLASS_SPREAD = 0.35
/** How own lengths scatter, taken as known so well as from three runs. Source: estimate. */
const OWN_SPREAD = 0.08
const OWN_WORTH = 3
/** Of water, J/(kg·K). */
const WATER_J_PER_KG_K = 4190

export interface LengthAsked {
  /** From lit to out in earlier runs of the set-up by this method [s]. */
  ownS: readonly number[]
  burner: BurnerKind | null
  waterKg: number
  riseK: number
  /** What the level does to it: wind, a lower flame. */
  factor: number
  giveUpS: number | null
}

/** @returns the median and spread of the length; where it would be longer than the give-up time, that. */
export function runLength(asked: LengthAsked): RunLength {
  const length = asked.ownS.length > 0 ? ofOwn(asked.ownS) : ofClass(asked)
  const burnS = length.burnS * asked.factor
  return asked.giveUpS !== null && burnS > asked.giveUpS
    ? { ...length, burnS: asked.giveUpS, spread: 0 }
    : { ...length, burnS }
}

function ofOwn(ownS: readonly number[]): RunLength {
  const logs = ownS.map(Math.log)
  const n = logs.length
  const mean = logs.reduce((sum, log) => sum + log, 0) / n
  const variance = (squaresOf(logs) + (OWN_WORTH - 1) * OWN_SPREAD ** 2) / (n - 1 + OWN_WORTH - 1)
  return { burnS: Math.exp(mean), spread: Math.sqrt(variance * (1 + 1 / n)), from: 'own', runs: n }
}

function ofClass({ burner, waterKg, riseK }: LengthAsked): RunLength {
  const watts = burner === null ? USUAL_W['canister-top'] : USUAL_W[burner]
  return { burnS: (waterKg * WATER_J_PER_KG_K * riseK) / watts, spread: CLASS_SPREAD, from: 'class', runs: 0 }
}
