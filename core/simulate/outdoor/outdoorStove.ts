/**
 * A stove with the physics of a real day: loss by natural and forced convection and radiation, an open pot's vapour
 * through a film of air, gas-side gain that grows with the wetted wall and shrinks with pressure, gusts, vapour lost
 * while a burner blooms, and a can that cools. It shares no code with the normaliser.
 *
 *     C_pot dT_p/dt = H·(T_a + Θ − T_p) − G·(T_p − T_w)
 *     c_w m_w dT_w/dt = G·(T_p − T_w) − h(T_w, v)·A·(T_w − T_a) − P_vapour(T_w)
 */
import type { Done, OutdoorConditions, OutdoorSetup } from './conditions'
import { coolCan, freshCan, openValve, type GasCan } from './gasCan'
import { gustyWind } from './gusts'
import type { Random } from '../random'
import { simulatedBoilingPoint, WATER_J_PER_KG_K } from '../stove'

export interface OutdoorBurn {
  /** Since pot-on [s]; null: it did not boil. */
  boilS: number | null
  endS: number
  endC: number
  /** Since lighting [g], and how fast at the end. */
  fuelG: number
  burnGPerMin: number
  evaporatedG: number
}

const WALL_TO_WATER_W_PER_K = 60
const STEP_S = 0.25
const AT_THE_BOIL_K = 0.05
const BENCH_VOLUME_KG = 0.5
const SEA_LEVEL_PA = 101_325
const KELVIN = 273.15
const STEFAN_BOLTZMANN = 5.670374e-8

interface State {
  potC: number
  waterC: number
  fuelG: number
  evaporatedKg: number
  can: GasCan | null
}

/** Burns once, from lighting to the boil or to when it is given up. Without randomness the wind is even. */
export function burnOutdoors(
  setup: OutdoorSetup,
  conditions: OutdoorConditions,
  { giveUpS, random, stepS = STEP_S }: { giveUpS: number; random: Random | null; stepS?: number },
): OutdoorBurn {
  const boilingC = simulatedBoilingPoint(conditions.pressurePa)
  const wind = gustyWind(conditions.windMS, conditions.gusts, random, stepS)
  let state: State = {
    potC: conditions.startC,
    waterC: conditions.startC,
    fuelG: 0,
    evaporatedKg: 0,
    can: setup.can && conditions.can ? freshCan(setup.can, conditions.can) : null,
  }
  const still = { ...conditions, isOff: false }
  const leadSteps = Math.round(conditions.leadS / stepS)
  for (let i = 0; ; i++) {
    const s = (i - leadSteps) * stepS
    const boiled = s >= 0 && state.waterC >= boilingC - AT_THE_BOIL_K
    if (boiled || s >= giveUpS)
      return {
        boilS: boiled ? s : null,
        endS: s,
        endC: state.waterC,
        fuelG: state.fuelG,
        burnGPerMin: flameOf(setup, conditions, { litS: i * stepS, can: state.can }).burning,
        evaporatedG: state.evaporatedKg * 1000,
      }
    const now = conditions.done === undefined ? still : amid(conditions, s)
    const flame = flameOf(setup, now, { litS: i * stepS, can: state.can })
    const gust = wind()
    const windMS = conditions.windMS === 0 ? now.windMS : (gust * now.windMS) / conditions.windMS
    state = step(state, { setup, conditions: now, boilingC, flame, windMS, potOn: s >= 0, isOff: now.isOff, stepS })
  }
}

/** As it is at a moment, by what was done so far. */
function amid(conditions: OutdoorConditions, s: number): OutdoorConditions & { isOff: boolean } {
  const so = (conditions.done ?? []).filter(({ fromS }) => fromS <= s)
  const { potOn = true, lid, setting, windMS } = Object.assign({}, ...so) as Partial<Done>
  return {
    ...conditions,
    lid: lid ?? conditions.lid,
    setting: setting ?? conditions.setting,
    windMS: windMS ?? conditions.windMS,
    isOff: !potOn,
  }
}

interface Flame {
  /** [g/min], and what leaves the container besides, unburnt. */
  burning: number
  lostGPerMin: number
}

function flameOf(
  setup: OutdoorSetup,
  conditions: OutdoorConditions,
  { litS, can }: { litS: number; can: GasCan | null },
): Flame {
  const thin = 1 - setup.altitudeShare * (1 - conditions.pressurePa / SEA_LEVEL_PA)
  const valve = openValve(can, setup.can)
  const burnGPerMin = setup.burn0GPerMin * conditions.setting * thin * valve
  if (setup.bloom === null) return { burning: burnGPerMin, lostGPerMin: 0 }
  const tauS = setup.bloom.tauS * (1 + 0.02 * Math.max(0, 20 - conditions.airC))
  const cold = Math.exp(-litS / tauS)
  // While it is cold it feeds less, and some more leaves as vapour unburnt.
  const burning = burnGPerMin * (1 - 0.6 * cold)
  return { burning, lostGPerMin: (setup.bloom.lostG / tauS) * cold * 60 }
}

interface Step {
  setup: OutdoorSetup
  conditions: OutdoorConditions
  boilingC: number
  flame: Flame
  windMS: number
  potOn: boolean
  /** Taken off again. */
  isOff: boolean
  stepS: number
}

