/** Wood as burnt, as dry wood of the same heat: less its moisture, and less the char that is left. */
import { fuelOfKind } from '../constants/fuels'
import { CHAR_LOWER_HEATING_VALUE, WATER_SPECIFIC_HEAT } from '../constants/physical'
import type { Flag } from '../formats/answer'
import { latentHeat } from '../water/liquid'

export interface DryWood {
  massKg: number
  /** Dry wood per wood as burnt, before the char is taken off. */
  perBurnt: number
  charAsWoodKg: number
  flags: Flag[]
}

export interface WoodReadings {
  /** On a wet basis, 0…1. */
  moisture: number | null
  charKg: number | null
  /** Lower heating value of the dry wood [J/kg]; null: the built-in one. */
  lhvJPerKg: number | null
  boilingC: number | null
  airC: number | null
}

/**
 * m_dry = m·[LHV·(1 − M) − M·(c_w·(T_b − T_a) + h_fg)]/LHV − m_char·LHV_char/LHV, M the moisture on a wet basis.
 * @param burntKg wood that went in, less what was taken out unburnt [kg]. Source: wbt.
 * Example: 100 g at 15 % with 3 g of char → 78.0 g.
 */
export function equivalentDryWood(
  burntKg: number,
  { moisture, charKg, lhvJPerKg, boilingC, airC }: WoodReadings,
): DryWood {
  const flags: Flag[] = []
  const lhv = lhvJPerKg ?? fuelOfKind('wood-dry')!.lowerHeatingValue.value * 1e6
  const wet = moisture ?? 0
  const steamJPerKg =
    WATER_SPECIFIC_HEAT.value * ((boilingC ?? 100) - (airC ?? 20)) + latentHeat(boilingC ?? 100) * 1000
  const perBurnt = 1 - wet - (wet * steamJPerKg) / lhv
  const charAsWoodKg = ((charKg ?? 0) * CHAR_LOWER_HEATING_VALUE.value * 1e6) / lhv
  if (moisture === null)
    flags.push({
      code: 'moisture-not-measured',
      severity: 'warning',
      text: 'Moisture of the wood not measured: taken as dry, so the figure is too high.',
    })
  if (charKg === null)
    flags.push({ code: 'char-not-weighed', severity: 'note', text: 'Char not weighed: none is credited.' })
  return { massKg: burntKg * perBurnt - charAsWoodKg, perBurnt, charAsWoodKg, flags }
}
