/** Photos: what is told of one, and whose it is. */
import { number, object, ValidationError } from 'yup'
import { plainText } from './fields'
import { MAX_TEXT } from './limits'
import { fieldProblems, type FieldProblem } from './readProblems'
import { UUID } from './uuid'
import { string } from './words'

export interface PhotoMeta {
  id: string
  width: number
  height: number
  caption: string
  atMs: number | null
  person: string | null
  at: string
}
const PHOTO_OWNERS = ['run', 'thing', 'setup'] as const
export type PhotoOwner = (typeof PHOTO_OWNERS)[number]

export interface PhotoQuery {
  owner: PhotoOwner
  ownerId: string
  caption: string
  atMs: number | null
  personId: string | null
}

const schema = object({
  owner: string()
    .required('Whose photo: expected run, thing or setup.')
    .oneOf(PHOTO_OWNERS, 'Whose photo: expected run, thing or setup.'),
  ownerId: string().required('Whose photo: no id.').matches(UUID, 'Whose photo: not an id.'),
  caption: plainText('Caption', MAX_TEXT.reason),
  personId: string()
    .nullable()
    .default(null)
    .matches(UUID, { message: 'Who: choose one from the list.', excludeEmptyString: true }),
  atMs: number()
    .nullable()
    .default(null)
    .transform((value, original) => (original === '' ? null : value))
    .typeError('Moment: expected milliseconds.')
    .integer('Moment: expected milliseconds.')
    .min(-86_400_000)
    .max(86_400_000),
})

export function readPhotoQuery(
  query: unknown,
): { ok: true; value: PhotoQuery } | { ok: false; problems: FieldProblem[] } {
  try {
    const read = schema.validateSync(query, { abortEarly: false, stripUnknown: true })
    return { ok: true, value: { ...read, personId: read.personId || null } as PhotoQuery }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
