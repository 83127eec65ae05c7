/**
 * The fuels with built-in properties: lower heating value, density and thermal expansion.
 * Pure substances come from their enthalpies of formation, mixtures from their mass fractions.
 */
import type { Constant } from './constant'
import type { SourceKey } from './sources'

/** Enthalpy of formation [kJ/mol] in the state in which it is burnt, and molar mass [g/mol]. */
interface Substance {
  carbon: number
  hydrogen: number
  formationKJPerMol: number
  molarMassG: number
}

const CO2_KJ_PER_MOL = -393.51
const STEAM_KJ_PER_MOL = -241.83
const LATENT_25C_MJ_PER_KG = 2.44

const SUBSTANCES = {
  propane: { carbon: 3, hydrogen: 8, formationKJPerMol: -104.7, molarMassG: 44.0956 },
  'n-butane': { carbon: 4, hydrogen: 10, formationKJPerMol: -125.7, molarMassG: 58.1222 },
  isobutane: { carbon: 4, hydrogen: 10, formationKJPerMol: -134.2, molarMassG: 58.1222 },
  methanol: { carbon: 1, hydrogen: 4, formationKJPerMol: -238.9, molarMassG: 32.0419 },
  ethanol: { carbon: 2, hydrogen: 6, formationKJPerMol: -277.6, molarMassG: 46.0684 },
  isopropanol: { carbon: 3, hydrogen: 8, formationKJPerMol: -318.1, molarMassG: 60.095 },
  hexamine: { carbon: 6, hydrogen: 12, formationKJPerMol: 124.1, molarMassG: 140.1863 },
  trioxane: { carbon: 3, hydrogen: 6, formationKJPerMol: -522.5, molarMassG: 90.0779 },
} as const satisfies Record<string, Substance>

/**
 * Lower heating value from enthalpies of formation: LHV = (ΔfH(fuel) − n·ΔfH(CO₂) − (m/2)·ΔfH(H₂O, gas)) / M.
 * @returns [MJ/kg]. Source: formation, formationOrganic. Example: methanol 19.92.
 */
function lowerHeatingValueFromFormation(name: keyof typeof SUBSTANCES): number {
  const { carbon, hydrogen, formationKJPerMol, molarMassG } = SUBSTANCES[name]
  return (formationKJPerMol - carbon * CO2_KJ_PER_MOL - (hydrogen / 2) * STEAM_KJ_PER_MOL) / molarMassG
}

/**
 * LHV [MJ/kg] of a fuel that is part water, `fuelMassFraction` w of it burning: w·LHV − (1 − w)·2.44. Source:
 * waterInFuel.
 */
function lowerHeatingValueWet(dryMJPerKg: number, fuelMassFraction: number): number {
  return fuelMassFraction * dryMJPerKg - (1 - fuelMassFraction) * LATENT_25C_MJ_PER_KG
}

export type FuelForm = 'gas' | 'alcohol' | 'liquid' | 'solid' | 'gel' | 'wood'

export interface Fuel {
  kind: string
  name: string
  form: FuelForm
  lowerHeatingValue: Constant
  /** Density of the liquid at 20 °C; null where the fuel is not measured by volume. */
  density: Constant | null
  /** Thermal expansion β in ρ = ρ20·[1 − β(T − 20)] [1/K]. */
  expansionPerK: number
  /** Mass fractions, where the fuel is a mixture. */
  composition: Record<string, number>
}

const lhv = (value: number, u: number, reference: SourceKey): Constant => ({
  value,
  unit: 'MJ/kg',
  standardUncertainty: u,
  reference,
})
const density = (value: number, u: number, reference: SourceKey = 'crcDensity'): Constant => ({
  value,
  unit: 'kg/m³',
  standardUncertainty: u,
  reference,
})
const pure = (name: keyof typeof SUBSTANCES) => lowerHeatingValueFromFormation(name)

const ISOPROPANOL_DENSITY = 785.5
/** Isopropanol sold by volume: `w` is its mass fraction, `share` its share of the volume before mixing. */
function isopropanol(kind: string, share: number, w: number): Fuel {
  return {
    kind,
    name: `Isopropanol ${Math.round(share * 100)} % by volume`,
    form: 'alcohol',
    lowerHeatingValue: lhv(lowerHeatingValueWet(pure('isopropanol'), w), 0.15, 'formation'),
    density: density((share * ISOPROPANOL_DENSITY) / w, 2),
    expansionPerK: 1.1e-3,
    composition: { isopropanol: w, water: 1 - w },
  }
}

