/** The columns that the logbook can show. */
import { NONE, type RunGroup, type RunSortKey } from '#shared/runList'
import type { RunLine } from '#shared/runRecord'
import type { DataColumn } from './dataTable'

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
export interface RunColumn extends DataColumn<RunLine> {
  sort?: RunSortKey
}

const OF: Record<RunColumnKey, Omit<RunColumn, 'key'>> = {
  when: { words: 'When', em: 9.3, sort: 'startedAt', of: (run) => run.startedAt },
  setup: { words: 'Set-up', em: 12.8, sort: 'setup', of: (run) => run.setup },
  method: { words: 'Method', em: 9.2, sort: 'method', wide: true, of: (run) => run.method },
  place: { words: 'Place', em: 7.8, sort: 'place', wide: true, of: (run) => run.place },
  fuel: { words: 'Fuel', em: 9.8, sort: 'fuel', wide: true, of: (run) => run.fuel },
  person: { words: 'Who', em: 8, sort: 'person', wide: true, of: (run) => run.person },
  ribbon: { words: 'Run', em: 9.4, wide: true },
  boil: { words: 'Boil', em: 4.4, sort: 'timeToBoilS', figure: true, wide: true, of: (run) => run.timeToBoilS },
  measured: {
    words: 'Measured',
    em: 6.6,
    unit: 'g/L',
    sort: 'gPerL',
    figure: true,
    wide: true,
    of: (run) => run.gPerL,
  },
  normalised: {
    words: 'Normalised',
    head: 'g/L',
    em: 8,
    unit: '± (95 %)',
    sort: 'normalisedGPerL',
    figure: true,
    of: (run) => run.normalisedGPerL,
  },
  efficiency: {
    words: 'Efficiency',
    em: 6,
    unit: '%',
    sort: 'efficiency',
    figure: true,
    wide: true,
    of: (run) => run.efficiency,
  },
  burnRate: {
    words: 'Burn rate',
    em: 7.6,
    unit: 'g/min',
    sort: 'burnRateGPerMin',
    figure: true,
    wide: true,
    of: (run) => run.burnRateGPerMin,
  },
  firepower: {
    words: 'Firepower',
    em: 7,
    unit: 'W',
    sort: 'firepowerW',
    figure: true,
    wide: true,
    of: (run) => run.firepowerW,
  },
  tags: { words: 'Tags', em: 8, wide: true, of: (run) => run.tags.join(', ') },
  remarks: { words: 'Remarks', em: 8.8, wide: true, of: (run) => run.worstFlag?.text ?? null },
}
export const RUN_COLUMN = Object.fromEntries(
  RUN_COLUMNS.map((key) => [key, { ...OF[key], key, sorts: OF[key].sort !== undefined }]),
) as Record<RunColumnKey, RunColumn>
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
