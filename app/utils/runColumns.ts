/** The columns that the logbook can show. */
import { NONE, type RunGroup, type RunSortKey } from '#shared/runList'
import type { RunLine } from '#shared/runRecord'

export const RUN_COLUMNS = [
  'when',
  'setup',
  'method',
  'place',
  'fuel',
  'person',
  'ribbon',
  'boil',
  'measured',
  'normalised',
  'efficiency',
  'burnRate',
  'firepower',
  'tags',
  'remarks',
] as const
export type RunColumnKey = (typeof RUN_COLUMNS)[number]
export interface RunColumn {
  words: string
  unit?: string
  sort?: RunSortKey
  figure?: true
  /** Shown at a phone's width too. */ narrow?: true
}

export const RUN_COLUMN: Record<RunColumnKey, RunColumn> = {
  when: { words: 'When', sort: 'startedAt', narrow: true },
  setup: { words: 'Set-up', sort: 'setup', narrow: true },
  method: { words: 'Method', sort: 'method' },
  place: { words: 'Place', sort: 'place' },
  fuel: { words: 'Fuel', sort: 'fuel' },
  person: { words: 'Who', sort: 'person' },
  ribbon: { words: 'Run' },
  boil: { words: 'Boil', unit: 'm:ss', sort: 'timeToBoilS', figure: true },
  measured: { words: 'Measured', unit: 'g/L', sort: 'gPerL', figure: true },
  normalised: { words: 'Normalised', unit: 'g/L, k = 2', sort: 'normalisedGPerL', figure: true, narrow: true },
  efficiency: { words: 'Efficiency', unit: '%', sort: 'efficiency', figure: true },
  burnRate: { words: 'Burn rate', unit: 'g/min', sort: 'burnRateGPerMin', figure: true },
  firepower: { words: 'Firepower', unit: 'W', sort: 'firepowerW', figure: true },
  tags: { words: 'Tags' },
  remarks: { words: 'Remarks', narrow: true },
}
export const USUAL_COLUMNS: RunColumnKey[] = [
  'when',
  'setup',
  'place',
  'fuel',
  'ribbon',
  'boil',
  'measured',
  'normalised',
  'remarks',
]

interface OfGroup {
  id: string
  name: string
}
const dayOf = ({ startedAt, zone }: RunLine): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone: zone }).format(new Date(startedAt))
const GROUP_OF: Record<Exclude<RunGroup, ''>, (line: RunLine) => OfGroup> = {
  setup: (line) => ({ id: line.setupId, name: line.setup }),
  place: (line) => ({ id: line.placeId ?? NONE, name: line.place ?? 'elsewhere' }),
  fuel: (line) => ({ id: line.fuelId ?? NONE, name: line.fuel ?? '' }),
  method: (line) => ({ id: line.methodId ?? NONE, name: line.method ?? 'by no method' }),
  person: (line) => ({ id: line.personId, name: line.person }),
  day: (line) => ({ id: dayOf(line), name: dayOf(line) }),
}

/** The group a line stands in. */
export const groupOf = (line: RunLine, group: RunGroup): OfGroup => GROUP_OF[group](line)
