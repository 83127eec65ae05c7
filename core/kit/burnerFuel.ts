/** Which fuels belong to which burners. */
import { fuelOfKind, type FuelForm } from '../constants/fuels'
import type { BurnerKind } from '../formats/document'

/** Source: commonPractice. */
const BELONGS: Record<BurnerKind, readonly FuelForm[]> = {
  'canister-top': ['gas'],
  integrated: ['gas'],
  'remote-gas': ['gas'],
  'liquid-pressure': ['liquid'],
  alcohol: ['alcohol'],
  solid: ['solid'],
  gel: ['gel'],
  wood: ['wood', 'solid'],
}
const DANGEROUS: Partial<Record<BurnerKind, string>> = {
  alcohol: 'White gas, kerosene or gas in an alcohol burner flares and can burst it.',
  'liquid-pressure':
    'A pressure burner is made for the fuels its maker names: another may flare, clog or dissolve its seals.',
}

/**
 * Why this fuel does not belong to this burner, or null where it does or either is not known.
 * Example: ("alcohol", "white-gas") → a sentence.
 */
export function burnerFuelMismatch(burner: BurnerKind | null, fuelKind: string | null): string | null {
  const form = fuelKind === null ? null : (fuelOfKind(fuelKind)?.form ?? null)
  if (burner === null || form === null || BELONGS[burner].includes(form)) return null
  return `This burner and this fuel do not belong together. ${DANGEROUS[burner] ?? 'Either is probably a slip; if not, the maker’s instructions come first.'}`
}
