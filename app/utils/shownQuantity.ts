/** Stored SI values in the units of the person: in show only, never in store. */
import { fromSI, unitOf } from '#core/quantity/units'
import { formatNumber } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/kinds'

/** Unit of a kind of value in each system, and the decimals it is shown with. */
const SHOWN = {
  temperature: { metric: ['degC', 1], trail: ['degF', 1] },
  altitude: { metric: ['m', 0], trail: ['ft', 0] },
  wind: { metric: ['mps', 1], trail: ['mph', 1] },
  pressure: { metric: ['hPa', 1], trail: ['inHg', 2] },
  mass: { metric: ['g', 1], trail: ['oz', 2] },
  volume: { metric: ['ml', 0], trail: ['cup', 2] },
  share: { metric: ['pct', 0], trail: ['pct', 0] },
} as const satisfies Record<string, Record<UnitSystem, readonly [string, number]>>

export type ShownKind = keyof typeof SHOWN

export function shownParts(valueSI: number, kind: ShownKind, units: UnitSystem): { figure: string; unit: string } {
  const [unitId, decimals] = SHOWN[kind][units]
  const unit = unitOf(unitId)
  return { figure: formatNumber(fromSI(valueSI, unit), decimals), unit: unit.label }
}

export function shown(valueSI: number, kind: ShownKind, units: UnitSystem): string {
  const { figure, unit } = shownParts(valueSI, kind, units)
  return `${figure}\u202f${unit}`
}
