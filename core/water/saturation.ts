/** Boiling point and saturation pressure of water: IAPWS-IF97 region 4. */

const N = [
  0.11670521452767e4, -0.72421316703206e6, -0.17073846940092e2, 0.1202082470247e5, -0.32325550322333e7,
  0.1491510861353e2, -0.48232657361591e4, 0.40511340542057e6, -0.23855557567849, 0.65017534844798e3,
] as const
const KELVIN = 273.15

/** Where Vulcanum uses it; the formula itself reaches from 611 Pa to 22 MPa. */
export const BOILING_VALIDITY_PA = { min: 25_000, max: 120_000 }

/**
 * Boiling temperature of water at a pressure: IF97 backward equation, region 4.
 * @param pressurePa station pressure [Pa], 611…22.064e6
 * @returns boiling point [°C]
 * Source: iapwsIf97 eq. 31. Example: 101 325 Pa → 99.974 °C.
 */
export function boilingPointFromPressure(pressurePa: number): number {
  // A run's pressure and its reference's are asked for over and over.
  if (pressurePa === lastPa) return lastC
  if (pressurePa === earlierPa) return earlierC
  earlierPa = lastPa
  earlierC = lastC
  lastPa = pressurePa
  lastC = backwardEquation(pressurePa)
  return lastC
}

let [lastPa, lastC, earlierPa, earlierC] = [NaN, NaN, NaN, NaN]

function backwardEquation(pressurePa: number): number {
  const beta = (pressurePa / 1e6) ** 0.25
  const e = beta * beta + N[2] * beta + N[5]
  const f = N[0] * beta * beta + N[3] * beta + N[6]
  const g = N[1] * beta * beta + N[4] * beta + N[7]
  const d = (2 * g) / (-f - Math.sqrt(f * f - 4 * e * g))
  return (N[9] + d - Math.sqrt((N[9] + d) ** 2 - 4 * (N[8] + N[9] * d))) / 2 - KELVIN
}

/**
 * Saturation pressure of water: IF97 region 4.
 * @param tempC [°C], 0…373
 * @returns [Pa]. Source: iapwsIf97 eq. 30. Example: 100 °C → 101 418 Pa.
 */
export function saturationPressure(tempC: number): number {
  const kelvin = tempC + KELVIN
  const theta = kelvin + N[8] / (kelvin - N[9])
  const a = theta * theta + N[0] * theta + N[1]
  const b = N[2] * theta * theta + N[3] * theta + N[4]
  const c = N[5] * theta * theta + N[6] * theta + N[7]
  const root = (2 * c) / (-b + Math.sqrt(b * b - 4 * a * c))
  const squared = root * root
  return 1e6 * squared * squared
}

/** The rule of the published water-boiling protocols, 100 − h/300 [°C]: kept as a check, not used. Source: wbt. */
export const boilingPointByRule = (altitudeM: number): number => 100 - altitudeM / 300
