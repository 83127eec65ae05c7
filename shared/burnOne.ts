/** The first burn of an empty workspace: a few blanks that make kit, place and person. */
import { object, ValidationError } from 'yup'
import { BURNER_KINDS, type BurnerKind } from '../core/formats/document'
import { FUEL_KINDS } from '../core/constants/fuels'
import { parseQuantity } from '../core/quantity/parseQuantity'
import type { UnitSystem } from '../core/quantity/kinds'
import { MAX_TEXT } from './limits'
import { fieldProblems, shown, type FieldProblem } from './readProblems'
import { quantityBox, unitsOf } from './typedBoxes'
import { isZone } from './zone'
import { string } from './words'

export interface TypedBurnOne {
  units: UnitSystem
  who: string
  burner: string
  burnerKind: BurnerKind
  fuelKind: string
  place: string
  altitude: string
  zone: string
}

const named = (what: string, example: string) =>
  string()
    .trim()
    .required(`${what}: read nothing, expected a name such as "${example}". Type one.`)
    .max(MAX_TEXT.name, `${what}: expected at most ${MAX_TEXT.name} characters.`)
const schema = object({
  units: string().oneOf(['metric', 'trail']).required(),
  who: named('Who', 'me'),
  burner: named('Burner', 'my alcohol burner'),
  burnerKind: string()
    .required('Kind of burner: choose one.')
    .oneOf(BURNER_KINDS, 'Kind of burner: choose one from the list.'),
  fuelKind: string().required('Fuel: choose one.').oneOf(FUEL_KINDS, 'Fuel: choose one from the list.'),
  place: named('Place', 'back porch'),
  altitude: quantityBox('Altitude', 'altitude'),
  zone: string()
    .required()
    .max(60)
    .test('zone', ({ value }) => `Zone: read ${shown(value)}, expected a time zone such as Europe/Lisbon.`, isZone),
})

export type ReadBurnOne =
  { ok: true; typed: TypedBurnOne; altitudeM: number | null } | { ok: false; problems: FieldProblem[] }

export function readBurnOne(input: unknown): ReadBurnOne {
  try {
    const units = unitsOf(input)
    const typed = schema.validateSync(input, {
      abortEarly: false,
      stripUnknown: true,
      context: { units },
    }) as TypedBurnOne
    const altitude = typed.altitude.trim() ? parseQuantity(typed.altitude, 'altitude', units) : null
    return { ok: true, typed, altitudeM: altitude?.ok ? altitude.value.value : null }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}

/** What it made, for the draft to begin with. */
export interface BurnOneKit {
  personId: string
  placeId: string
  setupId: string
  fuelBatchId: string
}
