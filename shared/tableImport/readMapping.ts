/** Reads how a table is to be read, as it was sent. */
import { array, boolean, lazy, number, object } from 'yup'
import { BURNER_KINDS, ORIGINS } from '../../core/formats/document'
import { FUEL_KINDS } from '../../core/constants/fuels'
import { DATE_ORDERS } from '../../core/formats/tableCells'
import { UNITS } from '../../core/quantity/units'
import { MAX_TEXT } from '../limits'
import { readBySchema, type ReadBySchema } from '../readBySchema'
import { UUID } from '../uuid'
import { string } from '../words'
import { isZone } from '../zone'
import { MINUTES_DOT_SECONDS, type TableMapping } from './mapping'
import { NAME_TARGETS, targetOf } from './targets'

const MOST_COLUMNS = 500
const MOST_NAMES = 2000
const unitIds = new Set(['', MINUTES_DOT_SECONDS, ...UNITS.map((unit) => unit.id)])

const choice = object({
  use: string().matches(UUID, { message: 'Choose one from the list.', excludeEmptyString: true }),
  make: boolean(),
  burner: string().oneOf([...BURNER_KINDS, ''], 'Kind of burner: choose one from the list.'),
  fuel: string().oneOf([...FUEL_KINDS, ''], 'Fuel: choose one from the list.'),
})
const names = lazy((value: unknown) =>
  object(
    Object.fromEntries(
      Object.keys(typeof value === 'object' && value !== null ? value : {})
        .slice(0, MOST_NAMES)
        .map((key) => [key, choice.required()]),
    ),
  ),
)

const schema = object({
  sheet: number().integer().min(0).default(0),
  headerRow: number().integer().min(-1).max(200).required(),
  columns: array(
    object({
      to: string()
        .default('')
        .test('target', 'Column: choose what it is from the list.', (text) => !text || targetOf(text) !== null),
      unit: string()
        .default('')
        .test('unit', 'Unit: choose one from the list.', (text) => unitIds.has(text ?? '')),
    }),
  )
    .required()
    .max(MOST_COLUMNS, `Columns: expected at most ${MOST_COLUMNS}.`),
  dateOrder: string()
    .default('')
    .oneOf(['', ...DATE_ORDERS]),
  decimal: string().default('').oneOf(['', 'point', 'comma']),
  day: string().default('').max(MAX_TEXT.typed),
  zone: string().default('UTC').test('zone', 'Time zone: expected one such as Europe/Lisbon.', isZone),
  origin: string()
    .oneOf(
      ORIGINS.filter((one) => one !== 'rehearsal'),
      'Origin: measured here, or published elsewhere.',
    )
    .required(),
  clock: string().oneOf(['potOn', 'lit']).default('potOn'),
  names: object(Object.fromEntries(NAME_TARGETS.map((key) => [key, names]))),
  usual: object(
    Object.fromEntries(
      NAME_TARGETS.map((key) => [
        key,
        string().default('').matches(UUID, { message: 'Choose one from the list.', excludeEmptyString: true }),
      ]),
    ),
  ),
})

export const readMapping = (input: unknown): ReadBySchema<TableMapping> => readBySchema(schema, input ?? {})