function gas(
  kind: string,
  name: string,
  composition: Partial<Record<keyof typeof SUBSTANCES, number>>,
  u: number,
): Fuel {
  const parts = Object.entries(composition) as [keyof typeof SUBSTANCES, number][]
  const value = parts.reduce((sum, [part, w]) => sum + w * pure(part), 0)
  return {
    kind,
    name,
    form: 'gas',
    lowerHeatingValue: lhv(value, u, 'formation'),
    density: null,
    expansionPerK: 0,
    composition,
  }
}

function other(
  kind: string,
  name: string,
  form: FuelForm,
  lowerHeatingValue: Constant,
  rho: Constant | null = null,
  expansionPerK = 0,
): Fuel {
  return { kind, name, form, lowerHeatingValue, density: rho, expansionPerK, composition: {} }
}

const ALL: Fuel[] = [
  gas('propane', 'Propane', { propane: 1 }, 0.05),
  gas('isobutane', 'Isobutane', { isobutane: 1 }, 0.05),
  gas('n-butane', 'n-Butane', { 'n-butane': 1 }, 0.05),
  gas('isobutane-propane', 'Isobutane and propane, 80/20 by mass', { isobutane: 0.8, propane: 0.2 }, 0.15),
  gas('butane-propane', 'n-Butane and propane, 70/30 by mass', { 'n-butane': 0.7, propane: 0.3 }, 0.15),
  other('methanol', 'Methanol', 'alcohol', lhv(pure('methanol'), 0.1, 'formation'), density(791.3, 1), 1.2e-3),
  other('ethanol', 'Ethanol, absolute', 'alcohol', lhv(pure('ethanol'), 0.1, 'formation'), density(789.3, 1), 1.1e-3),
  {
    ...other(
      'ethanol-denatured',
      'Ethanol, denatured, 94 % by mass',
      'alcohol',
      lhv(lowerHeatingValueWet(pure('ethanol'), 0.94), 0.6, 'fuelEstimate'),
      density(806, 6, 'fuelEstimate'),
      1.1e-3,
    ),
    composition: { ethanol: 0.94, water: 0.06 },
  },
  isopropanol('isopropanol-70', 0.7, 0.627),
  isopropanol('isopropanol-91', 0.91, 0.876),
  isopropanol('isopropanol-99', 0.99, 0.986),
  other(
    'white-gas',
    'White gas (light naphtha)',
    'liquid',
    lhv(44, 0.6, 'fuelEstimate'),
    density(700, 20, 'fuelEstimate'),
    1.2e-3,
  ),
  other('kerosene', 'Kerosene', 'liquid', lhv(43, 0.4, 'fuelEstimate'), density(805, 12, 'fuelEstimate'), 9.5e-4),
  other('hexamine', 'Hexamine tablet', 'solid', lhv(pure('hexamine'), 0.4, 'formation')),
  other('trioxane', 'Trioxane bar', 'solid', lhv(pure('trioxane'), 0.3, 'formation')),
  other(
    'alcohol-gel',
    'Alcohol gel, 80 % ethanol by mass',
    'gel',
    lhv(lowerHeatingValueWet(pure('ethanol'), 0.8), 1.5, 'fuelEstimate'),
  ),
  other('wax-wood', 'Wax and wood fibre', 'solid', lhv(31, 4, 'fuelEstimate')),
  other('wood-dry', 'Wood, dry', 'wood', lhv(18.4, 0.5, 'fuelEstimate')),
]

export const FUELS: Readonly<Record<string, Fuel>> = Object.fromEntries(ALL.map((fuel) => [fuel.kind, fuel]))
export const FUEL_KINDS = ALL.map((fuel) => fuel.kind)
export const fuelOfKind = (kind: string): Fuel | null => (Object.hasOwn(FUELS, kind) ? FUELS[kind]! : null)

/** Density [kg/m³] at the fuel's temperature: ρ20·[1 − β(T − 20)]. Null where the fuel has no density. */
export function densityAt(fuel: Fuel, tempC: number): number | null {
  return fuel.density === null ? null : fuel.density.value * (1 - fuel.expansionPerK * (tempC - 20))
}
