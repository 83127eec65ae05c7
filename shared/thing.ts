/** Things of the kit: their kinds, and the properties that matter to heat, each with its limits in one place. */
import type { BurnerKind, Head } from '../core/formats/document'
import { POT_MATERIALS, type PotMaterial } from '../core/constants/physical'
import type { Choice, FieldSpec, ReadFields } from './fields'
import { LIMITS, MAX_TEXT } from './limits'

export const THING_KINDS = ['burner', 'pot', 'lid', 'stand', 'screen', 'reflector', 'instrument'] as const
export type ThingKind = (typeof THING_KINDS)[number]
/** The parts a set-up is made of. */
export const PART_ROLES = ['burner', 'pot', 'lid', 'stand', 'screen', 'reflector'] as const
export type PartRole = (typeof PART_ROLES)[number]
export const KIND_NAMES: Record<ThingKind, [one: string, many: string]> = {
  burner: ['Burner', 'Burners'],
  pot: ['Pot', 'Pots'],
  lid: ['Lid', 'Lids'],
  stand: ['Stand', 'Stands'],
  screen: ['Windscreen', 'Windscreens'],
  reflector: ['Reflector', 'Reflectors'],
  instrument: ['Instrument', 'Instruments'],
}
export const isThingKind = (text: unknown): text is ThingKind => (THING_KINDS as readonly unknown[]).includes(text)

type Absent<T> = { [K in keyof T]?: T[K] | null }
/** Properties that were not there in the first versions are absent or null: not measured. */
export type BurnerProperties = { burner: BurnerKind; head: Head | null; massKg: number | null } & Absent<{
  heightM: number
  widthM: number
  supportM: number
}>
export type PotProperties = {
  massKg: number | null
  material: PotMaterial | null
  diameterM: number | null
  capacityM3: number | null
  finned: boolean
} & Absent<{ heightM: number }>
export type ScreenProperties = { form: 'cone' | 'wrap'; gapM: number | null; massKg: number | null } & Absent<{
  heightM: number
}>
export type PartProperties = { massKg: number | null } & Absent<{
  heightM: number
  diameterM: number
  supportM: number
}>
export type Measures = 'temperature' | 'mass' | 'wind' | 'pressure' | 'humidity'
/** Resolution and accuracy in SI; accuracy is a half-width, ± a. */
export interface InstrumentProperties {
  measures: Measures
  resolution: number
  unit: string
  accuracy?: number | null
  checkDays?: number | null
  /** Of a thermometer: how long it takes to 63 % of a step [s]. */
  lagS?: number | null
}
export type ThingProperties =
  BurnerProperties | PotProperties | ScreenProperties | PartProperties | InstrumentProperties

const choices = (words: Record<string, string>): Choice[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }))
export const BURNER_WORDS: Record<BurnerKind, string> = {
  'canister-top': 'gas, on the canister',
  integrated: 'gas, with its own finned pot',
  'remote-gas': 'gas, on a hose',
  'liquid-pressure': 'white gas or kerosene, pumped',
  alcohol: 'alcohol',
  solid: 'tablets',
  gel: 'alcohol gel',
  wood: 'wood',
}
const HEAD_WORDS: Record<Head, string> = {
  sheltered: 'sheltered: recessed or rimmed',
  exposed: 'exposed: open to the wind',
}
const MATERIAL_WORDS: Record<PotMaterial, string> = {
  aluminium: 'aluminium',
  titanium: 'titanium',
  stainless: 'stainless steel',
  copper: 'copper',
}
const MEASURES_WORDS: Record<Measures, string> = {
  temperature: 'temperature, °C',
  mass: 'mass, g',
  wind: 'wind, m/s',
  pressure: 'pressure, hPa',
  humidity: 'humidity, %',
}
/** Unit that an instrument's resolution is typed in, and what makes it SI. */
export const INSTRUMENT_UNITS: Record<Measures, { label: string; factor: number }> = {
  temperature: { label: '°C', factor: 1 },
  mass: { label: 'g', factor: 1e-3 },
  wind: { label: 'm/s', factor: 1 },
  pressure: { label: 'hPa', factor: 100 },
  humidity: { label: '%', factor: 0.01 },
}

const length = (key: string, label: string, hint?: string): FieldSpec => ({
  key,
  label,
  type: 'quantity',
  kind: 'partLength',
  hint,
})
const mass: FieldSpec = { key: 'massKg', label: 'Mass', type: 'quantity', kind: 'partMass' }
const finenessLimit = { min: 1e-6, max: 1000, unit: '' }

