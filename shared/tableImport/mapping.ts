/**
 * How somebody's table is to be read: what each column is, in which unit, and what was asked because it cannot be told.
 */
import { array, boolean, lazy, number, object, ValidationError } from 'yup'
import { BURNER_KINDS, ORIGINS, type BurnerKind, type Origin } from '../../core/formats/document'
import { FUEL_KINDS } from '../../core/constants/fuels'
import { UNITS } from '../../core/quantity/units'
import { MAX_TEXT } from '../limits'
import { fieldProblems, type FieldProblem } from '../readProblems'
import { isZone } from '../zone'
import { UUID } from '../uuid'
import { DATE_ORDERS, type DateOrder, type DecimalMark } from '../../core/formats/tableCells'
import { NAME_TARGETS, targetOf, type NameTarget, type TargetKey } from './targets'
import { string } from '../words'

/** Times written as 5.12 for five minutes and twelve seconds: no unit, a habit. */
export const MINUTES_DOT_SECONDS = 'm.ss'
/** `to` '': the column is left out. `unit` '': it is in the cells, or must still be said. */
export interface ColumnMapping {
  to: TargetKey | ''
  unit: string
}
/** What a name that is not in the kit stands for: something that is, or something to be made. */
export type NameChoice =
  { use: string } | { make: true; /** Of a set-up. */ burner?: BurnerKind; /** Of a fuel. */ fuel?: string }

export interface TableMapping {
  sheet: number
  /** Row of the headings, counted from 0; −1: the table has none. */
  headerRow: number
  columns: ColumnMapping[]
  dateOrder: DateOrder | ''
  decimal: DecimalMark | ''
  /** What every row has that says nothing else. */
  day: string
  zone: string
  origin: Origin
  /** Where the times are counted from. */
  clock: 'potOn' | 'lit'
  names: Record<NameTarget, Record<string, NameChoice>>
  /** For rows that name none. */
  usual: Record<NameTarget, string>
}

export const NO_NAMES = (): TableMapping['names'] => ({ setup: {}, place: {}, fuel: {}, person: {}, method: {} })
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

export type ReadMapping = { ok: true; mapping: TableMapping } | { ok: false; problems: FieldProblem[] }
export function readMapping(input: unknown): ReadMapping {
  try {
    return {
      ok: true,
      mapping: schema.validateSync(input ?? {}, { abortEarly: false, stripUnknown: true }) as TableMapping,
    }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
