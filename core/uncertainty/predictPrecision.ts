/** How precise a boil will be, predicted before the flame is lit. */

export interface PredictedPrecision {
  /** Expanded (k = 2), relative: of one boil, and of the mean of two on one fill. */
  one: number
  two: number
  /** What weighs most in one boil. */
  most: 'scale' | 'call' | 'water' | 'start'
}

export interface PrecisionInputs {
  fuelG: number
  boilS: number
  riseK: number
  waterG: number
  scaleResolutionG: number
  boilCallS: number
  startU: number
  waterU: number
}

/**
 * Relative uncertainty of fuel per litre: weighing √2·d/√12 on the fuel, the call on the time, water, start on the
 * rise.
 * Two boils on one fill share one pair of weighings over twice the fuel; the rest shrinks by √2.
 * Sources: gum, gumResolution.
 */
export function predictPrecision(inputs: PrecisionInputs): PredictedPrecision {
  const parts = {
    scale: (Math.SQRT2 * inputs.scaleResolutionG) / Math.sqrt(12) / inputs.fuelG,
    call: inputs.boilCallS / inputs.boilS,
    water: inputs.waterU / inputs.waterG,
    start: inputs.startU / inputs.riseK,
  }
  const rest = Math.hypot(parts.call, parts.water, parts.start)
  const most = (Object.keys(parts) as PredictedPrecision['most'][]).reduce((a, b) => (parts[b] > parts[a] ? b : a))
  return { one: 2 * Math.hypot(parts.scale, rest), two: 2 * Math.hypot(parts.scale / 2, rest / Math.SQRT2), most }
}
