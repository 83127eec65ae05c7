/** The invented burners, pots and instruments of the demonstration. No maker or product is meant. */
import type { BurnerKind } from '../../core/formats/document'
import type { TypedFields } from '../../shared/fields'
import type { ThingKind } from '../../shared/thing'

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
