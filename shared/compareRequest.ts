/** The request of `compare`, as a document that may be wrong. */
import { array, lazy, mixed, number, object, string, ValidationError, type ObjectSchema } from 'yup'
import { ASKED_KINDS, DOCUMENT_UNITS, CLAIMED, type CompareRequest, type Question } from '../core/formats/comparison'
import { LIMITS, MAX_RUNS, MAX_TEXT } from './limits'
import { fieldProblems, shown, type FieldProblem } from './readProblems'
import { readReduceRequest } from './reduceRequest'

const choice = <T extends string>(choices: readonly T[]) =>
  mixed<T>().test(
    'choice',
    ({ value }) => `read ${shown(value)}, expected one of ${choices.join(', ')}`,
    (got) => got === undefined || choices.includes(got),
  )
const measure = ({ min, max, unit }: { min: number; max: number; unit: string }) =>
  number()
    .nullable()
    .typeError(({ value }) => `read ${shown(value)}, expected a number from ${min} to ${max} ${unit}, or null`)
    .test(
      'range',
      ({ value }) => `read ${shown(value)}, expected a number from ${min} to ${max} ${unit}, or null`,
      (got) => got === undefined || got === null || (got >= min && got <= max),
    )
const id = string().max(MAX_TEXT.name).required()
const MOST_ARMS = 40
const FUEL = { min: 0.1, max: 20_000, unit: 'g' }
const FUEL_PRICE = object({
  amount: number().positive('expected more than nought').required('read nothing, expected what it costs'),
  forG: measure(FUEL).required('read nothing, expected for how many grams'),
}).noUnknown()

const CONTAINER = object({
  fuelG: number().min(0.1).max(20_000).required('read nothing, expected the fuel in a full one [g]'),
  shellG: number().min(0).max(20_000).required('read nothing, expected what it weighs empty [g]'),
}).noUnknown()

const byFuel = (of: ObjectSchema<object>) =>
  lazy((given: unknown) =>
    object(Object.fromEntries(Object.keys((given ?? {}) as object).map((kind) => [kind, of]))).default(undefined),
  )

const questionSchema = object({
  kind: choice(ASKED_KINDS).required('read nothing, expected what is asked'),
  unit: choice(DOCUMENT_UNITS),
  arms: array(object({ name: id, runs: array(id).max(MAX_RUNS).required() }).noUnknown())
    .min(1, 'expected at least one arm')
    .max(MOST_ARMS, `expected at most ${MOST_ARMS} arms`)
    .required('read nothing, expected a list of arms, each with a name and runs'),
  blocks: array(array(id).required()),
  volumeG: measure(LIMITS.waterG),
  scatter: measure(LIMITS.share),
  as: choice(['used', 'partAlone'] as const),
  claim: object({
    what: choice(CLAIMED).required('read nothing, expected what is claimed'),
    value: number().positive('expected more than nought').required('read nothing, expected the figure that is claimed'),
    says: choice(['atMost', 'atLeast'] as const).nullable(),
    conditions: object({
      startC: measure(LIMITS.startC),
      airC: measure(LIMITS.airC),
      windMS: measure(LIMITS.windMS),
      pressureHPa: measure(LIMITS.pressureHPa),
      waterG: measure(LIMITS.waterG),
      packG: measure(FUEL),
      loadG: measure(FUEL),
    }).noUnknown(),
  })
    .noUnknown()
    .nullable()
    .default(undefined),
  prices: byFuel(FUEL_PRICE),
  containers: byFuel(CONTAINER),
  planned: object({
    perArm: number()
      .integer('expected a whole number')
      .min(1)
      .max(MAX_RUNS)
      .required('read nothing, expected a number'),
  })
    .noUnknown()
    .nullable()
    .default(undefined),
}).noUnknown()

export type ReadCompareRequest = { ok: true; request: CompareRequest } | { ok: false; problems: FieldProblem[] }

/** Reads a parsed document. A run in it that is wrong is left out by name, and stops nothing. */
export function readCompareRequest(document: unknown): ReadCompareRequest {
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return { ok: false, problems: [{ path: '$', text: `read ${shown(document)}, expected an object` }] }
  const { format, version, reduce, question } = document as Record<string, unknown>
  const inside = readReduceRequest(reduce)
  const problems = [
    ...(format === 'vulcanum-compare' ? [] : [wrong('format', format, '"vulcanum-compare"')]),
    ...(version === 1 ? [] : [wrong('version', version, '1')]),
    ...(inside.ok ? [] : inside.problems.map(({ path, text }) => ({ path: `reduce.${path}`, text }))),
    ...questionProblems(question),
  ]
  if (problems.length > 0 || !inside.ok) return { ok: false, problems }
  return {
    ok: true,
    request: {
      format: 'vulcanum-compare',
      version: 1,
      reduce: inside.request,
      question: filled(question as Partial<Question>),
    },
  }
}

const wrong = (path: string, got: unknown, expected: string): FieldProblem => ({
  path,
  text: `read ${shown(got)}, expected ${expected}`,
})

function questionProblems(question: unknown): FieldProblem[] {
  try {
    questionSchema.required().validateSync(question, { abortEarly: false, strict: true })
  } catch (error) {
    if (error instanceof ValidationError)
      return fieldProblems(error).map(({ path, text }) => ({
        path: path === '' ? 'question' : `question.${path}`,
        text,
      }))
    throw error
  }
  return namedTwice(question as Question)
}

/** A run is of one arm, and arms are told apart by their names. */
function namedTwice({ arms, kind, claim, unit, prices, containers }: Question): FieldProblem[] {
  const names = arms.map(({ name }) => name)
  const ids = arms.flatMap(({ runs }) => runs)
  return [
    ...(new Set(names).size < names.length
      ? [{ path: 'question.arms', text: 'two arms have one name; name each' }]
      : []),
    ...(new Set(ids).size < ids.length
      ? [{ path: 'question.arms', text: 'a run stands in two arms, or twice in one' }]
      : []),
    ...(kind === 'two' && arms.length !== 2 ? [wrong('question.arms', `${arms.length} arms`, 'two of them')] : []),
    ...(kind === 'claim' && claim == null ? [wrong('question.claim', claim, 'what is claimed')] : []),
    ...(unit === 'money' && prices === undefined
      ? [wrong('question.prices', prices, 'what each kind of fuel costs: {"methanol": {"amount": 4.2, "forG": 790}}')]
      : []),
    ...(unit === 'carriedG' && containers === undefined
      ? [
          wrong(
            'question.containers',
            containers,
            'a full one by fuel: {"isobutane-propane": {"fuelG": 230, "shellG": 150}}',
          ),
        ]
      : []),
  ]
}

function filled({ claim, ...given }: Partial<Question>): Question {
  const said = Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined))
  return {
    ...UNSAID,
    ...(said as Pick<Question, 'kind' | 'arms'>),
    claim: claim == null ? null : { ...claim, says: claim.says ?? null, conditions: { ...OPEN, ...claim.conditions } },
  }
}
const UNSAID: Omit<Question, 'kind' | 'arms' | 'claim'> = {
  unit: 'g',
  blocks: [],
  volumeG: null,
  as: 'used',
  prices: {},
  containers: {},
  planned: null,
  scatter: null,
}
const OPEN = {
  startC: null,
  airC: null,
  windMS: null,
  pressureHPa: null,
  waterG: null,
  packG: null,
  loadG: null,
}
