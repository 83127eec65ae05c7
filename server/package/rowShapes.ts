/** What the JSON and the words of each packaged table may be. */
import { array, boolean, lazy, mixed, number, object, type Schema } from 'yup'
import { BOILS, CLOCKS, LITRES, ORIGINS, SETTINGS, TEST_KINDS } from '../../core/formats/document'
import {
  ACCESSORIES,
  BURNT_OUTS,
  CORRECTIONS,
  FUEL_SCHOOLS,
  LIDS,
  METHOD_SETTINGS,
  RANKINGS,
  SAFE_WATER,
  TESTS,
  WIND_SCHOOLS,
} from '../../core/method/method'
import { STUDY_KINDS } from '../../core/plan/study'
import { EVENT_KINDS } from '../../core/run/events'
import { LANES } from '../../shared/lanes'
import { CHANNEL_NAMES } from '../../shared/channels'
import type { FieldSpec } from '../../shared/fields'
import { CLAIM_WHATS } from '../../shared/claim'
import { ENTRY_WORDS } from '../../shared/fuelBatch'
import { MEASURED_QUANTITIES } from '../../shared/measuredQuantity'
import { OBSERVATION_SCALES } from '../../shared/observation'
import { daysOfStudy, heldOfStudy, levelsOfStudy, STUDY_STATES } from '../../shared/plan'
import { heatFields, PART_ROLES, THING_KINDS, type ThingKind } from '../../shared/thing'
import { string } from '../../shared/words'

/** Columns that hold one word of a list. */
export const WORDS: Record<string, readonly string[]> = {
  'thing.kind': THING_KINDS,
  'claim.what': CLAIM_WHATS,
  'claim.says': ['atMost', 'atLeast'],
  'setup_part.role': PART_ROLES,
  'instrument_check.kind': ['icePoint', 'boilingPoint', 'checkWeight', 'beside'],
  'container_entry.kind': Object.keys(ENTRY_WORDS),
  'amendment.subject': ['fuelBatch', 'container'],
  'study.kind': STUDY_KINDS,
  'study.state': STUDY_STATES,
  'run.origin': ORIGINS,
  'run.kind': TEST_KINDS,
  'run.state': ['draft', 'live', 'finished', 'void'],
  'run.setting': SETTINGS,
  'run.lane': LANES,
  'measurement.quantity': Object.keys(MEASURED_QUANTITIES),
  'event.kind': EVENT_KINDS,
  'trace.channel': CHANNEL_NAMES,
  'observation.scale': OBSERVATION_SCALES,
  'import.kind': ['table', 'documents'],
  'import.state': ['stored', 'undone'],
}

export const ZONES = ['run.zone', 'place.zone']

const figure = () =>
  number()
    .nullable()
    .strict()
    .test('finite', 'expected a number', (value) => value === null || value === undefined || Number.isFinite(value))

const word = (list: readonly string[]) =>
  string()
    .strict()
    .required()
    .oneOf([...list])

const words = () => string().strict().defined()

const recordOf = (of: () => Schema) =>
  lazy((value: unknown) =>
    object(
      Object.fromEntries(
        Object.keys(typeof value === 'object' && value !== null ? value : {}).map((key) => [key, of()]),
      ),
    )
      .strict()
      .required(),
  )

const list = (of: Schema) => array(of).strict().required()

const maybe = (schema: Schema) =>
  lazy((value) => (value === null || value === undefined ? mixed().nullable() : schema)) as unknown as Schema

/** What a question said; a ranking that was kept with it is drawn as text and numbers. */
const keptAnswer = object({
  sentence: words(),
  line: words(),
  runs: figure().required(),
  effect: maybe(object({ ratio: figure().required(), low: figure().required(), high: figure().required() })),
  ranking: mixed(),
}).strict()

const typed = recordOf(() =>
  mixed().test(
    'typed',
    'expected text, or yes or no',
    (value) => typeof value === 'string' || typeof value === 'boolean',
  ),
)

