/**
 * The invented kit of the demonstration, as its testers would have typed it: the field store of a small volcano
 * observatory. No maker or product is meant.
 */
import type { TypedFields } from '../../shared/fields'
import type { PartRole } from '../../shared/thing'
import type { THINGS } from './things'

const ZONE = 'Atlantic/Azores'

export const PEOPLE = ['Odra Vell', 'Tamsin Quay'] as const

export const PLACES = {
  store: { name: 'Harbour store', zone: ZONE, altitudeM: '12 m' },
  hut: { name: 'Ash Gate hut', zone: ZONE, altitudeM: '940 m' },
  rim: { name: 'Crater rim camp', zone: ZONE, altitudeM: '2 130 m' },
  saddle: { name: 'Ice saddle', zone: ZONE, altitudeM: '2 870 m' },
} as const satisfies Record<string, TypedFields>

type ThingKey = keyof typeof THINGS

interface DemoSetup {
  name: string
  gapM: string
  parts: Partial<Record<PartRole, ThingKey>>
  description?: string
}
export const SETUPS = {
  narrowOpen: {
    name: 'Fumarole with narrow pot',
    gapM: '22 mm',
    parts: { burner: 'fumarole', pot: 'cinder', lid: 'flatLid' },
  },
  wideSheltered: {
    name: 'Solfatara with wide pot',
    gapM: '18 mm',
    parts: { burner: 'solfatara', pot: 'tuff', lid: 'flatLid' },
  },
  finned: {
    name: 'Solfatara with finned pot',
    gapM: '18 mm',
    parts: { burner: 'solfatara', pot: 'spatterFins', lid: 'flatLid' },
  },
  spiritCone: {
    name: 'Lahar in the cone',
    gapM: '25 mm',
    parts: { burner: 'lahar', pot: 'ash', lid: 'smallLid', stand: 'wireStand', screen: 'cone' },
  },
  tabletBig: {
    name: 'Lapilli under the big pot',
    gapM: '30 mm',
    parts: { burner: 'lapilli', pot: 'dyke', lid: 'flatLid' },
  },
  tablet: {
    name: 'Lapilli with wrap',
    gapM: '30 mm',
    parts: { burner: 'lapilli', pot: 'bomb', lid: 'smallLid', screen: 'wrap' },
  },
  hosePlain: {
    name: 'Ignimbrite, plain pot',
    gapM: '20 mm',
    parts: { burner: 'ignimbrite', pot: 'spatterPlain', lid: 'flatLid' },
  },
  hoseFins: {
    name: 'Ignimbrite, finned pot',
    gapM: '20 mm',
    parts: { burner: 'ignimbrite', pot: 'spatterFins', lid: 'flatLid' },
  },
  maar: { name: 'Maar as issued', gapM: '12 mm', parts: { burner: 'maar', pot: 'spatterFins', lid: 'flatLid' } },
  pumped: {
    name: 'Andesite with the big pot',
    gapM: '24 mm',
    parts: { burner: 'andesite', pot: 'dyke', lid: 'flatLid', reflector: 'mirror' },
  },
  gel: {
    name: 'Dacite with mug',
    gapM: '40 mm',
    parts: { burner: 'dacite', pot: 'ash', lid: 'smallLid', stand: 'wireStand' },
  },
  wood: { name: 'Breccia with Bomb', gapM: '15 mm', parts: { burner: 'breccia', pot: 'bomb', lid: 'smallLid' } },
  narrowWide: {
    name: 'Fumarole with wide pot',
    gapM: '22 mm',
    parts: { burner: 'fumarole', pot: 'tuff', lid: 'flatLid' },
  },
  narrowFins: {
    name: 'Fumarole with finned pot',
    gapM: '22 mm',
    parts: { burner: 'fumarole', pot: 'spatterFins', lid: 'flatLid' },
  },
  wideOpen: { name: 'Solfatara, wide pot, no lid', gapM: '18 mm', parts: { burner: 'solfatara', pot: 'tuff' } },
  spiritBomb: {
    name: 'Lahar under the Bomb',
    gapM: '25 mm',
    parts: { burner: 'lahar', pot: 'bomb', lid: 'smallLid', stand: 'wireStand' },
  },
  spiritBare: { name: 'Lahar alone', gapM: '', parts: { burner: 'lahar' } },
  gelBare: { name: 'Dacite alone', gapM: '', parts: { burner: 'dacite' } },
} as const satisfies Record<string, DemoSetup>
export type SetupKey = keyof typeof SETUPS

export const FUELS = {
  gas: {
    kind: 'isobutane-propane',
    fuel: 'Isobutane-propane',
    batch: 'store canisters, spring',
    openedOn: '2026-02-09',
    storage: 'store shelf, 8 to 20 °C',
    composition: 'isobutane 80, propane 20, by mass',
  },
  methanol: {
    kind: 'methanol',
    fuel: 'Methanol',
    batch: 'drum 3',
    openedOn: '2026-01-20',
    storage: 'closed drum, shed',
  },
  hexamine: {
    kind: 'hexamine',
    fuel: 'Hexamine tablets',
    batch: 'tin from the hut',
    openedOn: '2025-11-02',
    storage: 'opened tin, dry',
  },
  ethanol: {
    kind: 'ethanol-denatured',
    fuel: 'Ethanol, denatured',
    batch: 'hardware shop',
    openedOn: '2026-04-02',
    storage: 'closed bottle',
  },
  whiteGas: {
    kind: 'white-gas',
    fuel: 'White gas',
    batch: 'opened this year',
    openedOn: '2026-03-01',
    storage: 'metal can, shed',
  },
  kerosene: { kind: 'kerosene', fuel: 'Kerosene', batch: 'generator shed', storage: 'metal can, shed' },
  gel: {
    kind: 'alcohol-gel',
    fuel: 'Alcohol gel',
    batch: 'packets, opened',
    openedOn: '2026-05-11',
    storage: 'opened packets fade within days',
  },
  wood: {
    kind: 'wood-dry',
    fuel: 'Heather sticks',
    batch: 'dried indoors',
    openedOn: '2026-05-01',
    storage: 'drying room',
  },
} as const satisfies Record<string, TypedFields>
export type FuelKey = keyof typeof FUELS
/** [amount, for so much]. */
export const FUEL_PRICES: Partial<Record<FuelKey, [string, string]>> = {
  gas: ['7.50', '230 g'],
  methanol: ['4.20', '790 g'],
  ethanol: ['3.60', '806 g'],
  hexamine: ['5.00', '160 g'],
  whiteGas: ['11', '700 g'],
  gel: ['2.40', '200 g'],
}

/** Canisters of the store: shell and content when full. */
export const CANISTERS = [
  'Canister A',
  'Canister B',
  'Canister C',
  'Canister D',
  'Canister E',
  'Canister F',
  'Canister G',
  'Canister H',
  'Canister I',
] as const
export const SHELL_G = 150
export const FULL_G = 230
