/** A batch of fuel: which fuel, how old, how stored, and what was measured of it. */
import { FUELS, FUEL_KINDS } from '../core/constants/fuels'
import type { FieldSpec } from './fields'
import { LIMITS, MAX_TEXT } from './limits'
import { RETIRED } from './thing'

export const FUEL_CHOICES = FUEL_KINDS.map((kind) => ({ value: kind, label: FUELS[kind]!.name }))

export const BATCH_FIELDS: FieldSpec[] = [
  { key: 'kind', label: 'Fuel', type: 'choice', choices: FUEL_CHOICES, required: true },
  { key: 'fuel', label: 'Called', type: 'text', max: MAX_TEXT.name, required: true },
  { key: 'batch', label: 'Batch', type: 'text', max: MAX_TEXT.name, required: true, example: 'drum 3, spring' },
  {
    key: 'openedOn',
    label: 'Opened on',
    type: 'date',
    hint: 'Gel and liquid in opened packets evaporate within days.',
  },
  { key: 'storage', label: 'Stored', type: 'text', max: MAX_TEXT.reason, lines: 2 },
  {
    key: 'composition',
    label: 'Composition',
    type: 'text',
    max: MAX_TEXT.reason,
    example: 'isobutane 80, propane 20, by mass',
  },
  {
    key: 'lhvJPerKg',
    label: 'Heating value',
    type: 'number',
    limit: LIMITS.lhvMJPerKg,
    factor: 1e6,
    hint: 'Lower heating value, MJ/kg. Empty: the fuel’s usual one.',
  },
  {
    key: 'densityKgPerM3',
    label: 'Density',
    type: 'number',
    limit: LIMITS.densityGPerMl,
    factor: 1000,
    hint: 'g/mL at 20 °C. Empty: the fuel’s usual one.',
  },
  {
    key: 'source',
    label: 'Source of these',
    type: 'text',
    max: MAX_TEXT.reason,
    hint: 'Whose value it is: a data sheet, a measurement.',
  },
  RETIRED,
]
/** What changes figures of runs that used the batch. */
export const BATCH_HEAT = ['kind', 'lhvJPerKg', 'densityKgPerM3'] as const

export const CONTAINER_FIELDS: FieldSpec[] = [
  { key: 'name', label: 'Name', type: 'text', max: MAX_TEXT.name, required: true, example: 'canister 7' },
  { key: 'fuelBatchId', label: 'Fuel in it', type: 'choice', choices: null, required: true },
  {
    key: 'tareKg',
    label: 'Empty mass',
    type: 'quantity',
    kind: 'weighing',
    hint: 'As weighed or printed. Not known: give what it holds and weigh it full.',
  },
  { key: 'fullKg', label: 'Fuel when full', type: 'quantity', kind: 'weighing' },
  { key: 'notes', label: 'Notes', type: 'text', max: MAX_TEXT.description, lines: 2 },
  RETIRED,
]
export const ENTRY_WORDS = {
  weighed: 'weighed',
  full: 'weighed full and new',
  filled: 'filled up, then weighed',
  empty: 'weighed empty',
} as const
export const ENTRY_FIELDS: FieldSpec[] = [
  {
    key: 'kind',
    label: 'It was',
    type: 'choice',
    choices: Object.entries(ENTRY_WORDS).map(([value, label]) => ({ value, label })),
    required: true,
  },
  {
    key: 'massKg',
    label: 'Scale says',
    type: 'quantity',
    kind: 'weighing',
    required: true,
    hint: 'The container alone, cool and dry.',
  },
  { key: 'at', label: 'When', type: 'text', max: 40, required: true },
  { key: 'note', label: 'Note', type: 'text', max: MAX_TEXT.reason },
]
