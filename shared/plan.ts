/** A study as it is typed, kept and shown: what is asked, what is kept the same, on which days, by whom. */
import { array, mixed, number, object } from 'yup'
import { SETTINGS, type Setting } from '../core/formats/document'
import type { RunLength } from '../core/plan/runLength'
import type { Wait } from '../core/plan/coolDown'
import type { Level, StudyKind } from '../core/plan/study'
import type { WillDiffer } from '../core/plan/willDiffer'
import { plainText } from './fields'
import { LIMITS, MAX_TEXT, type Limit } from './limits'
import { isDay } from './moments'
import { readBySchema, type ReadBySchema } from './readBySchema'
import { shown } from './readProblems'
import { UUID } from './uuid'
import { string } from './words'

export const STUDY_STATES = ['planned', 'burning', 'done', 'given up'] as const
export type StudyState = (typeof STUDY_STATES)[number]

export interface HeldOfStudy {
  methodId: string
  fuelBatchId: string
  placeId: string
  waterKg: number
  startC: number
  setting: Setting | null
}

/** Whose turn it is: all arms of a block meet the same; they change places; each keeps its own. */
export const TURNS = ['block', 'turn', 'arm'] as const
export type Turns = (typeof TURNS)[number]

export interface StudyDays {
  /** At the place: a day, from when to when. */
  days: { day: string; from: string; to: string }[]
  people: { id: string; flames: number }[]
  peopleBy: Turns
  stations: string[]
  stationsBy: Turns
  containerIds: string[]
  /** The pot is cooled in water and dried. */
  cooledInWater: boolean
}

export interface TypedStudy {
  id: string
  revision: number
  personId: string | null
  setupIds: string[]
  held: HeldOfStudy
  levels: Level[]
  difference: number
  replicates: number
  days: StudyDays
}

const STUDY_LIMITS = {
  /** Relative. */
  difference: { min: 0.01, max: 2, unit: '' },
  replicates: { min: 1, max: 60, unit: 'runs' },
  flames: { min: 1, max: 6, unit: 'flames' },
} as const satisfies Record<string, Limit>
const MOST_ARMS = 12
const MOST_LEVELS = 8
const MOST_DAYS = 14
const MOST_PEOPLE = 20
const MOST_STATIONS = 12
/** Of all arms and levels together. */
const MOST_PLANNED = 400

const ALL_KINDS: Level['of'][] = ['wind', 'setting', 'air', 'volume']

const idOf = (what: string) => string().required(`${what}: choose one.`).matches(UUID, `${what}: choose one.`)
const within = (what: string, { min, max, unit }: Limit, isWhole = false) =>
  number()
    .required(`${what}: expected a number from ${min} to ${max} ${unit}.`)
    .typeError(({ value }) => `${what}: read ${shown(value)}, expected a number from ${min} to ${max} ${unit}.`)
    .test(
      'limit',
      ({ value }) =>
        `${what}: read ${shown(value)}, expected ${isWhole ? 'a whole number' : 'a number'} from ${min} to ${max} ${unit}.`,
      (value) => value !== undefined && value >= min && value <= max && (!isWhole || Number.isInteger(value)),
    )
const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/
const clock = (what: string) =>
  string().required(`${what}: expected a time as 08:00.`).matches(CLOCK, `${what}: expected a time as 08:00.`)

/** As a study is kept, too: a package that comes in is held against these. */
export const heldOfStudy = object({
  methodId: idOf('Method'),
  fuelBatchId: idOf('Fuel'),
  placeId: idOf('Place'),
  waterKg: within('Water', { min: LIMITS.waterG.min / 1000, max: LIMITS.waterG.max / 1000, unit: 'kg' }),
  startC: within('Start', LIMITS.startC),
  setting: string()
    .nullable()
    .oneOf([null, ...SETTINGS], 'Setting: expected one from the list.'),
})

const VALUE_OF: Record<Level['of'], (level: Record<string, unknown>) => boolean> = {
  wind: ({ windMS }) => isWithin(windMS, LIMITS.windMS),
  air: ({ airC }) => isWithin(airC, LIMITS.airC),
  volume: ({ waterKg }) => isWithin(Number(waterKg) * 1000, LIMITS.waterG),
  setting: ({ setting }) => (SETTINGS as readonly unknown[]).includes(setting),
}
const isWithin = (value: unknown, { min, max }: Limit): boolean =>
  typeof value === 'number' && value >= min && value <= max

const isLevel = (level: unknown): level is Level => {
  const { id, of } = (level ?? {}) as Record<string, unknown>
  return (
    typeof id === 'string' &&
    id.length <= MAX_TEXT.typed &&
    ALL_KINDS.includes(of as Level['of']) &&
    VALUE_OF[of as Level['of']](level as Record<string, unknown>)
  )
}

