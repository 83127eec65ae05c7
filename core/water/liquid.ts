/**
 * Enthalpy and density of liquid water, and its latent heat, as polynomials in x = T/100 °C fitted to IAPWS-IF97.
 * At 50…105 kPa they leave the table by no more than the residual plus 0.05 kJ/kg (a constant that cancels in
 * differences).
 */

/** Largest residual 0.0098 kJ/kg over 0–100 °C at 101.325 kPa. */
const ENTHALPY = [0.0708140638, 421.446946, -11.5761216, 16.9206534, -11.579131, 3.82051657] as const
/** Largest residual 0.0039 kg/m³. */
const DENSITY = [999.848172, 6.5220919, -87.5416739, 83.0406274, -75.6365305, 42.8305554, -10.7113449] as const
/** Largest residual 0.022 kJ/kg. */
const LATENT = [2500.9155, -237.386522, 5.10096707, -12.1350418] as const

function polynomial(coefficients: readonly number[], x: number): number {
  let value = 0
  for (let i = coefficients.length - 1; i >= 0; i--) value = value * x + coefficients[i]!
  return value
}

/** Specific enthalpy of liquid water [kJ/kg] at `tempC` 0…102 °C. Source: if97Fit. Example: 20 °C → 84.0. */
export const liquidEnthalpy = (tempC: number): number => polynomial(ENTHALPY, tempC / 100)

/** Density of liquid water [kg/m³] at `tempC` 0…102 °C. Source: if97Fit. Example: 20 °C → 998.21. */
export const liquidDensity = (tempC: number): number => polynomial(DENSITY, tempC / 100)

/** Latent heat of evaporation [kJ/kg] at `tempC` 0…102 °C. Source: if97Fit. Example: 100 °C → 2 256.5. */
export const latentHeat = (tempC: number): number => polynomial(LATENT, tempC / 100)

/**
 * Density at 20 °C [kg/m³]: what makes a litre of a mass of water, so that a litre does not change with the
 * thermometer.
 */
export const DENSITY_20C = liquidDensity(20)

/** Litres that a mass of water is [L]. Example: 0.473 kg → 0.47385 L. */
export const litresFromMass = (massKg: number): number => (massKg / DENSITY_20C) * 1000

/** Water of so many litres at 20 °C [kg]. */
export const massFromLitres = (litres: number): number => (litres / 1000) * DENSITY_20C
