/**
 * Which runs are listed, in which order, in which groups: as a page's address and the list's own route both spell it.
 */
import type { Origin } from '../core/formats/document'
import type { RunLine } from './runRecord'
import { isDay } from './moments'
import { isUuid } from './uuid'

export const RUN_SORTS = [
  'startedAt',
  'setup',
  'place',
  'fuel',
  'method',
  'person',
  'timeToBoilS',
  'gPerL',
  'normalisedGPerL',
  'efficiency',
  'burnRateGPerMin',
  'firepowerW',
] as const
export type RunSortKey = (typeof RUN_SORTS)[number]
/** What every run has; the others may be missing. */
export const SETTLED_KEYS: readonly RunSortKey[] = ['startedAt', 'setup', 'place', 'fuel', 'method', 'person']
export interface RunSort {
  by: RunSortKey
  down: boolean
}

/** What runs can be grouped by. */
export const RUN_GROUPS = ['setup', 'place', 'fuel', 'method', 'person', 'day'] as const
export type RunGroup = (typeof RUN_GROUPS)[number]
export const GROUP_NAMES: Record<RunGroup, string> = {
  setup: 'set-up',
  place: 'place',
  fuel: 'fuel',
  method: 'method',
  person: 'who burned it',
  day: 'day',
}

/** What is wrong or special about a run, to list those alone. */
export const RUN_REMARKS = [
  'impossible',
  'contradictory',
  'doubtful',
  'notBoiled',
  'stopped',
  'partly',
  'unweighed',
  'breakIn',
] as const
export type RunRemark = (typeof RUN_REMARKS)[number]
export const REMARK_NAMES: Record<RunRemark, string> = {
  impossible: 'impossible',
  contradictory: 'contradictory',
  doubtful: 'with a warning',
  notBoiled: 'given up or out of fuel',
  stopped: 'stopped from outside',
  partly: 'partly normalised',
  unweighed: 'fuel not weighed',
  breakIn: 'break-in',
}

/** Of what a run may lack, in place of an id: those that have none. */
export const NONE = 'none'

/**
 * '' where it does not matter. Set-up, place, fuel, method and person by their ids. `origin` '' lists what was measured here;
 * `voided` 'shown' lists void runs too.
 */
export interface RunFilter {
  setup: string
  place: string
  fuel: string
  method: string
  person: string
  tag: string
  remark: RunRemark | ''
  origin: Origin | 'all' | ''
  voided: 'shown' | ''
  /** Days, as 2026-05-01. */
  from: string
  to: string
  /** What came in with one file. */
  import: string
  /** Words that all occur in set-up, place, fuel, method, person, tags or notes. */
  words: string
}
export interface RunListQuery {
  filter: RunFilter
  sort: RunSort
  group: RunGroup | null
}

/** A page of the list. `next` asks for the lines after it; null: these are the last. */
export interface RunList {
  lines: RunLine[]
  next: string | null
  /** All that pass; given with the first page. */ count: number | null
}
export interface RunGroupLine {
  /** Of what its runs have in common: an id, NONE, or a day. */ id: string
  name: string
  count: number
  /** Of the figures at the Standard bench; null: there is none. */ lowGPerL: number | null
  highGPerL: number | null
}
/** What the filter offers, with how many runs have each. */
export type RunChoices = Record<
  'setup' | 'place' | 'fuel' | 'method' | 'person' | 'tag',
  { id: string; name: string; count: number }[]
>

export const NO_FILTER: RunFilter = {
  setup: '',
  place: '',
  fuel: '',
  method: '',
  person: '',
  tag: '',
  remark: '',
  origin: '',
  voided: '',
  from: '',
  to: '',
  import: '',
  words: '',
}
const FILTER_KEYS = Object.keys(NO_FILTER) as (keyof RunFilter)[]
const ALLOWED: Partial<Record<keyof RunFilter, readonly string[]>> = {
  remark: RUN_REMARKS,
  origin: ['measured', 'rehearsal', 'published', 'all'],
  voided: ['shown'],
}
const BY_ID: readonly (keyof RunFilter)[] = ['setup', 'place', 'fuel', 'method', 'person']
const MOST_CHARACTERS = 300

/** From a query, of the address or of a request; what it does not name, or names wrongly, does not matter. */
export function readRunList(query: Record<string, unknown>): RunListQuery {
  const text = (key: string) => (typeof query[key] === 'string' ? query[key].slice(0, MOST_CHARACTERS) : '')
  const filter = Object.fromEntries(
    FILTER_KEYS.map((key) => {
      const value = text(key)
      const wrong =
        (ALLOWED[key] && !ALLOWED[key].includes(value)) ||
        ((key === 'from' || key === 'to') && !isDay(value)) ||
        (key === 'import' && !isUuid(value))
      return [key, wrong ? '' : value]
    }),
  ) as unknown as RunFilter
  const [by, direction] = text('sort').split('.')
  const known = RUN_SORTS.find((one) => one === by)
  return {
    filter,
    sort: known ? { by: known, down: direction === 'down' } : { by: 'startedAt', down: true },
    group: RUN_GROUPS.find((one) => one === text('group')) ?? null,
  }
}

/** The shortest query that names it. */
export function writeRunList({ filter, sort, group }: RunListQuery): Record<string, string> {
  const query: Record<string, string> =
    sort.by === 'startedAt' && sort.down ? {} : { sort: `${sort.by}.${sort.down ? 'down' : 'up'}` }
  if (group) query.group = group
  for (const key of FILTER_KEYS) if (filter[key]) query[key] = filter[key]
  return query
}

/** The ids of what an address names, as addresses did that were kept before runs were found by ids; null: it names none. */
export function idsOfNames(query: Record<string, unknown>, choices: RunChoices): Record<string, string> | null {
  const ids = BY_ID.flatMap((key) => {
    const named = choices[key as keyof RunChoices].find((one) => one.name === query[key])
    return named === undefined ? [] : [[key, named.id]]
  })
  return ids.length === 0 ? null : Object.fromEntries(ids)
}
