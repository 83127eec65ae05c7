import type { Constant } from './constant'

export const STANDARD_PRESSURE: Constant = { value: 101_325, unit: 'Pa', standardUncertainty: 0, reference: 'iso2533' }
export const STANDARD_GRAVITY: Constant = { value: 9.80665, unit: 'm/s²', standardUncertainty: 0, reference: 'iso2533' }
export const GAS_CONSTANT: Constant = { value: 8.314462618, unit: 'J/(mol·K)', standardUncertainty: 0, reference: 'si' }
export const DRY_AIR_GAS_CONSTANT: Constant = {
  value: 287.05287,
  unit: 'J/(kg·K)',
  standardUncertainty: 0,
  reference: 'iso2533',
}
export const LAPSE_RATE: Constant = { value: 0.0065, unit: 'K/m', standardUncertainty: 0, reference: 'iso2533' }
export const WATER_MOLAR_MASS: Constant = {
  value: 0.018015,
  unit: 'kg/mol',
  standardUncertainty: 0,
  reference: 'atomicWeights',
}
/** Mean over 0–100 °C. */
export const WATER_SPECIFIC_HEAT: Constant = {
  value: 4186,
  unit: 'J/(kg·K)',
  standardUncertainty: 4,
  reference: 'if97Fit',
}
export const MELTING_HEAT: Constant = { value: 333_600, unit: 'J/kg', standardUncertainty: 300, reference: 'crcIce' }
export const ICE_SPECIFIC_HEAT: Constant = {
  value: 2090,
  unit: 'J/(kg·K)',
  standardUncertainty: 30,
  reference: 'crcIce',
}
export const CHAR_LOWER_HEATING_VALUE: Constant = {
  value: 29.5,
  unit: 'MJ/kg',
  standardUncertainty: 1.5,
  reference: 'wbt',
}
export const ZERO_CELSIUS: Constant = { value: 273.15, unit: 'K', standardUncertainty: 0, reference: 'si' }

/** Specific heat of pot materials [J/(kg·K)]. */
export const POT_SPECIFIC_HEAT = {
  aluminium: { value: 897, unit: 'J/(kg·K)', standardUncertainty: 10, reference: 'specificHeats' },
  titanium: { value: 523, unit: 'J/(kg·K)', standardUncertainty: 10, reference: 'specificHeats' },
  stainless: { value: 500, unit: 'J/(kg·K)', standardUncertainty: 15, reference: 'specificHeats' },
  copper: { value: 385, unit: 'J/(kg·K)', standardUncertainty: 5, reference: 'specificHeats' },
} as const satisfies Record<string, Constant>

export type PotMaterial = keyof typeof POT_SPECIFIC_HEAT
export const POT_MATERIALS = Object.keys(POT_SPECIFIC_HEAT) as PotMaterial[]
