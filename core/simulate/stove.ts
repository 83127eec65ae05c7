/**
 * What stands in for a stove: two nodes, pot wall and water, with more physics than the normaliser knows and no code
 * shared with it.
 *
 *     C_pot dT_p/dt = H·(T_a + Θ − T_p) − G·(T_p − T_w)
 *     c_w m_w dT_w/dt = G·(T_p − T_w) − h·A·(T_w − T_a) − E·e^{(T_w−100)/16}
 */

export interface SimulatedSetup {
  potJPerK: number
  thetaK: number
  h0WPerK: number
  areaM2: number
  burn0GPerMin: number
  v0MS: number
  windPower: number
  /** Share of the burn rate lost at no pressure at all, k_alt. */
  altitudeShare: number
  /** How heat follows the burn rate, x. */
  burnPower: number
  evaporationW: number
  /** Time constant of the warm-up [s]; 0: full flame at once. */
  warmUpS: number
  /** A batch fuel's load [g], whose last fifth burns down; null: fed evenly. */
  batchG: number | null
}

export interface SimulatedConditions {
  waterKg: number
  startC: number
  airC: number
  pressurePa: number
  windMS: number
  /** Valve setting, 1 is full. */
  setting: number
  lid: boolean
}

const WALL_TO_WATER_W_PER_K = 60
export const WATER_J_PER_KG_K = 4190
const OPEN_POT_FACTOR = 6

/**
 * Boiling point from pressure by Antoine's equation in this room's own words (Stull 1947 constants for 60–150 °C: from
 * memory), within 0.05 K of the tables over 55–105 kPa.
 */
export function simulatedBoilingPoint(pressurePa: number): number {
  const millimetres = pressurePa / 133.322
  return 1668.21 / (7.96681 - Math.log10(millimetres)) - 228
}

/** The pressure at which it boils there: the same equation the other way round [Pa]. */
export const simulatedPressureAtBoiling = (boilingC: number): number =>
  133.322 * 10 ** (7.96681 - 1668.21 / (boilingC + 228))

/** Pressure of the standard atmosphere in this room's own words, T/T₀ to the power g/(R·L) [Pa] (ISO 2533:1975). */
export const simulatedPressure = (altitudeM: number): number =>
  101_325 * ((288.15 - 0.0065 * altitudeM) / 288.15) ** 5.25588

export interface StoveState {
  potC: number
  waterC: number
  fuelG: number
}

/** A stove that somebody lights and puts out while it runs: as it stands, for the next step. */
export interface LiveStove extends StoveState {
  /** Since it was lit [s]; null: it is out. */ litForS: number | null
  burnGPerMin: number
}

/** A stove at rest, at the water's start. */
export const restingStove = ({ startC }: SimulatedConditions): LiveStove => ({
  potC: startC,
  waterC: startC,
  fuelG: 0,
  litForS: null,
  burnGPerMin: 0,
})

/**
 * What a stretch of time does to a stove.
 * @param lit whether somebody has it burning; `potOn` whether the pot stands on it; `forS` how long [s]. A batch that
 * is spent stays out.
 */
export function runStove(
  stove: LiveStove,
  {
    setup,
    conditions,
    lit,
    potOn,
    forS,
  }: { setup: SimulatedSetup; conditions: SimulatedConditions; lit: boolean; potOn: boolean; forS: number },
): LiveStove {
  const boilingC = simulatedBoilingPoint(conditions.pressurePa)
  const steps = Math.max(1, Math.ceil(forS / 0.25))
  const stepS = forS / steps
  let now = stove
  for (let i = 0; i < steps; i++) {
    const litForS = lit ? (now.litForS ?? 0) + stepS : null
    const flame = litForS === null ? 0 : flameAt(setup, conditions, litForS, now.fuelG)
    const burned = (fullBurnRate(setup, conditions) * flame * stepS) / 60
    // Beside its burner a pot gains nothing: it cools.
    const next = advance(now, { setup, conditions, boilingC, flame: potOn ? flame : 0, stepS })
    now = {
      potC: next.potC,
      waterC: next.waterC,
      fuelG: now.fuelG + burned,
      litForS,
      burnGPerMin: flame * fullBurnRate(setup, conditions),
    }
  }
  return now
}

/** Share of the full flame: warm-up, and the last fifth of a batch. */
export function flameAt(
  { warmUpS, batchG }: SimulatedSetup,
  { airC }: SimulatedConditions,
  s: number,
  fuelG: number,
): number {
  // A cold burner takes longer: 2 % a kelvin below 20 °C.
  const tau = warmUpS * (1 + 0.02 * Math.max(0, 20 - airC))
  const warm = tau === 0 ? 1 : 1 - Math.exp(-s / tau)
  if (batchG === null) return warm
  const left = Math.max(0, batchG - fuelG) / (batchG / 5)
  return left < 0.002 ? 0 : warm * Math.min(1, left) ** 0.6
}

/** ṁ = ṁ₀·s·(1 − k_alt·(1 − p/101 325)) [g/min]. */
export const fullBurnRate = (
  { burn0GPerMin, altitudeShare }: SimulatedSetup,
  { setting, pressurePa }: SimulatedConditions,
): number => burn0GPerMin * setting * (1 - altitudeShare * (1 - pressurePa / 101_325))

interface Step {
  setup: SimulatedSetup
  conditions: SimulatedConditions
  boilingC: number
  flame: number
  stepS: number
}

/** One step of Heun's method; at the boil the water stays and the surplus evaporates. */
export function advance(state: StoveState, step: Step): StoveState {
  const first = rates(state, step)
  const guess = {
    potC: state.potC + first.pot * step.stepS,
    waterC: state.waterC + first.water * step.stepS,
    fuelG: state.fuelG,
  }
  const second = rates(guess, step)
  const waterC = state.waterC + ((first.water + second.water) / 2) * step.stepS
  return {
    potC: state.potC + ((first.pot + second.pot) / 2) * step.stepS,
    waterC: Math.min(waterC, step.boilingC),
    fuelG: state.fuelG + first.fuelGPerS * step.stepS,
  }
}

function rates(
  { potC, waterC }: StoveState,
  { setup, conditions, flame }: Step,
): { pot: number; water: number; fuelGPerS: number } {
  const { airC, windMS, waterKg, lid } = conditions
  const burn = fullBurnRate(setup, conditions) * flame
  const heating =
    (setup.h0WPerK * (burn / setup.burn0GPerMin) ** setup.burnPower) / (1 + (windMS / setup.v0MS) ** setup.windPower)
  const toWater = WALL_TO_WATER_W_PER_K * (potC - waterC)
  return {
    pot: (heating * (airC + setup.thetaK - potC) - toWater) / setup.potJPerK,
    water: (toWater - lostPower(setup, { airC, windMS, lid }, waterC)) / (WATER_J_PER_KG_K * waterKg),
    fuelGPerS: burn / 60,
  }
}

/** To the air and as vapour [W]. */
export function lostPower(
  { areaM2, evaporationW }: SimulatedSetup,
  { airC, windMS, lid }: Pick<SimulatedConditions, 'airC' | 'windMS' | 'lid'>,
  waterC: number,
): number {
  return (
    9 * (1 + 0.7 * windMS) * areaM2 * (waterC - airC) +
    evaporationW * (lid ? 1 : OPEN_POT_FACTOR) * Math.exp((waterC - 100) / 16)
  )
}
