/** Numbers as they are shown: true minus, thin space before the unit, rounding by the uncertainty. */
import { fromSI, unitOf } from './units'

const THIN = '\u202f'

/** Figures with a true minus and thin spaces between thousands from 10 000 on. */
export function formatNumber(value: number, decimals: number): string {
  const text = Math.abs(value).toFixed(Math.max(0, decimals))
  const [whole, rest] = text.split('.') as [string, string | undefined]
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, THIN) : whole
  const negative = value < 0 && Number(text) !== 0
  return `${negative ? '−' : ''}${grouped}${rest === undefined ? '' : `.${rest}`}`
}

/** With its sign, as a difference: "+0.3", "−0.2", "0.0". */
export const signed = (value: number, decimals: number): string =>
  `${value > 0 && Number(value.toFixed(decimals)) !== 0 ? '+' : ''}${formatNumber(value, decimals)}`

/** Decimals that show `digits` significant figures of a value. */
export function decimalsFor(value: number, digits: number): number {
  if (value === 0 || !Number.isFinite(value)) return 1
  return Math.min(9, Math.max(0, digits - 1 - Math.floor(Math.log10(Math.abs(value)))))
}

/**
 * Decimals to which an uncertainty, and its value with it, is shown: the PDG rule. Of its three leading digits,
 * 100–354 keeps two figures, 355–949 one, 950–999 is rounded up to 1 000 and keeps two. Source: pdgRounding.
 * Example: 0.36 → 1 decimal (0.4); 0.123 → 2 decimals (0.12).
 */
function decimalsByPdg(uncertainty: number): number {
  if (!(uncertainty > 0)) return 2
  const exponent = Math.floor(Math.log10(uncertainty))
  const leading = Math.round(uncertainty / 10 ** (exponent - 2))
  // From 950 on the figure becomes 1.0 of the next decade: as many decimals as one figure of this one.
  const figures = leading < 355 ? 2 : 1
  return Math.max(0, figures - 1 - exponent)
}

/** "24.4 ± 0.7": value and expanded uncertainty rounded together. */
export function formatWithU(value: number, expandedU: number | null): string {
  if (expandedU === null || !(expandedU > 0)) return formatNumber(value, decimalsFor(value, 4))
  const decimals = decimalsByPdg(expandedU)
  return `${formatNumber(value, decimals)}${THIN}±${THIN}${formatNumber(expandedU, decimals)}`
}

/** From here on an interval is not told by ± any more: it leans to the high side, and does not reach nought. */
const WIDE = 0.4

/**
 * The same of a figure that is above nought whatever it is: where it is known badly, with the range of its logarithm.
 * Example: 21.3 ± 11 → "21 (13 to 36)".
 */
export function formatPositiveWithU(value: number, expandedU: number | null): string {
  if (expandedU === null || !(expandedU > WIDE * value)) return formatWithU(value, expandedU)
  const decimals = decimalsByPdg(expandedU)
  const [low, high] = [-1, 1].map((side) => formatNumber(value * Math.exp((side * expandedU) / value), decimals))
  return `${formatNumber(value, decimals)} (${low}\u00a0to\u00a0${high})`
}

/** Minutes and seconds; minutes run on past 59. Example: 228 → "3:48". */
export function formatClock(seconds: number, decimals = 0): string {
  const rounded = Number(Math.abs(seconds).toFixed(decimals))
  const minutes = Math.floor(rounded / 60)
  const rest = (rounded - minutes * 60).toFixed(decimals).padStart(decimals === 0 ? 2 : 3 + decimals, '0')
  return `${seconds < 0 ? '−' : ''}${minutes}:${rest}`
}

/** A stored SI value in a unit of the table, with its label. Example: (0.473, "g") → "473 g". */
export function formatInUnit(valueSI: number, unitId: string, decimals?: number): string {
  const unit = unitOf(unitId)
  const value = fromSI(valueSI, unit)
  return `${formatNumber(value, decimals ?? decimalsFor(value, 4))}${THIN}${unit.label}`
}
