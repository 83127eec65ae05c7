/** What is done to many runs at once: void them, take that back, tag them. */
import { array, object, ValidationError } from 'yup'
import { plainText } from './fields'
import { chosenId } from './idFields'
import { MAX_PICKED_RUNS, MAX_TEXT } from './limits'
import { fieldProblems, type FieldProblem } from './readProblems'
import { UUID } from './uuid'
import { string } from './words'

const MANY_ACTS = ['void', 'unvoid', 'tag', 'untag'] as const
export interface ManyRuns {
  /** Made by the browser: the same sent twice is done once. */
  id: string
  what: (typeof MANY_ACTS)[number]
  runIds: string[]
  personId: string
  reason: string
  tag: string
}

const schema = object({
  id: string().required().matches(UUID, 'This has no id. Reload and try again.'),
  what: string().required().oneOf(MANY_ACTS, 'What is to be done is not known.'),
  runIds: array(string().required().matches(UUID, 'Runs: expected ids. Pick them from the list.'))
    .required()
    .min(1, 'Runs: none is picked. Pick some.')
    .max(MAX_PICKED_RUNS, ({ max }) => `Runs: expected at most ${max} at once. Pick fewer.`),
  personId: chosenId('Who'),
  reason: plainText('Reason', MAX_TEXT.reason).when('what', {
    is: (what: string) => what === 'void' || what === 'unvoid',
    then: (reason) =>
      reason
        .trim()
        .required('Reason: read nothing, expected a few words, such as "the scale stood in the wind". Type why.'),
  }),
  tag: plainText('Tag', MAX_TEXT.name).when('what', {
    is: (what: string) => what === 'tag' || what === 'untag',
    then: (tag) => tag.trim().lowercase().required('Tag: read nothing, expected a word. Type one.'),
  }),
})

export function readManyRuns(input: unknown): { ok: true; many: ManyRuns } | { ok: false; problems: FieldProblem[] } {
  try {
    return {
      ok: true,
      many: schema.validateSync(input, { abortEarly: false, stripUnknown: true }) as unknown as ManyRuns,
    }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
