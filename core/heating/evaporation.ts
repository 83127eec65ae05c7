/** Heat that an open pot spends on evaporating water below the boil. */
import { GAS_CONSTANT, WATER_MOLAR_MASS, ZERO_CELSIUS } from '../constants/physical'
import { latentHeat } from '../water/liquid'
import { boilingPointFromPressure, saturationPressure } from '../water/saturation'

/** Mass-transfer coefficient in calm, and its growth with wind; ± 50 %. Source: estimate. */
const MASS_TRANSFER_M_PER_S = 0.006
const WIND_GROWTH_PER_MS = 0.5
export const EVAPORATION_RELATIVE_U = 0.5
/** What a lid lets through, as a share of the open pot's, taken as uncertainty only. Source: estimate. */
export const LID_EVAPORATION_U = 0.1
export const ASSUMED_HUMIDITY = 0.5

export interface OpenSurface {
  areaM2: number
  pressurePa: number
  airC: number
  /** Relative humidity of the air, 0…1. */
  humidity: number
  windMS: number
}

/**
 * P_ev = h_m·A·(M·p/(R·T_f))·ln[(p − φ·p_s(Ta))/(p − p_s(T))]·h_fg [W], T_f the mean absolute temperature.
 * From 1 K below the boiling point on it is held: the model ends where boiling begins.
 * @param tempC water temperature [°C]. Source: spaldingEvaporation.
 */
export function evaporationPower(tempC: number, surface: OpenSurface): number {
  const { areaM2, pressurePa, airC, humidity, windMS } = surface
  const at = Math.min(tempC, evaporationHeldFrom(pressurePa))
  const filmK = (at + airC) / 2 + ZERO_CELSIUS.value
  const transfer = MASS_TRANSFER_M_PER_S * (1 + WIND_GROWTH_PER_MS * windMS) * areaM2
  const molarFlow = (WATER_MOLAR_MASS.value * pressurePa) / (GAS_CONSTANT.value * filmK)
  const driving = Math.log((pressurePa - humidity * saturationPressure(airC)) / (pressurePa - saturationPressure(at)))
  return transfer * molarFlow * driving * latentHeat(at) * 1000
}

/** 1 K below the boiling point [°C]. */
export const evaporationHeldFrom = (pressurePa: number): number => boilingPointFromPressure(pressurePa) - 1