const bound = object({ low: figure().defined(), high: figure().defined() }).strict().required()

const methodBody = object({
  test: word(TESTS),
  why: words(),
  measures: words(),
  cannotSay: words(),
  steps: list(words()),
  waterKg: figure().defined(),
  startC: bound,
  hardwareAboveAirK: figure().defined(),
  windMS: bound,
  wind: word(WIND_SCHOOLS),
  lid: word(LIDS),
  setting: word(METHOD_SETTINGS),
  clock: word(CLOCKS),
  boil: lazy((value) =>
    typeof value === 'object' && value !== null ? object({ targetC: figure().required() }).strict() : word(BOILS),
  ),
  burntOut: word(BURNT_OUTS),
  fuel: word(FUEL_SCHOOLS),
  litre: word(LITRES),
  correction: word(CORRECTIONS),
  accessories: word(ACCESSORIES),
  ranking: word(RANKINGS),
  safeWater: word(SAFE_WATER),
  giveUpS: figure().defined(),
  durationS: figure().defined(),
  replicates: figure().required(),
  readEveryS: figure().defined(),
  must: list(words()),
  may: list(words()),
  mustMark: list(word(EVENT_KINDS)),
  mayMark: list(word(EVENT_KINDS)),
})
  .strict()
  .required()

const payload = object({
  waterC: figure(),
  massG: figure(),
  reason: string().strict().nullable(),
  setting: string().strict().nullable(),
  typed: string().strict().nullable(),
  press: string().strict().oneOf(['twin', 'double', 'already']),
  ofId: string().strict(),
})
  .strict()
  .required()

const bench = object({
  units: word(['metric', 'trail']),
  instruments: recordOf(words),
  armedAtMs: figure().required(),
  rehearsal: object().strict(),
}).strict()

const made = recordOf(() => list(words()))

const anyObject = object().strict().required()

/** Columns that hold JSON, with the SQL that gives what else is needed to judge it. */
export const SHAPES: Record<string, Schema> = {
  'claim.typed': typed as unknown as Schema,
  'kept_question.query': recordOf(words) as unknown as Schema,
  'kept_question.kept': keptAnswer,
  'kept_question.now': keptAnswer,
  'kept_question.fresh': maybe(keptAnswer),
  'container.typed': typed as unknown as Schema,
  'fuel_batch.typed': typed as unknown as Schema,
  'place_version.typed': typed as unknown as Schema,
  'thing_version.typed': typed as unknown as Schema,
  'method_version.body': methodBody,
  'study.held': heldOfStudy.strict(),
  'study.levels': levelsOfStudy.required().strict(),
  'study.days': daysOfStudy.strict(),
  'event.payload': payload,
  'run.bench': maybe(bench),
  'run.given': maybe(anyObject),
  'import.made': maybe(made as unknown as Schema),
  'import.mapping': maybe(object({ what: word(['runs', 'trace']), mapping: anyObject }).strict()),
  'import.sheets': list(object({ name: words(), rows: figure().required() }).strict()),
  'feed.lanes': recordOf(() => list(word(LANES))) as unknown as Schema,
  'wind_survey.cells': list(
    object({ station: words(), step: words(), windMS: figure().required(), typed: words() }).strict(),
  ),
}

/** Properties of a thing of a kind, as they are stored: those that were not there in the first versions are absent. */
export function propertiesOf(kind: ThingKind): Schema {
  const of = ({ type, key, ...spec }: FieldSpec) => {
    if (type === 'flag') return boolean().strict().nullable()
    if (type === 'choice')
      return string()
        .strict()
        .nullable()
        .oneOf(
          [...((spec as { choices: { value: string }[] | null }).choices ?? []).map((one) => one.value), null],
          `${key}: not of its list`,
        )
    return figure()
  }
  return object({
    ...Object.fromEntries(heatFields(kind).map((spec) => [spec.key, of(spec)])),
    ...(kind === 'instrument' ? { unit: words(), resolution: figure().required() } : {}),
  })
    .strict()
    .required()
}
