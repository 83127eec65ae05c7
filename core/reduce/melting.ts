/** Water from snow: what there is to melt, and from where the heating then starts. */
import { ICE_SPECIFIC_HEAT, MELTING_HEAT } from '../constants/physical'
import type { Flag } from '../formats/answer'
import type { RunInput } from '../run/runInput'
import { liquidEnthalpy } from '../water/liquid'

export interface Melting {
  /** Starter water and snow together; NaN where neither was weighed. */
  waterKg: number
  startC: number
  /** Heat until all is water at 0 °C [J]. */
  meltJ: number
  flags: Flag[]
}

/**
 * m_snow·(L + c_ice·(0 − T_snow)) − m_starter·h(T_starter): the starter water gives its heat first.
 * The snow is as cold as the air, at most 0 °C (assumed). Sources: crcIce, if97Fit.
 */
export function meltingOf({ water, place }: RunInput): Melting {
  if (water.snowKg === null || water.snowKg === 0)
    return { waterKg: water.massKg ?? NaN, startC: water.startC ?? NaN, meltJ: 0, flags: [] }
  const { snowKg } = water
  const snowC = Math.min(0, place.airC ?? 0)
  const poured = water.massKg ?? 0
  const starterJ = poured === 0 ? 0 : poured * (liquidEnthalpy(water.startC ?? 0) - liquidEnthalpy(0)) * 1000
  const meltJ = snowKg * (MELTING_HEAT.value - ICE_SPECIFIC_HEAT.value * snowC) - starterJ
  const waterKg = poured + snowKg
  const note: Flag = {
    code: 'snow-as-cold-as-air',
    severity: 'note',
    text: `Snow taken to be at ${snowC.toFixed(1)} °C, the air’s temperature or 0 °C (assumed).`,
  }
  // Enough warm starter water melts it all without a flame.
  if (meltJ < 0) return { waterKg, startC: -meltJ / waterKg / 4186, meltJ: 0, flags: [note] }
  return { waterKg, startC: 0, meltJ, flags: [note] }
}
