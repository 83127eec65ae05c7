/** Heat in the fuel over flame time [W]; null where one of them is not known. Source: wbt. */
export const firepower = (fuelG: number | null, flameS: number | null, lhvJPerKg: number): number | null =>
  fuelG === null || flameS === null || Number.isNaN(lhvJPerKg) ? null : ((fuelG / 1000) * lhvJPerKg) / flameS
