/** Heat that an open pot spends on evaporating water below the boil. */
import { GAS_CONSTANT, WATER_MOLAR_MASS, ZERO_CELSIUS } from '../constants/physical'
import { latentHeat } from '../water/liquid'
import { boilingPointFromPressure, saturationPressure } from '../water/saturation'

/** Mass-transfer coefficient in calm at sea level. Source: estimate. */
const MASS_TRANSFER_M_PER_S = 0.006
/** Growth with wind, per m/s. Source: estimate. */
export const WIND_GROWTH_PER_MS = 0.5
/** Free convection: Sh ∝ (Gr·Sc)^⅓ and D ∝ 1/p. */
const PRESSURE_POWER = -1 / 3
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

/**
 * Evaporation from a surface, with what does not change while the water heats worked out once. Plain data: it is made
 * four times per figure.
 */
export interface Evaporation {
  /** h_m·A·M·p/R, times the share of it that happens [kg·K/s]. */
  massFlowK: number
  pressurePa: number
  /** Pressure of the air without its vapour [Pa]. */
  dryPa: number
  airC: number
  /** From 1 K below the boiling point on the power is held: the model ends where boiling begins [°C]. */
  heldFromC: number
  /** Into how many pieces the way up is cut: few where it is only an uncertainty. */
  segments: number
}

/**
 * @param share of the open pot's evaporation that happens: 1 without a lid
 * @param segments how finely the way up is cut
 */
export function evaporationFrom(
  { areaM2, pressurePa, airC, humidity, windMS, windGrowthPerMS }: OpenSurface,
  share: number,
  segments: number,
): Evaporation {
  const thin = (pressurePa / 101_325) ** PRESSURE_POWER
  const transfer = MASS_TRANSFER_M_PER_S * (1 + windGrowthPerMS * windMS) * thin * areaM2
  return {
    massFlowK: (share * transfer * WATER_MOLAR_MASS.value * pressurePa) / GAS_CONSTANT.value,
    pressurePa,
    airC,
    dryPa: pressurePa - humidity * saturationPressure(airC),
    heldFromC: boilingPointFromPressure(pressurePa) - 1,
    segments,
  }
}

/**
 * P_ev = h_m·A·(M·p/(R·T_f))·ln[(p − φ·p_s(Ta))/(p − p_s(T))]·h_fg [W] at a water temperature [°C], T_f the mean
 * absolute temperature.
 * Source: spaldingEvaporation.
 */
export function evaporationPower(
  { massFlowK, pressurePa, dryPa, airC, heldFromC }: Evaporation,
  tempC: number,
): number {
  const at = Math.min(tempC, heldFromC)
  const filmK = (at + airC) / 2 + ZERO_CELSIUS.value
  return (massFlowK / filmK) * Math.log(dryPa / (pressurePa - saturationPressure(at))) * latentHeat(at) * 1000
}
