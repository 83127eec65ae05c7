/** Wood as burnt, in grams of dry wood of the same heat: less its moisture, and less the char that is left. */
import { fuelOfKind } from '../constants/fuels'
import { CHAR_LOWER_HEATING_VALUE, WATER_SPECIFIC_HEAT } from '../constants/physical'
import type { Flag } from '../formats/answer'
import { latentHeat } from '../water/liquid'

export interface DryWood {
  grams: number
  /** Dry grams per gram as burnt, before the char is taken off. */
  perGram: number
  charAsWoodG: number
  flags: Flag[]
}

export interface WoodReadings {
  moisturePct: number | null
  charG: number | null
  /** Lower heating value of the dry wood [MJ/kg]; null: the built-in one. */
  lhvMJPerKg: number | null
  boilingC: number | null
  airC: number | null
}

/**
 * m_dry = m·[LHV·(1 − M) − M·(c_w·(T_b − T_a) + h_fg)]/LHV − m_char·LHV_char/LHV, M the moisture on a wet basis.
 * @param burntG wood that went in, less what was taken out unburnt [g]. Source: wbt.
 * Example: 100 g at 15 % with 3 g of char → 78.0 g.
 */
export function equivalentDryWood(
  burntG: number,
  { moisturePct, charG, lhvMJPerKg, boilingC, airC }: WoodReadings,
): DryWood {
  const flags: Flag[] = []
  const lhv = lhvMJPerKg ?? fuelOfKind('wood-dry')!.lowerHeatingValue.value
  const moisture = (moisturePct ?? 0) / 100
  const steamMJPerKg =
    (WATER_SPECIFIC_HEAT.value * ((boilingC ?? 100) - (airC ?? 20)) + latentHeat(boilingC ?? 100) * 1000) / 1e6
  const perGram = 1 - moisture - (moisture * steamMJPerKg) / lhv
  const charAsWoodG = ((charG ?? 0) * CHAR_LOWER_HEATING_VALUE.value) / lhv
  if (moisturePct === null)
    flags.push({
      code: 'moisture-not-measured',
      severity: 'warning',
      text: 'Moisture of the wood not measured: taken as dry, so the figure is too high.',
    })
  if (charG === null)
    flags.push({ code: 'char-not-weighed', severity: 'note', text: 'Char not weighed: none is credited.' })
  return { grams: burntG * perGram - charAsWoodG, perGram, charAsWoodG, flags }
}
