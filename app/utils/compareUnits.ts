/** Figures of answers, in the unit that they are asked in. */
import type { AskedUnit } from '#core/formats/comparison'
import { formatClock, formatNumber } from '#core/quantity/format'
import type { AskedView } from '#shared/comparison'

type In = Pick<AskedView, 'unit' | 'currency'>

/** What an axis counts. */
export const unitOfBoil = ({ unit, currency }: In): string =>
  ({ g: 'g a boil', MJ: 'kJ a boil', money: `${currency ?? ''} a boil`, s: 'to the boil' })[unit]

/** A figure of a boil, without its unit. */
export function shownOfBoil({ unit }: In, value: number): string {
  if (unit === 's') return formatClock(value)
  return unit === 'MJ' ? formatNumber(1000 * value, 0) : formatNumber(value, unit === 'money' ? 3 : 1)
}

/** "7.9 (7.6 to 8.2)". */
export const rangeOfBoil = (of: In, { boilG, low, high }: { boilG: number; low: number; high: number }): string =>
  `${shownOfBoil(of, boilG)} (${shownOfBoil(of, low)} to ${shownOfBoil(of, high)})`

/** As numbers on an axis: kilojoules in place of megajoules. */
export const onAxis = (unit: AskedUnit, value: number): number => (unit === 'MJ' ? 1000 * value : value)

const UNIT_WORDS: Record<AskedUnit, string> = { g: 'grams', MJ: 'heat', money: 'money', s: 'time' }
export const unitChoices = (units: readonly AskedUnit[]) => units.map((value) => ({ value, label: UNIT_WORDS[value] }))
