/** Heat in the fuel over flame time [W]; null where one of them is not known. Source: wbt. */
export const firepower = (fuelKg: number | null, flameS: number | null, lhvJPerKg: number): number | null =>
  fuelKg === null || flameS === null || Number.isNaN(lhvJPerKg) ? null : (fuelKg * lhvJPerKg) / flameS
