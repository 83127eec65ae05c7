/** The conditions now: where the bench stands and what was last read there. */
import { object, ValidationError } from 'yup'
import { type MeasuredQuantity, MEASURED_NAMES, MEASURED_QUANTITIES } from './measuredQuantity'
import { fieldProblems, type FieldProblem } from './readProblems'
import { boxes, quantityBox, unitsOf } from './typedBoxes'
import { parseQuantity } from '../core/quantity/parseQuantity'
import type { UnitSystem } from '../core/quantity/kinds'
import { string } from './words'

export const NOW_QUANTITIES = [
  'altitude',
  'stationPressure',
  'air',
  'wind',
  'humidity',
] as const satisfies readonly MeasuredQuantity[]
export type NowQuantity = (typeof NOW_QUANTITIES)[number]

export interface NowReading {
  quantity: NowQuantity
  value: number
  typed: string
  unit: string
  readAt: string
}

export interface NowConditions {
  place: {
    id: string
    name: string
    altitudeM: number | null
    stationPressurePa: number | null
    seaLevelPressurePa: number | null
  } | null
  readings: NowReading[]
}

/** As typed: an empty box leaves a reading as it was; `clear` takes readings away. */
export interface TypedNow {
  units: UnitSystem
  placeId: string | null
  measured: Partial<Record<NowQuantity, string>>
  clear: NowQuantity[]
}

const schema = object({
  units: string().oneOf(['metric', 'trail']).required(),
  placeId: string().nullable().default(null),
  measured: boxes(NOW_QUANTITIES, (key) => quantityBox(MEASURED_NAMES[key], MEASURED_QUANTITIES[key])),
})

export type ReadNow =
  | { ok: true; placeId: string | null; readings: Omit<NowReading, 'readAt'>[]; clear: NowQuantity[] }
  | { ok: false; problems: FieldProblem[] }

/** Checks and reads what was typed about the conditions now, the same on both sides. */
export function readTypedNow(input: unknown): ReadNow {
  try {
    const units = unitsOf(input)
    const { placeId, measured } = schema.validateSync(input, {
      abortEarly: false,
      stripUnknown: true,
      context: { units },
    }) as TypedNow
    const readings = NOW_QUANTITIES.flatMap((quantity) => {
      const read = measured[quantity]?.trim()
        ? parseQuantity(measured[quantity], MEASURED_QUANTITIES[quantity], units)
        : null
      return read?.ok ? [{ quantity, value: read.value.value, typed: read.value.typed, unit: read.value.unit }] : []
    })
    const clear = ((input as { clear?: unknown }).clear as unknown[] | undefined) ?? []
    return {
      ok: true,
      placeId,
      readings,
      clear: NOW_QUANTITIES.filter((quantity) => Array.isArray(clear) && clear.includes(quantity)),
    }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
