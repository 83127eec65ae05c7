/** A stove that nobody touches, from pot-on to its end; and a pot that is left to cool. */
import {
  advance,
  flameAt,
  fullBurnRate,
  lostPower,
  simulatedBoilingPoint,
  WATER_J_PER_KG_K,
  type SimulatedConditions,
  type SimulatedSetup,
  type StoveState,
} from './stove'

export interface SimulatedSample {
  s: number
  waterC: number
  fuelG: number
  /** Burn rate [g/min]; 0 where the flame is out. */
  burnGPerMin: number
}

export interface Simulated {
  boilS: number | null
  fuelG: number
  endC: number
  endS: number
  flameOutS: number | null
  samples: SimulatedSample[]
}

export interface SimulateOptions {
  stepS?: number
  sampleEveryS?: number
  giveUpS?: number
  /** After the boil, go on for so long [s]. */
  keepBoilingS?: number
}

/** So near the boiling point it boils [K]. */
const AT_THE_BOIL_K = 0.05

const USUAL: Required<SimulateOptions> = { stepS: 0.25, sampleEveryS: 2, giveUpS: 1200, keepBoilingS: 0 }

/** Runs the stove from pot-on until it boiled (and some more where asked), its load is gone, or it is given up. */
export function simulateRun(
  setup: SimulatedSetup,
  conditions: SimulatedConditions,
  options: SimulateOptions = {},
): Simulated {
  const { stepS, sampleEveryS, giveUpS, keepBoilingS } = { ...USUAL, ...options }
  const boilingC = simulatedBoilingPoint(conditions.pressurePa)
  const every = Math.round(sampleEveryS / stepS)
  const samples: SimulatedSample[] = []
  let state: StoveState = { potC: conditions.startC, waterC: conditions.startC, fuelG: 0 }
  let boilS: number | null = null
  for (let i = 0; ; i++) {
    const s = i * stepS
    const flame = flameAt(setup, conditions, s, state.fuelG)
    if (i % every === 0) samples.push(sampleOf(state, s, flame * fullBurnRate(setup, conditions)))
    if (state.waterC >= boilingC - AT_THE_BOIL_K) boilS ??= s
    // At the very lighting a burner that warms up gives nothing yet.
    const flameOutS = flame === 0 && s > 0 ? s : null
    if (flameOutS !== null || s >= Math.min(giveUpS, (boilS ?? Infinity) + keepBoilingS))
      return { boilS, fuelG: state.fuelG, endC: state.waterC, endS: s, flameOutS, samples }
    state = advance(state, { setup, conditions, boilingC, flame, stepS })
  }
}

const sampleOf = ({ waterC, fuelG }: StoveState, s: number, burnGPerMin: number): SimulatedSample => ({
  s,
  waterC,
  fuelG,
  burnGPerMin,
})

/** Hot water left to cool in its pot, pot and water as one, sampled so often. */
export function simulateCoolDown(
  setup: SimulatedSetup,
  conditions: SimulatedConditions,
  { forS, sampleEveryS }: { forS: number; sampleEveryS: number },
): SimulatedSample[] {
  const capacity = WATER_J_PER_KG_K * conditions.waterKg + setup.potJPerK
  const samples: SimulatedSample[] = []
  for (let s = 0, waterC = conditions.startC; s <= forS; s++) {
    if (s % sampleEveryS === 0) samples.push({ s, waterC, fuelG: 0, burnGPerMin: 0 })
    waterC -= lostPower(setup, conditions, waterC) / capacity
  }
  return samples
}
