/** A wind survey: m/s at the pot for each step of a fan at each station, before a wind series begins. */
import { array, object, ValidationError } from 'yup'
import { parseQuantity } from '../core/quantity/parseQuantity'
import { plainText } from './fields'
import { chosenId } from './idFields'
import { MAX_TEXT } from './limits'
import { fieldProblems, type FieldProblem } from './readProblems'
import { quantityBox, unitsOf } from './typedBoxes'
import { UUID } from './uuid'
import { string } from './words'

export interface SurveyCell {
  station: string
  step: string
  windMS: number
  typed: string
}
export interface WindSurvey {
  id: string
  fan: string
  person: string
  createdAt: string
  cells: SurveyCell[]
}
export interface TypedSurvey {
  id: string
  personId: string
  units: 'metric' | 'trail'
  fan: string
  cells: { station: string; step: string; typed: string }[]
}

const MOST_CELLS = 60
const MOST_NAME = 40
const name = (what: string) => plainText(what, MOST_NAME).trim().required(`${what}: read nothing, expected a name.`)
const schema = object({
  id: string().required().matches(UUID, 'The survey has no id. Reload and try again.'),
  personId: chosenId('Who'),
  fan: plainText('Fan', MAX_TEXT.name)
    .trim()
    .required('Fan: read nothing, expected what makes the wind, such as "box fan".'),
  cells: array(object({ station: name('Station'), step: name('Step'), typed: quantityBox('Wind', 'windSpeed') }))
    .required()
    .max(MOST_CELLS, `Cells: expected at most ${MOST_CELLS}.`),
})

export type ReadSurvey =
  | { ok: true; survey: { id: string; personId: string; fan: string; cells: SurveyCell[] } }
  | { ok: false; problems: FieldProblem[] }

/** Empty cells are left out; one at least is read. */
export function readSurvey(input: unknown): ReadSurvey {
  try {
    const units = unitsOf(input)
    const typed = schema.validateSync(input, {
      abortEarly: false,
      stripUnknown: true,
      context: { units },
    }) as TypedSurvey
    const cells = typed.cells.flatMap(({ station, step, typed: text }): SurveyCell[] => {
      const read = text.trim() ? parseQuantity(text, 'windSpeed', units) : null
      return read?.ok ? [{ station, step, windMS: read.value.value, typed: read.value.typed }] : []
    })
    if (cells.length === 0)
      return { ok: false, problems: [{ path: 'cells', text: 'Wind: nothing was read. Read one station at least.' }] }
    const twice = cells.find((one, i) =>
      cells.some((other, j) => j < i && other.station === one.station && other.step === one.step),
    )
    if (twice)
      return {
        ok: false,
        problems: [
          {
            path: 'cells',
            text: `${twice.station}, ${twice.step}: stands twice. Give each station and each step a name of its own.`,
          },
        ],
      }
    return { ok: true, survey: { id: typed.id, personId: typed.personId, fan: typed.fan, cells } }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
