/** Which runs are listed, and in which order: kept in the page's address. */
import type { LocationQuery, LocationQueryRaw } from 'vue-router'
import type { RunLine } from '#shared/runRecord'

export type RunSortKey = 'startedAt' | 'setup' | 'place' | 'fuel' | 'timeToBoilS' | 'gPerL' | 'normalisedGPerL'
export interface RunSort { by: RunSortKey, down: boolean }
/** `voided`: 'shown' lists void runs too. */
export interface RunFilter { setup: string, place: string, fuel: string, method: string, voided: string, from: string, to: string }

const SORT_KEYS: RunSortKey[] = ['startedAt', 'setup', 'place', 'fuel', 'timeToBoilS', 'gPerL', 'normalisedGPerL']
const FILTER_KEYS = ['setup', 'place', 'fuel', 'method', 'voided', 'from', 'to'] as const

export function readRunQuery(query: LocationQuery): { sort: RunSort, filter: RunFilter } {
  const text = (key: string) => (typeof query[key] === 'string' ? query[key] : '')
  const [by, direction] = text('sort').split('.') as [RunSortKey, string]
  const sort = SORT_KEYS.includes(by) ? { by, down: direction === 'down' } : { by: 'startedAt' as const, down: true }
  return { sort, filter: Object.fromEntries(FILTER_KEYS.map(key => [key, text(key)])) as unknown as RunFilter }
}

export function writeRunQuery(sort: RunSort, filter: RunFilter): LocationQueryRaw {
  const query: LocationQueryRaw = sort.by === 'startedAt' && sort.down ? {} : { sort: `${sort.by}.${sort.down ? 'down' : 'up'}` }
  for (const key of FILTER_KEYS) if (filter[key]) query[key] = filter[key]
  return query
}

/** The runs that pass, in order; a run without the figure asked for stands last, whichever way. */
export function selectRuns(runs: readonly RunLine[], sort: RunSort, filter: RunFilter): RunLine[] {
  const passes = (run: RunLine) => (!filter.setup || run.setup === filter.setup) && (!filter.place || (run.place ?? 'elsewhere') === filter.place) && (!filter.fuel || run.fuel === filter.fuel)
    && (!filter.method || (run.method ?? 'by no method') === filter.method) && (filter.voided === 'shown' || !run.voided)
    && (!filter.from || run.startedAt >= filter.from) && (!filter.to || run.startedAt.slice(0, 10) <= filter.to)
  const sign = sort.down ? -1 : 1
  return runs.filter(passes).sort((a, b) => {
    const [x, y] = [a[sort.by], b[sort.by]]
    if (x === null || y === null) return Number(x === null) - Number(y === null)
    return sign * (typeof x === 'number' ? x - (y as number) : x.localeCompare(y as string))
  })
}
