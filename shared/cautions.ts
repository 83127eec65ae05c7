/**
 * The usual cautions, by fuel, for where the act happens. Source: what every practitioner repeats; makers and local
 * rules come first.
 */
import { fuelOfKind, type FuelForm } from '../core/constants/fuels'
import type { TestName } from '../core/method/method'

const GENERAL_CAUTIONS = [
  'Outdoors or doors wide open; never in a tent, vehicle or closed room: carbon monoxide, and fire.',
  'Level, stable, cleared ground. A spilled pot scalds; hot handles burn through gloves.',
  'Snuffer or lid, water and a fire blanket within reach.',
  'The maker’s instructions, fire restrictions and local rules come first.',
]
const FUEL_CAUTIONS: Record<FuelForm, string[]> = {
  gas: [
    'Check threads and seals for leaks; a little gas escapes on unscrewing: no flame nearby.',
    'Never wrap a windscreen round a burner on its canister. If the canister is hot to the touch, shut off.',
    'Never warm a canister with a flame; lukewarm water at most.',
  ],
  alcohol: [
    'This flame may be invisible. Treat as lit until cold.',
    'Never refuel a burning or hot burner. Never blow it out: snuff it.',
  ],
  liquid: [
    'Liquid-fuel stoves flare on priming: practise first, outdoors, and keep your face away.',
    'Never refuel a burning or hot burner.',
  ],
  solid: ['The fumes are not to be breathed.', 'Foil under the tablet; let the rest cool before it is touched.'],
  gel: ['This flame may be invisible. Treat as lit until cold.', 'Never add gel to a burning or hot cup.'],
  wood: [
    'Wood throws sparks: clear the ground around, and look up too.',
    'Ash and char stay hot for hours: drown them.',
  ],
}
const USUAL_FORMS: Partial<Record<TestName, FuelForm[]>> = {
  fed: ['solid', 'wood'],
  wood: ['wood'],
  boilBurnOut: ['alcohol', 'gel'],
  burnOff: ['alcohol', 'gel', 'solid'],
  warmUp: ['alcohol', 'liquid'],
  simmer: ['alcohol', 'gas'],
  coolDown: [],
}

export const cautionsFor = (fuelKind: string | null): string[] => {
  const form = fuelKind === null ? null : (fuelOfKind(fuelKind)?.form ?? null)
  return [...(form === null ? [] : FUEL_CAUTIONS[form]), ...GENERAL_CAUTIONS]
}
/** Of a test: by the fuels it is usually burned with. */
export const cautionsOfTest = (test: TestName): string[] => [
  ...new Set([
    ...(USUAL_FORMS[test] ?? (['gas', 'alcohol'] as FuelForm[])).flatMap((form) => FUEL_CAUTIONS[form]),
    ...GENERAL_CAUTIONS,
  ]),
]
