/** A gas can that cools as it gives: two components by mole fractions, heat of vaporisation out, the air's heat in. */

export interface CanSetup {
  /** Fuel of a full one [kg]. */
  fullKg: number
  shellKg: number
  /** Heat from the air with the whole wall wetted [W/K]; a wind of v raises it by 0.6 v. */
  uaWPerK: number
  /** Share of the firepower that comes back to it. */
  feedbackShare: number
  /** Mass share of propane in the liquid of a full one. */
  propane: number
}

export interface GasCan {
  propaneKg: number
  isobutaneKg: number
  tempC: number
}

const MOLAR = { propane: 44.0956, isobutane: 58.1222 }
/** Boiling at 101 325 Pa, and the pressure at 20 °C [K, Pa]: vapour pressure runs straight in 1/T between. */
const BOILING_K = { propane: 230.99, isobutane: 261.54 }
const AT_20_PA = { propane: 838_400, isobutane: 300_500 }
const LATENT_J_PER_KG = { propane: 375_000, isobutane: 340_000 }
const LIQUID_J_PER_KG_K = 2_450
const SHELL_J_PER_KG_K = 460
const LHV_J_PER_KG = 45.7e6
const KELVIN = 273.15
const ATMOSPHERE_PA = 101_325
/** Share of the wall that liquid does not wet even in a full one. */
const DRY_SHARE = 0.15

export const freshCan = (setup: CanSetup, { fuelKg, startC }: { fuelKg: number; startC: number }): GasCan => ({
  // What was drawn before took more of its propane.
  propaneKg: fuelKg * setup.propane * (fuelKg / setup.fullKg) ** 0.6,
  isobutaneKg: fuelKg * (1 - setup.propane * (fuelKg / setup.fullKg) ** 0.6),
  tempC: startC,
})

type Gas = keyof typeof MOLAR

function vapourPressure(gas: Gas, tempK: number): number {
  const slope = Math.log(AT_20_PA[gas] / ATMOSPHERE_PA) / (1 / BOILING_K[gas] - 1 / 293.15)
  return ATMOSPHERE_PA * Math.exp(slope * (1 / BOILING_K[gas] - 1 / tempK))
}

/** Pressure over the liquid by Raoult, and the mass share of propane in what is drawn. */
function vapourOver({ propaneKg, isobutaneKg, tempC }: GasCan): { pressurePa: number; propane: number } {
  const [a, b] = [propaneKg / MOLAR.propane, isobutaneKg / MOLAR.isobutane]
  const x = a / (a + b)
  const tempK = tempC + KELVIN
  const [pa, pb] = [x * vapourPressure('propane', tempK), (1 - x) * vapourPressure('isobutane', tempK)]
  const [ma, mb] = [pa * MOLAR.propane, pb * MOLAR.isobutane]
  return { pressurePa: pa + pb, propane: ma / (ma + mb) }
}

/** Flow through a valve that is left as it is, over that from a warm full can: choked, ∝ P/√T, nothing at 1 atm. */
export function openValve(can: GasCan | null, setup: CanSetup | null): number {
  if (can === null || setup === null) return 1
  const flow = (one: GasCan) => {
    const { pressurePa } = vapourOver(one)
    const over = pressurePa / ATMOSPHERE_PA
    if (over <= 1) return 0
    // Below about 1.7 times the air's pressure the jet is no longer choked.
    const choked = over >= 1.7 ? 1 : Math.sqrt(1 - ((1.7 - over) / 0.7) ** 2)
    return (pressurePa / Math.sqrt(one.tempC + KELVIN)) * choked
  }
  const full = { propaneKg: setup.propane, isobutaneKg: 1 - setup.propane, tempC: 20 }
  return flow(can) / flow(full)
}

/** What a step of burning does to it. */
export function coolCan(
  can: GasCan,
  setup: CanSetup,
  { burnedG, airC, windMS, stepS }: { burnedG: number; airC: number; windMS: number; stepS: number },
): GasCan {
  const burnedKg = burnedG / 1000
  const { propane } = vapourOver(can)
  const fuelKg = can.propaneKg + can.isobutaneKg
  const wetted = DRY_SHARE + (1 - DRY_SHARE) * Math.min(1, fuelKg / setup.fullKg)
  const drawn = propane * LATENT_J_PER_KG.propane + (1 - propane) * LATENT_J_PER_KG.isobutane
  const heatJ =
    setup.uaWPerK * wetted * (1 + 0.6 * windMS) * (airC - can.tempC) * stepS +
    burnedKg * (setup.feedbackShare * LHV_J_PER_KG - drawn)
  const capacity = fuelKg * LIQUID_J_PER_KG_K + setup.shellKg * SHELL_J_PER_KG_K
  return {
    propaneKg: Math.max(1e-6, can.propaneKg - burnedKg * propane),
    isobutaneKg: Math.max(1e-6, can.isobutaneKg - burnedKg * (1 - propane)),
    tempC: can.tempC + heatJ / capacity,
  }
}
