/** What the logbook shows, as the words of a sentence. */
import {
  GROUP_NAMES,
  REMARK_NAMES,
  type RunChoices,
  type RunFilter,
  type RunListQuery,
  type RunSort,
  type RunSortKey,
} from '#shared/runList'

interface Choice {
  value: string
  label: string
}

/** Of each order, what comes first: going up, and going down. */
const FIRST: Record<RunSortKey, [up: string, down: string]> = {
  startedAt: ['oldest first', 'newest first'],
  normalisedGPerL: ['least fuel first', 'most fuel first'],
  timeToBoilS: ['quickest first', 'slowest first'],
  gPerL: ['least fuel first, as measured', 'most fuel first, as measured'],
  efficiency: ['least efficient first', 'most efficient first'],
  burnRateGPerMin: ['lowest burn rate first', 'highest burn rate first'],
  firepowerW: ['lowest firepower first', 'highest firepower first'],
  setup: ['by set-up', 'by set-up, from z'],
  method: ['by method', 'by method, from z'],
  place: ['by place', 'by place, from z'],
  fuel: ['by fuel', 'by fuel, from z'],
  person: ['by tester', 'by tester, from z'],
}
export const sortId = ({ by, down }: RunSort): string => `${by}.${down ? 'down' : 'up'}`
export const SORT_CHOICES: Choice[] = (Object.keys(FIRST) as RunSortKey[]).flatMap((by) => {
  const [up, down] = FIRST[by]
  const both = [
    { value: sortId({ by, down: false }), label: up },
    { value: sortId({ by, down: true }), label: down },
  ]
  return by === 'startedAt' ? both.reverse() : both
})
export function sortOfId(id: string): RunSort {
  const [by, direction] = id.split('.')
  return { by: by as RunSortKey, down: direction === 'down' }
}

export const ORIGIN_CHOICES: Choice[] = [
  { value: 'measured', label: 'measured' },
  { value: 'rehearsal', label: 'rehearsed' },
  { value: 'published', label: 'published elsewhere' },
  { value: 'all', label: 'measured, rehearsed or published' },
]

/** A list with how many runs have each. */
export const countedChoices = (choices: RunChoices | null, of: keyof RunChoices): Choice[] =>
  (choices?.[of] ?? []).map(({ id, name, count }) => ({ value: id, label: `${name} (${count})` }))
/** The same as words of a sentence. */
export const sentenceChoices = (choices: RunChoices | null, of: keyof RunChoices): Choice[] =>
  (choices?.[of] ?? []).map(({ id, name }) => ({ value: id, label: name }))

interface Part {
  /** What is taken out of the filter with it. */
  change: Partial<RunFilter>
  words: string
}
/** What narrows the list beside set-up, method, place and origin. */
export function furtherParts(filter: RunFilter, choices: RunChoices | null): Part[] {
  const nameOf = (of: keyof RunChoices, id: string) => choices?.[of].find((one) => one.id === id)?.name ?? id
  const parts: (Part | false)[] = [
    filter.words !== '' && { change: { words: '' }, words: `with “${filter.words}”` },
    filter.fuel !== '' && { change: { fuel: '' }, words: `on ${nameOf('fuel', filter.fuel)}` },
    filter.person !== '' && { change: { person: '' }, words: `burned by ${nameOf('person', filter.person)}` },
    filter.tag !== '' && { change: { tag: '' }, words: `tagged ${nameOf('tag', filter.tag)}` },
    filter.remark !== '' && { change: { remark: '' }, words: REMARK_NAMES[filter.remark] },
    filter.from !== '' && { change: { from: '' }, words: `from ${filter.from}` },
    filter.to !== '' && { change: { to: '' }, words: `to ${filter.to}` },
    filter.import !== '' && { change: { import: '' }, words: 'brought in with one file' },
    filter.voided !== '' && { change: { voided: '' }, words: 'void ones too' },
  ]
  return parts.filter((part) => part !== false)
}
export const groupWords = ({ group }: RunListQuery): string | null =>
  group === null ? null : `grouped by ${GROUP_NAMES[group]}`