export const daysOfStudy = object({
  days: array(
    object({
      day: string().test('day', 'Day: expected one as 2026-05-01.', isDay),
      from: clock('From'),
      to: clock('Back by').test('later', 'Back by: expected a time after the beginning.', function (to) {
        return (to ?? '') > (this.parent as { from?: string }).from!
      }),
    }),
  )
    .min(1, 'Days: one at least.')
    .max(MOST_DAYS, `Days: ${MOST_DAYS} at the most.`),
  people: array(object({ id: idOf('Person'), flames: within('Flames at a time', STUDY_LIMITS.flames, true) }))
    .min(1, 'People: who burns? Choose one at least.')
    .max(MOST_PEOPLE, `People: ${MOST_PEOPLE} at the most.`),
  peopleBy: string().oneOf(TURNS).required(),
  stations: array(plainText('Station', MAX_TEXT.name).required('Station: give it a name.'))
    .min(1, 'Stations: where is it burned? Name one at least.')
    .max(MOST_STATIONS, `Stations: ${MOST_STATIONS} at the most.`)
    .test('once', 'Stations: two have one name.', (all) => new Set(all).size === (all ?? []).length),
  stationsBy: string().oneOf(TURNS).required(),
  containerIds: array(idOf('Container')).max(MOST_STATIONS),
  cooledInWater: mixed<boolean>().test('flag', 'Cooled in water: yes or no.', (value) => typeof value === 'boolean'),
})

const areLevels = (levels: readonly Level[]): boolean =>
  new Set(levels.map(({ of }) => of)).size <= 1 &&
  new Set(levels.map(({ id }) => id)).size === levels.length &&
  new Set(levels.map((level) => JSON.stringify({ ...level, id: '' }))).size === levels.length

export const levelsOfStudy = array(mixed<Level>().test('level', 'Levels: one of them cannot be.', isLevel))
  .max(MOST_LEVELS, `Levels: ${MOST_LEVELS} at the most.`)
  .test('alike', 'Levels: all of one kind, each with another value.', (all) => areLevels((all ?? []) as Level[]))

const schema = object({
  id: string().required().matches(UUID, 'The study has no id. Reload and try again.'),
  revision: number().required().integer().min(0),
  personId: string().nullable().default(null).matches(UUID, 'Who says so: choose from the list.'),
  setupIds: array(idOf('Set-up'))
    .min(1, 'Choose what is compared.')
    .max(MOST_ARMS, `Set-ups: ${MOST_ARMS} at the most.`)
    .test('once', 'A and B are one set-up. Choose two that differ.', (all) => new Set(all).size === (all ?? []).length),
  held: heldOfStudy,
  levels: levelsOfStudy,
  difference: within('Difference worth seeing', STUDY_LIMITS.difference),
  replicates: within('Runs of each', STUDY_LIMITS.replicates, true),
  days: daysOfStudy,
}).test(
  'most',
  `So many runs no test day holds: ${MOST_PLANNED} at the most. Take fewer of each, or fewer levels.`,
  ({ setupIds, levels, replicates }) =>
    (setupIds ?? []).length * Math.max(1, (levels ?? []).length) * (replicates ?? 0) <= MOST_PLANNED,
)

export const readStudy = (input: unknown): ReadBySchema<TypedStudy> => readBySchema(schema, input)

/** A line of the list. */
export interface StudyLine {
  id: string
  sentence: string
  state: StudyState
  runs: number
  burned: number
  firstDay: string
}

export interface PlannedArm {
  id: string
  letter: string
  setupId: string
  setupVersionId: string
  name: string
  burner: { id: string; name: string }
  pot: { id: string; name: string } | null
}

export interface PlannedLine {
  id: string
  armId: string
  levelId: string | null
  block: number
  station: string | null
  personId: string | null
  containerId: string | null
  /** Run that was burned for it; null: none was yet. */
  runId: string | null
}

/** How long runs of an arm at a level take. */
export interface PlannedLength extends RunLength {
  armId: string
  levelId: string | null
  /** Fuel of one [kg]; null: not known. */
  fuelKg: number | null
}

export interface StudyPage {
  id: string
  revision: number
  kind: StudyKind
  state: StudyState
  sentence: string
  arms: PlannedArm[]
  levels: Level[]
  held: HeldOfStudy & {
    method: string
    fuel: string
    fuelKind: string | null
    fuelForm: string | null
    place: string
    zone: string
  }
  difference: number
  replicates: number
  seed: number
  days: StudyDays
  people: { id: string; name: string }[]
  containers: { id: string; name: string }[]
  runs: PlannedLine[]
  lengths: PlannedLength[]
  /** Pot and burner, by arm. */
  waits: { armId: string; burner: Wait; pot: Wait }[]
  /** Scatter of one run, relative: the set-up's own, the bench's, or what is usual. */
  scatter: { sd: number; from: 'own' | 'bench' | 'usual'; runs: number }
  /** What so many of each would show, four times in five. */
  curve: { n: number; shows: number }[]
  needed: number | null
  differs: WillDiffer[]
  /** For all of it [kg]; null: not known. */
  fuelKg: number | null
  waterKg: number
  changes: { what: string; person: string | null; at: string }[]
}
