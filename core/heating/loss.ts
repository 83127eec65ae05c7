/** Heat the pot loses to the air, from its geometry, where no cool-down test says. */

/** Coefficients of the geometric estimate and their standard uncertainties. Source: estimate. */
export const LOSS_ESTIMATE = {
  filmWPerM2K: { value: 10, u: 5 },
  /** Share of the wall that loses heat: hot gas bathes it while the flame burns. */
  sideShare: { value: 0.3, u: 0.3 },
  /** Growth with wind, per m/s. */
  windSlopePerMS: { value: 0.55, u: 0.165 },
  closeConeFactor: 0.5,
}

export interface LossGeometry {
  lidM2: number
  sideM2: number
  filmWPerM2K: number
  sideShare: number
  windSlopePerMS: number
  closeCone: boolean
}

/** K_loss = h·(A_lid + φ·A_side)·(1 + 0.55·v), halved by a close cone [W/K]. `windMS` at the pot. Source: estimate. */
export function lossFromGeometry(geometry: LossGeometry, windMS: number): number {
  const { lidM2, sideM2, filmWPerM2K, sideShare, windSlopePerMS, closeCone } = geometry
  const calm = filmWPerM2K * (lidM2 + sideShare * sideM2) * (closeCone ? LOSS_ESTIMATE.closeConeFactor : 1)
  return calm * (1 + windSlopePerMS * windMS)
}
