/** The check of a rehearsal as it is sent. */
import { boolean, number, object } from 'yup'
import { REHEARSAL_SPEEDS, REHEARSAL_STOVES } from './rehearsal'
import { string } from './words'

export const rehearsalSchema = object({
  stove: string()
    .required('Stove: choose one from the list.')
    .oneOf(REHEARSAL_STOVES, 'Stove: choose one from the list.'),
  speed: number()
    .default(1)
    .oneOf(REHEARSAL_SPEEDS, `Time runs: expected ${REHEARSAL_SPEEDS.join(', ')} times as fast.`),
  trouble: boolean().default(false),
})
  .nullable()
  .default(null)
