/**
 * The invented kit of the demonstration, as its testers would have typed it: the field store of a small volcano
 * observatory. No maker or product is meant.
 */
import type { BurnerKind } from '../../core/formats/document'
import type { TypedFields } from '../../shared/fields'
import type { PartRole, ThingKind } from '../../shared/thing'

const ZONE = 'Atlantic/Azores'

export const PEOPLE = ['Odra Vell', 'Tamsin Quay'] as const

export const PLACES = {
  store: { name: 'Harbour store', zone: ZONE, altitudeM: '12 m' },
  hut: { name: 'Ash Gate hut', zone: ZONE, altitudeM: '940 m' },
  rim: { name: 'Crater rim camp', zone: ZONE, altitudeM: '2 130 m' },
  saddle: { name: 'Ice saddle', zone: ZONE, altitudeM: '2 870 m' },
} as const satisfies Record<string, TypedFields>

export interface DemoThing {
  kind: ThingKind
  fields: TypedFields
  price?: string
  madeFrom?: string
}
const thing = (kind: ThingKind, name: string, fields: TypedFields, price?: string): DemoThing => ({
  kind,
  fields: { name, ...fields },
  price,
})
const burner = (name: string, burns: BurnerKind, head: string, fields: TypedFields, price?: string) =>
  thing('burner', name, { burner: burns, head, ...fields }, price)
const pot = (
  name: string,
  material: string,
  massKg: string,
  [diameterM, heightM]: [string, string],
  capacityM3: string,
  finned = false,
  price?: string,
) => thing('pot', name, { material, massKg, diameterM, heightM, capacityM3, finned }, price)

export const THINGS = {
  fumarole: burner(
    'Fumarole',
    'canister-top',
    'exposed',
    {
      description: 'Small gas burner on the canister, open head',
      massKg: '74 g',
      heightM: '88 mm',
      widthM: '112 mm',
      supportM: '98 mm',
    },
    '38',
  ),
  solfatara: burner(
    'Solfatara',
    'canister-top',
    'sheltered',
    {
      description: 'Gas burner on the canister, recessed head',
      massKg: '87 g',
      heightM: '92 mm',
      widthM: '120 mm',
      supportM: '104 mm',
    },
    '61',
  ),
  maar: burner(
    'Maar',
    'integrated',
    'sheltered',
    {
      description: 'Gas burner and finned pot in one',
      massKg: '165 g',
      heightM: '96 mm',
      widthM: '104 mm',
      supportM: '100 mm',
    },
    '119',
  ),
  ignimbrite: burner(
    'Ignimbrite',
    'remote-gas',
    'sheltered',
    { description: 'Gas burner on a hose', massKg: '195 g', heightM: '86 mm', widthM: '150 mm', supportM: '130 mm' },
    '84',
  ),
  andesite: burner(
    'Andesite',
    'liquid-pressure',
    'sheltered',
    {
      description: 'Pressure burner for white gas and kerosene',
      massKg: '340 g',
      heightM: '98 mm',
      widthM: '140 mm',
      supportM: '140 mm',
    },
    '135',
  ),
  lahar: burner('Lahar', 'alcohol', 'sheltered', {
    description: 'Home-made alcohol jet burner',
    massKg: '21 g',
    heightM: '45 mm',
    widthM: '64 mm',
  }),
  lapilli: burner(
    'Lapilli',
    'solid',
    'exposed',
    { description: 'Folding tray for tablets', massKg: '45 g', heightM: '38 mm', widthM: '92 mm', supportM: '80 mm' },
    '9',
  ),
  dacite: burner(
    'Dacite',
    'gel',
    'exposed',
    { description: 'Cup for alcohol gel', massKg: '30 g', heightM: '32 mm', widthM: '70 mm' },
    '6',
  ),
  breccia: burner('Breccia', 'wood', 'sheltered', {
    description: 'Batch wood can with closable air holes',
    massKg: '210 g',
    heightM: '170 mm',
    widthM: '110 mm',
    supportM: '112 mm',
  }),
  cinder: pot('Cinder 900', 'titanium', '98 g', ['92 mm', '138 mm'], '900 mL', false, '45'),
  tuff: pot('Tuff 1300', 'aluminium', '140 g', ['128 mm', '102 mm'], '1 300 mL', false, '32'),
  spatterPlain: pot('Spatter 1000', 'aluminium', '195 g', ['118 mm', '96 mm'], '1 000 mL', false, '36'),
  spatterFins: pot('Spatter 1000 F', 'aluminium', '230 g', ['118 mm', '110 mm'], '1 000 mL', true, '58'),
  ash: pot('Ash mug 600', 'titanium', '110 g', ['108 mm', '72 mm'], '600 mL', false, '29'),
  bomb: pot('Bomb 700', 'titanium', '92 g', ['100 mm', '92 mm'], '700 mL', false, '34'),
  dyke: pot('Dyke 2000', 'stainless', '410 g', ['170 mm', '95 mm'], '2 000 mL', false, '27'),
  flatLid: thing('lid', 'Flat lid', { massKg: '22 g', diameterM: '130 mm' }),
  smallLid: thing('lid', 'Mug lid', { massKg: '12 g', diameterM: '110 mm' }),
  feltLid: {
    ...thing('lid', 'Mug lid with felt', {
      massKg: '19 g',
      diameterM: '112 mm',
      description: 'A disc of felt glued on',
    }),
    madeFrom: 'smallLid',
  },
  wireStand: thing('stand', 'Wire stand', { massKg: '28 g', heightM: '70 mm', supportM: '110 mm' }),
  cone: thing('screen', 'Close cone', { form: 'cone', gapM: '13 mm', heightM: '120 mm', massKg: '34 g' }),
  wrap: thing('screen', 'Foil wrap', { form: 'wrap', gapM: '13 mm', heightM: '110 mm', massKg: '18 g' }),
  mirror: thing('reflector', 'Foil disc', { massKg: '4 g', diameterM: '120 mm' }),
  fineScale: thing('instrument', 'Bench scale', {
    measures: 'mass',
    resolution: '0.1',
    accuracy: '0.1',
    checkDays: '120',
  }),
  probe: thing('instrument', 'Lid probe', {
    measures: 'temperature',
    resolution: '0.1',
    accuracy: '0.3',
    checkDays: '90',
  }),
  cups: thing('instrument', 'Cup anemometer', {
    measures: 'wind',
    resolution: '0.1',
    accuracy: '0.2',
    checkDays: '365',
  }),
} as const satisfies Record<string, DemoThing>

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
export const CANISTERS = ['Canister A', 'Canister B', 'Canister C', 'Canister D', 'Canister E', 'Canister F'] as const
export const SHELL_G = 150
export const FULL_G = 230
