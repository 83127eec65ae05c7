/** Heat that an open pot spends on evaporating water below the boil. */
import { GAS_CONSTANT, WATER_MOLAR_MASS, ZERO_CELSIUS } from '../constants/physical'
import { latentHeat } from '../water/liquid'
import { boilingPointFromPressure, saturationPressure } from '../water/saturation'

/** Mass-transfer coefficient in calm at sea level. Source: estimate. */
const MASS_TRANSFER_M_PER_S = 0.006
/** Growth with wind, per m/s. Source: estimate. */
export const WIND_GROWTH_PER_MS = 0.5
/** What a lid lets through, as a share of the open pot's, taken as uncertainty only. Source: estimate. */
export const LID_EVAPORATION_U = 0.05
export const ASSUMED_HUMIDITY = 0.5

export interface OpenSurface {
  areaM2: number
  pressurePa: number
  airC: number
  /** Relative humidity of the air, 0…1. */
  humidity: number
  windMS: number
  /** Growth with wind [per m/s]. */
  windGrowthPerMS: number
}

/** The air over a surface, with what does not change while the water heats worked out once. */
export interface Evaporation {
  /** h_m·A·M·p/R, times the share of it that happens [kg·K/s]. */
  massFlowK: number
  pressurePa: number
  airC: number
  humidity: number
  /** Pressure of the air without its vapour [Pa]. */
  dryPa: number
  /** From 1 K below the boiling point on the power is held: the model ends where boiling begins [°C]. */
  heldFromC: number
  /** M·p·h_m/R in calm, for a square metre [kg·K/(s·m²)]. */
  fluxK: number
}

/** @param share of the open pot's evaporation that happens: 1 without a lid */
export function evaporationFrom(surface: OpenSurface, share: number): Evaporation {
  const air: Evaporation = { massFlowK: 0, pressurePa: NaN, airC: NaN, humidity: NaN, dryPa: 0, heldFromC: 0, fluxK: 0 }
  setEvaporation(air, surface, share)
  return air
}

/** The same in place: where the air is as it was, little is left to work out. */
export function setEvaporation(air: Evaporation, surface: OpenSurface, share: number): void {
  const { pressurePa, airC, humidity } = surface
  if (air.pressurePa !== pressurePa) {
    air.pressurePa = pressurePa
    air.heldFromC = boilingPointFromPressure(pressurePa) - 1
    air.fluxK = fluxAt(pressurePa)
    air.dryPa = pressurePa - humidity * saturationPressure(airC)
  } else if (air.airC !== airC || air.humidity !== humidity) {
    air.dryPa = pressurePa - humidity * saturationPressure(airC)
  }
  air.airC = airC
  air.humidity = humidity
  air.massFlowK = share * air.fluxK * surface.areaM2 * (1 + surface.windGrowthPerMS * surface.windMS)
}

/** Free convection: Sh ∝ (Gr·Sc)^⅓ and D ∝ 1/p. */
function fluxAt(pressurePa: number): number {
  const transfer = MASS_TRANSFER_M_PER_S / Math.cbrt(pressurePa / 101_325)
  return (transfer * WATER_MOLAR_MASS.value * pressurePa) / GAS_CONSTANT.value
}

/**
 * P_ev = h_m·A·(M·p/(R·T_f))·ln[(p − φ·p_s(Ta))/(p − p_s(T))]·h_fg [W] at a water temperature [°C], T_f the mean
 * absolute temperature.
 * Source: spaldingEvaporation.
 */
export const evaporationPower = (air: Evaporation, tempC: number): number => air.massFlowK * vapourHeat(air, tempC)

/** The same for each unit of `massFlowK` [W·s/(kg·K)]. */
export function vapourHeat({ pressurePa, dryPa, airC, heldFromC }: Evaporation, tempC: number): number {
  const at = Math.min(tempC, heldFromC)
  const filmK = (at + airC) / 2 + ZERO_CELSIUS.value
  return (Math.log(dryPa / (pressurePa - saturationPressure(at))) * latentHeat(at) * 1000) / filmK
}
