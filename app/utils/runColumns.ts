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
  /** What stands over it, where its place says the rest. */
  head?: string
  unit?: string
  sort?: RunSortKey
  figure?: true
  /** Shown at a phone's width too. */ narrow?: true
  /** Its share of the table, in ems. */ em: number
}

export const RUN_COLUMN: Record<RunColumnKey, RunColumn> = {
  when: { words: 'When', em: 9.3, sort: 'startedAt', narrow: true },
  setup: { words: 'Set-up', em: 12.8, sort: 'setup', narrow: true },
  method: { words: 'Method', em: 9.2, sort: 'method' },
  place: { words: 'Place', em: 7.8, sort: 'place' },
  fuel: { words: 'Fuel', em: 9.8, sort: 'fuel' },
  person: { words: 'Who', em: 8, sort: 'person' },
  ribbon: { words: 'Run', em: 9.4 },
  boil: { words: 'Boil', em: 4.4, sort: 'timeToBoilS', figure: true },
  measured: { words: 'Measured', em: 6.6, unit: 'g/L', sort: 'gPerL', figure: true },
  normalised: {
    words: 'Normalised',
    head: 'g/L',
    em: 8,
    unit: '± (95 %)',
    sort: 'normalisedGPerL',
    figure: true,
    narrow: true,
  },
  efficiency: { words: 'Efficiency', em: 6, unit: '%', sort: 'efficiency', figure: true },
  burnRate: { words: 'Burn rate', em: 7.6, unit: 'g/min', sort: 'burnRateGPerMin', figure: true },
  firepower: { words: 'Firepower', em: 7, unit: 'W', sort: 'firepowerW', figure: true },
  tags: { words: 'Tags', em: 8 },
  remarks: { words: 'Remarks', em: 8.8 },
}
export const USUAL_COLUMNS: RunColumnKey[] = [
  'when',
  'setup',
  'method',
  'place',
  'fuel',
  'ribbon',
  'boil',
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
