/** A question that is to be kept, as it travels. */
import { mixed, object } from 'yup'
import { plainText } from './fields'
import { MAX_TEXT } from './limits'
import { readBySchema, type ReadBySchema } from './readBySchema'
import { UUID } from './uuid'
import { string } from './words'

export interface TypedKept {
  id: string
  /** '' : its sentence. */
  name: string
  page: string
  /** What its address names. */
  query: Record<string, string>
}

const MOST_NAMED = 40
const LONGEST = 4000

const schema = object({
  id: string().required().matches(UUID, 'The question has no id. Reload and try again.'),
  name: plainText('Name', MAX_TEXT.name),
  page: string().required().max(40),
  query: mixed<Record<string, string>>()
    .required()
    .test('query', 'The address of this question is not one. Open it from its list.', (value) => {
      if (typeof value !== 'object' || Array.isArray(value)) return false
      const entries = Object.entries(value)
      return (
        entries.length <= MOST_NAMED && entries.every(([, one]) => typeof one === 'string' && one.length <= LONGEST)
      )
    }),
})

export const readKept = (input: unknown): ReadBySchema<TypedKept> => readBySchema(schema, input)
