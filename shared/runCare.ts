/** What can be said of a run after it was burned, as it is sent. */
import { number, object, ValidationError } from 'yup'
import { plainText } from './fields'
import { chosenId } from './idFields'
import { MAX_TEXT } from './limits'
import { OBSERVATIONS, OBSERVATION_SCALES, type ObservationScale } from './observation'
import { fieldProblems, type FieldProblem } from './readProblems'
import { UUID } from './uuid'
import { string } from './words'

const CARES = ['void', 'unvoid', 'breakIn', 'notBreakIn', 'decide', 'observe'] as const
/** Questions a tester decides, with the answers there are. */
const QUESTIONS: Record<string, readonly string[]> = {
  boil: ['call', 'trace'],
  fuelToBoil: ['shareOfBurnTime', 'notKnown'],
  settle: ['leave'],
}

export interface TypedCare {
  /** Made by the browser: the same sent twice is done once. */
  id: string
  what: (typeof CARES)[number]
  personId: string
  reason: string
  question: string
  answer: string
  scale: ObservationScale | null
  step: string
  note: string
  /** Its moment on the run's clock; null: of the whole run. */
  atMs: number | null
}

const schema = object({
  id: string().required().matches(UUID, 'This has no id. Reload and try again.'),
  what: string().required().oneOf(CARES, 'What is to be done is not known.'),
  personId: chosenId('Who'),
  reason: plainText('Reason', MAX_TEXT.reason).when('what', {
    is: (what: string) => what !== 'observe',
    then: (reason) =>
      reason.trim().required('Reason: read nothing, expected a few words, such as "the lid was off". Type why.'),
  }),
  question: string()
    .default('')
    .when('what', {
      is: 'decide',
      then: (question) => question.oneOf(Object.keys(QUESTIONS), 'What is decided is not known.'),
    }),
  answer: string()
    .default('')
    .when(['what', 'question'], ([what, question], answer) =>
      what === 'decide'
        ? answer.oneOf(
            Object.hasOwn(QUESTIONS, String(question)) ? QUESTIONS[String(question)]! : [],
            'Answer: choose one of those offered.',
          )
        : answer,
    ),
  scale: string()
    .nullable()
    .default(null)
    .when('what', {
      is: 'observe',
      then: (scale) =>
        scale.required('Scale: choose what was seen.').oneOf(OBSERVATION_SCALES, 'Scale: choose one from the list.'),
    }),
  step: string()
    .default('')
    .when(['what', 'scale'], ([what, scale], step) =>
      what === 'observe'
        ? step
            .required('Step: choose the words that fit.')
            .oneOf(
              Object.keys(OBSERVATIONS[scale as ObservationScale]?.steps ?? {}),
              'Step: choose the words that fit.',
            )
        : step,
    ),
  note: plainText('Note', MAX_TEXT.reason),
  atMs: number().nullable().default(null).integer().min(-86_400_000).max(86_400_000),
})

export function readCare(input: unknown): { ok: true; typed: TypedCare } | { ok: false; problems: FieldProblem[] } {
  try {
    return {
      ok: true,
      typed: schema.validateSync(input, { abortEarly: false, stripUnknown: true }) as unknown as TypedCare,
    }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