/** The properties of each kind, in the order they are asked. */
const PROPERTY_FIELDS: Record<ThingKind, FieldSpec[]> = {
  burner: [
    { key: 'burner', label: 'It burns', type: 'choice', choices: choices(BURNER_WORDS), required: true },
    {
      key: 'head',
      label: 'Head',
      type: 'choice',
      choices: choices(HEAD_WORDS),
      empty: 'not known',
      hint: 'Decides what wind does where no wind series was burned.',
    },
    mass,
    length(
      'heightM',
      'Height',
      'From what it stands on to where a pot rests, or to its top. On a canister: without the canister.',
    ),
    length('widthM', 'Width'),
    length('supportM', 'Pot supports', 'Across, where it carries the pot itself.'),
  ],
  pot: [
    {
      key: 'material',
      label: 'Material',
      type: 'choice',
      choices: choices(Object.fromEntries(POT_MATERIALS.map((one) => [one, MATERIAL_WORDS[one]]))),
      empty: 'not known',
    },
    mass,
    length('diameterM', 'Base diameter'),
    length('heightM', 'Height'),
    { key: 'capacityM3', label: 'Capacity', type: 'quantity', kind: 'capacity' },
    { key: 'finned', label: 'Fins (heat exchanger) under the base', type: 'flag' },
  ],
  lid: [mass, length('diameterM', 'Diameter')],
  stand: [mass, length('heightM', 'Height'), length('supportM', 'Carries, across')],
  screen: [
    {
      key: 'form',
      label: 'Form',
      type: 'choice',
      choices: choices({ cone: 'full cone, pot standing in it', wrap: 'wrap round the pot' }),
      required: true,
    },
    { key: 'gapM', label: 'Gap to the pot', type: 'quantity', kind: 'gap', hint: 'About 13 mm is usual.' },
    length('heightM', 'Height'),
    mass,
  ],
  reflector: [mass, length('diameterM', 'Diameter')],
  instrument: [
    { key: 'measures', label: 'Measures', type: 'choice', choices: choices(MEASURES_WORDS), required: true },
    {
      key: 'resolution',
      label: 'Reads to',
      type: 'number',
      limit: finenessLimit,
      factor: 1,
      required: true,
      hint: 'The smallest step it shows.',
    },
    {
      key: 'accuracy',
      label: 'Accuracy, ±',
      type: 'number',
      limit: finenessLimit,
      factor: 1,
      hint: 'As its maker says, or as you know it.',
    },
    {
      key: 'checkDays',
      label: 'Check every',
      type: 'number',
      limit: { min: 1, max: 3650, unit: 'days' },
      factor: 1,
      hint: 'Days. Overdue checks are said.',
    },
    {
      key: 'lagS',
      label: 'Lag',
      type: 'number',
      limit: LIMITS.lagS,
      factor: 1,
      hint: 'Of a thermometer: seconds to 63 % of a step, put from air into hot water. It is taken out of a trace before the boil is looked for.',
    },
  ],
}

const NAME: FieldSpec = { key: 'name', label: 'Name', type: 'text', max: MAX_TEXT.name, required: true }
const DESCRIPTION: FieldSpec = {
  key: 'description',
  label: 'Description',
  type: 'text',
  max: MAX_TEXT.description,
  lines: 2,
}
/** What is retired is no longer offered for new runs; what used it keeps it. */
export const RETIRED: FieldSpec = { key: 'retired', label: 'No longer in use', type: 'flag' }

/** Everything that is asked of a thing of this kind. `madeFromId`: what a home-made change began as. */
export const thingFields = (kind: ThingKind): FieldSpec[] => [
  NAME,
  DESCRIPTION,
  ...PROPERTY_FIELDS[kind],
  { key: 'madeFromId', label: 'Made from', type: 'choice', choices: null, empty: 'nothing else of the kit' },
  RETIRED,
]
/** The part of it that matters to heat: a change makes a new version. */
export const heatFields = (kind: ThingKind): FieldSpec[] => PROPERTY_FIELDS[kind]

/** The properties as they are stored, from fields as they were read. */
export function propertiesFrom(kind: ThingKind, values: ReadFields): ThingProperties {
  const own = Object.fromEntries(PROPERTY_FIELDS[kind].map(({ key }) => [key, values[key] ?? null]))
  if (kind !== 'instrument') return own as unknown as ThingProperties
  const { label, factor } = INSTRUMENT_UNITS[own.measures as Measures]
  const si = (value: unknown) => (value === null ? null : (value as number) * factor)
  return { ...own, resolution: si(own.resolution), accuracy: si(own.accuracy), unit: label } as InstrumentProperties
}

export const SETUP_FIELDS: FieldSpec[] = [
  NAME,
  DESCRIPTION,
  RETIRED,
  {
    key: 'gapM',
    label: 'Gap under the pot',
    type: 'quantity',
    kind: 'gap',
    hint: 'Burner or fuel bed to the pot’s base.',
  },
]

export const PRICE_FIELDS: FieldSpec[] = [
  { key: 'amount', label: 'Price', type: 'number', limit: LIMITS.price, factor: 1, required: true },
  { key: 'currency', label: 'Currency', type: 'text', max: 3, required: true, example: 'EUR' },
  { key: 'fromDay', label: 'From', type: 'date', required: true },
]
export const FUEL_PRICE_FIELDS: FieldSpec[] = [
  ...PRICE_FIELDS,
  { key: 'forKg', label: 'For so much fuel', type: 'quantity', kind: 'partMass', required: true },
]
