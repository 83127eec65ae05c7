/** A correction: another reading or time in place of one that stands, with the reason. */
import { number, object, ValidationError } from 'yup'
import { parseQuantity, type Quantity } from '../core/quantity/parseQuantity'
import type { UnitSystem } from '../core/quantity/kinds'
import { problemText } from '../core/result'
import { isTime, type Correctable } from './correctable'
import { chosenId } from './idFields'
import { MAX_TEXT } from './limits'
import { MEASURED_QUANTITIES } from './measuredQuantity'
import { fieldProblems, type FieldProblem } from './readProblems'
import { unitsOf } from './typedBoxes'
import { TYPED_EVENTS } from './typedRun'
import { UUID } from './uuid'
import { string } from './words'

export interface TypedCorrection {
  /** Made by the browser: the same sent twice is one correction. */
  id: string
  /** The revision of the run that was seen. */
  revision: number
  units: UnitSystem
  personId: string
  what: Correctable
  /** Of several events of one kind, the one that is corrected. */
  eventId?: string | null
  typed: string
  reason: string
}

const WHAT: string[] = [...Object.keys(MEASURED_QUANTITIES), ...TYPED_EVENTS]
const schema = object({
  id: string().required().matches(UUID, 'The correction has no id.'),
  revision: number().required().integer(),
  units: string().oneOf(['metric', 'trail']).required(),
  personId: chosenId('Who'),
  what: string().required().oneOf(WHAT, 'What is corrected is not known. Choose it from the readings.'),
  eventId: string().nullable().matches(UUID, {
    message: 'Which time it is, is not known. Choose it from the readings.',
    excludeEmptyString: true,
  }),
  typed: string().required('Read nothing, expected the right value. Type it.').max(MAX_TEXT.typed),
  reason: string()
    .trim()
    .required('Reason: read nothing, expected a few words, such as "misread the scale". Type why.')
    .max(MAX_TEXT.reason, `Reason: expected at most ${MAX_TEXT.reason} characters.`),
})

export type ReadCorrection =
  { ok: true; typed: TypedCorrection; quantity: Quantity } | { ok: false; problems: FieldProblem[] }

export function readCorrection(input: unknown): ReadCorrection {
  try {
    const typed = schema.validateSync(input, { abortEarly: false, stripUnknown: true }) as TypedCorrection
    const read = parseQuantity(
      typed.typed,
      isTime(typed.what) ? 'clockTime' : MEASURED_QUANTITIES[typed.what],
      unitsOf(typed),
    )
    return read.ok
      ? { ok: true, typed, quantity: read.value }
      : { ok: false, problems: [{ path: 'typed', text: problemText(read.problem) }] }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
