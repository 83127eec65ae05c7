/** Reads how a logger's table is to be read, as it was sent. */
import { array, number, object } from 'yup'
import { DATE_ORDERS } from '../../core/formats/tableCells'
import { UNITS } from '../../core/quantity/units'
import { CHANNEL_NAMES } from '../channels'
import { readBySchema, type ReadBySchema } from '../readBySchema'
import { UUID } from '../uuid'
import { string } from '../words'
import { TIME_FORMATS, type TraceMapping } from './traceMapping'

const schema = object({
  sheet: number().integer().min(0).default(0),
  headerRow: number().integer().min(-1).max(200).required(),
  columns: array(
    object({
      to: string()
        .default('')
        .oneOf(['', 'time', ...CHANNEL_NAMES], 'Column: choose what it follows from the list.'),
      unit: string()
        .default('')
        .oneOf(['', ...UNITS.map((unit) => unit.id)], 'Unit: choose one from the list.'),
    }),
  )
    .required()
    .max(500),
  time: string().oneOf(TIME_FORMATS).required(),
  dateOrder: string()
    .default('')
    .oneOf(['', ...DATE_ORDERS]),
  decimal: string().default('').oneOf(['', 'point', 'comma']),
  runId: string().default('').matches(UUID, { message: 'Run: choose one from the list.', excludeEmptyString: true }),
  firstAt: string().default('0:00').max(20),
})
export const readTraceMapping = (input: unknown): ReadBySchema<TraceMapping> => readBySchema(schema, input ?? {})
