/** Wind brought from the height where it was measured to the height of the pot. */

const ROUGHNESS_M = 0.03
const POT_HEIGHT_M = 0.3

/**
 * Log law over open ground, z₀ = 0.03 m: v(pot) = v(z)·ln(0.3/z₀)/ln(z/z₀).
 * @param windMS wind speed at `heightM` [m/s]; `heightM` null: measured at the pot
 * @returns wind at 0.3 m [m/s]. Source: common practice. Example: 10 m/s at 10 m → 3.96 m/s.
 */
export function windAtPot(windMS: number, heightM: number | null): number {
  if (heightM === null || heightM <= POT_HEIGHT_M) return windMS
  return (windMS * Math.log(POT_HEIGHT_M / ROUGHNESS_M)) / Math.log(heightM / ROUGHNESS_M)
}
