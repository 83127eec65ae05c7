/** What is known of a set-up's flame before it was ever burned: by the class of its burner, screen and pot. */
import type { RunInput } from '../run/runInput'

export interface Normal {
  mean: number
  sd: number
}

/** Priors of the flame's model. Sources: commonPractice, estimate. */
export interface FlamePriors {
  /** ln of the wind that halves the useful heat per gram, v₀ in m/s. */
  lnV0: Normal
  /** Power of the wind: a small wind acts at least in proportion and at most quadratically. */
  windPower: Normal
  /** How useful heat follows the burn rate: q0 ∝ ṁˣ. */
  flamePower: Normal
  /** ln of K_loss over what geometry, or a cool-down, says. */
  lnLoss: Normal
  /** ln of the mass transfer of an open pot over its usual. */
  lnTransfer: Normal
  /** How wind raises the mass transfer [per m/s]. */
  vapourWind: Normal
  /** Useful heat per gram with altitude beyond the boiling point [1/km]. */
  altitude: Normal
  /** Relative uncertainty of the model itself. */
  modelU: number
}

const V0_MS = { cone: 12, wrap: 4, exposed: 2.5, sheltered: 4.2, unknown: 3.2 }
const V0_FACTOR = { known: 1.4, unknown: 1.6 }
const WIND_POWER = { mean: 1.4, sd: 0.25 }
const FLAME_POWER = {
  gas: { mean: 0.6, sd: 0.15 },
  finned: { mean: 0.9, sd: 0.08 },
  liquid: { mean: 0.65, sd: 0.15 },
  other: { mean: 0.7, sd: 0.15 },
}
/** About geometry. */
const LN_LOSS_SD = 0.4
const LN_TRANSFER_SD = 0.5
const VAPOUR_WIND = { mean: 0.5, sd: 0.25 }
const ALTITUDE_SD_PER_KM = { gas: 0.01, other: 0.02 }
const MODEL_U = { even: 0.005, uneven: 0.01 }

type Described = Pick<RunInput, 'burner' | 'screen' | 'pot'>

/** @param lossU relative uncertainty of K_loss where a cool-down measured it; null: it is from geometry */
export function flamePriors(run: Described, { isGas, lossU }: { isGas: boolean; lossU: number | null }): FlamePriors {
  const shelter = shelterOf(run)
  const uneven = ['alcohol', 'solid', 'gel', 'wood'].includes(run.burner.kind ?? '')
  return {
    lnV0: { mean: Math.log(V0_MS[shelter]), sd: Math.log(shelter === 'unknown' ? V0_FACTOR.unknown : V0_FACTOR.known) },
    windPower: WIND_POWER,
    flamePower: FLAME_POWER[powerClass(run)],
    lnLoss: { mean: 0, sd: Math.min(LN_LOSS_SD, lossU ?? LN_LOSS_SD) },
    lnTransfer: { mean: 0, sd: LN_TRANSFER_SD },
    vapourWind: VAPOUR_WIND,
    altitude: { mean: 0, sd: isGas ? ALTITUDE_SD_PER_KM.gas : ALTITUDE_SD_PER_KM.other },
    modelU: uneven ? MODEL_U.uneven : MODEL_U.even,
  }
}

function shelterOf({ burner: { head }, screen }: Described): keyof typeof V0_MS {
  if (screen === 'cone') return 'cone'
  if (screen === 'wrap') return 'wrap'
  return head ?? 'unknown'
}

function powerClass({ burner: { kind }, pot }: Described): keyof typeof FLAME_POWER {
  if (kind === 'alcohol' || kind === 'solid' || kind === 'gel' || kind === 'wood') return 'other'
  if (pot.finned === true || kind === 'integrated') return 'finned'
  return kind === 'liquid-pressure' ? 'liquid' : 'gas'
}