/** One step of Heun's method. */
function step(state: State, at: Step): State {
  const { flame, boilingC, setup, conditions, potOn, stepS } = at
  const burnedG = ((flame.burning + flame.lostGPerMin) * stepS) / 60
  const can =
    state.can === null
      ? null
      : coolCan(state.can, setup.can!, { burnedG, airC: conditions.airC, windMS: at.windMS, stepS })
  if (!potOn) return { ...state, fuelG: state.fuelG + burnedG, can }
  const first = rates(state.potC, state.waterC, at)
  const second = rates(state.potC + first.pot * stepS, state.waterC + first.water * stepS, at)
  return {
    potC: state.potC + ((first.pot + second.pot) / 2) * stepS,
    waterC: Math.min(boilingC, state.waterC + ((first.water + second.water) / 2) * stepS),
    fuelG: state.fuelG + burnedG,
    evaporatedKg: state.evaporatedKg + first.vapourKgPerS * stepS,
    can,
  }
}

function rates(potC: number, waterC: number, { setup, conditions, flame, windMS, isOff }: Step) {
  const { airC, waterKg, lid, pressurePa } = conditions
  const share = flame.burning / setup.burn0GPerMin
  const gain =
    (setup.h0WPerK *
      share ** setup.burnPower *
      (waterKg / BENCH_VOLUME_KG) ** setup.wallPower *
      (pressurePa / SEA_LEVEL_PA) ** setup.pressurePower) /
    (1 + (windMS / setup.v0MS) ** setup.windPower)
  const toWater = WALL_TO_WATER_W_PER_K * (potC - waterC)
  const vapourKgPerS = vapourFlow(setup, conditions, waterC, windMS) * (lid ? setup.lidLeak : 1)
  const lost = surfaceLoss(setup, conditions, waterC, windMS) + vapourKgPerS * latentJPerKg(waterC)
  return {
    pot: ((isOff ? 0 : gain) * (airC + setup.thetaK - potC) - toWater) / setup.potJPerK,
    water: (toWater - lost) / (WATER_J_PER_KG_K * waterKg),
    vapourKgPerS,
  }
}

/** Heat of vaporisation, a straight line between 0 and 100 °C (from memory: 2 501 and 2 257 kJ/kg) [J/kg]. */
const latentJPerKg = (tempC: number): number => 2_501_000 - 2_440 * tempC

/**
 * By natural convection (h ∝ (ΔT/L)^¼: 1.32, McAdams), by wind (∝ v^0.8, of about 17 W/(m²·K) at 2 m/s), and by
 * radiation [W]. From memory.
 */
function surfaceLoss(
  setup: OutdoorSetup,
  { airC, waterKg }: OutdoorConditions,
  waterC: number,
  windMS: number,
): number {
  const lidM2 = (Math.PI / 4) * setup.diameterM ** 2
  const wallM2 = (4 * (waterKg / 998)) / setup.diameterM
  const excess = waterC - airC
  const natural = 1.32 * (Math.abs(excess) / setup.diameterM) ** 0.25
  const forced = 9.8 * windMS ** 0.8
  const convection = Math.cbrt(natural ** 3 + forced ** 3)
  const [hot, cold] = [waterC + KELVIN, airC + KELVIN]
  const radiation = setup.emissivity * STEFAN_BOLTZMANN * (hot * hot + cold * cold) * (hot + cold)
  return (convection + radiation) * setup.lossShare * (lidM2 + setup.coldWallShare * wallM2) * excess
}

/**
 * Stefan flow through a film of air: ṁ = (D·p·M/(R·T·δ))·ln[(p − p_a)/(p − p_s)]·A. D = 2.6·10⁻⁵ m²/s at 25 °C and sea
 * level (from memory), ∝ T^1.75/p; free convection thickens the film as p^(−2/3) [kg/s].
 */
function vapourFlow(
  { diameterM, filmM, plumePerMS }: OutdoorSetup,
  { airC, humidity, pressurePa }: OutdoorConditions,
  waterC: number,
  windMS: number,
): number {
  const filmK = (waterC + airC) / 2 + KELVIN
  const diffusivity = 2.6e-5 * (filmK / 298.15) ** 1.75 * (SEA_LEVEL_PA / pressurePa)
  const thick = (filmM * (pressurePa / SEA_LEVEL_PA) ** (-2 / 3)) / (1 + plumePerMS * windMS)
  // Near the boil the film no longer limits; the boiling itself ends the run.
  const vapourPa = Math.min(saturation(waterC), 0.965 * pressurePa)
  const drive = Math.log((pressurePa - humidity * saturation(airC)) / (pressurePa - vapourPa))
  return ((diffusivity * pressurePa * 0.018015) / (8.314 * filmK * thick)) * drive * (Math.PI / 4) * diameterM ** 2
}

/** Magnus' formula over water (from memory: 6.112 hPa, 17.62, 243.12), within 1.5 % to 100 °C [Pa]. */
const saturation = (tempC: number): number => 611.2 * Math.exp((17.62 * tempC) / (243.12 + tempC))
