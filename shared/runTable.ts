/**
 * Runs as a flat table: one column list for what is written as CSV and XLSX and for what such a table is read back by.
 */
import { QUANTITY_KINDS } from '../core/quantity/kinds'
import { fromSI, unitOf, type Dimension } from '../core/quantity/units'
import { twelveDigits } from '../core/quantity/twelveDigits'
import type { EventKind } from '../core/run/events'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from './measuredQuantity'
import type { RunLine, RunRecord } from './runRecord'
import { TIME_NAMES, TYPED_EVENTS } from './typedRun'

export type Cell = string | number | null
export interface TableColumn {
  key: string
  header: string
  of: (row: TableRow) => Cell
}
/** A run as its columns ask for it: each reading and each first event found by its name. */
export interface TableRow {
  record: TableRecord
  /** Null: nothing was made of it yet. */
  figures: TableFigures | null
  readings: ReadonlyMap<MeasuredQuantity, TableRecord['measurements'][number]>
  events: ReadonlyMap<EventKind, TableRecord['events'][number]>
}
export const tableRowOf = (record: TableRecord, figures: TableFigures | null): TableRow => ({
  record,
  figures,
  readings: firstOf(record.measurements, (one) => one.quantity),
  events: firstOf(record.events, (one) => one.kind),
})
function firstOf<T, K>(list: readonly T[], keyOf: (one: T) => K): Map<K, T> {
  const first = new Map<K, T>()
  for (const one of list) if (!first.has(keyOf(one))) first.set(keyOf(one), one)
  return first
}

/** What a table writes of a run itself. */
export type TableRecord = Pick<
  RunRecord,
  | 'id'
  | 'startedAt'
  | 'zone'
  | 'origin'
  | 'kind'
  | 'setup'
  | 'place'
  | 'fuel'
  | 'batch'
  | 'person'
  | 'setting'
  | 'state'
  | 'breakIn'
  | 'takeBurnShare'
  | 'notes'
> & {
  method: string | null
  container: string | null
  measurements: Pick<RunRecord['measurements'][number], 'quantity' | 'value' | 'unit'>[]
  events: Pick<RunRecord['events'][number], 'kind' | 'atMs' | 'reason'>[]
}
/** What was made of a run, as a table writes it. */
export type TableFigures = Pick<
  RunLine,
  | 'tags'
  | 'timeToBoilS'
  | 'gPerL'
  | 'normalisedGPerL'
  | 'normalisedU'
  | 'efficiency'
  | 'burnRateGPerMin'
  | 'firepowerW'
  | 'status'
  | 'ended'
  | 'worstFlag'
>

/** The unit each dimension is written in. */
const TABLE_UNITS: Record<Dimension, string> = {
  mass: 'g',
  volume: 'ml',
  temperature: 'degC',
  length: 'm',
  speed: 'mps',
  pressure: 'hPa',
  duration: 's',
  share: 'pct',
}
const rounded = (value: number | null | undefined): number | null =>
  value === null || value === undefined ? null : twelveDigits(value)

const words = (key: string, header: string, of: TableColumn['of']): TableColumn => ({ key, header, of })

/** One for each dimension that it can be read in. */
function measuredColumns(quantity: MeasuredQuantity): TableColumn[] {
  const { dimensions } = QUANTITY_KINDS[MEASURED_QUANTITIES[quantity]]
  return dimensions.map((dimension) => {
    const unit = unitOf(TABLE_UNITS[dimension])
    return {
      key: `measured.${quantity}.${dimension}`,
      header: `${MEASURED_NAMES[quantity]} [${unit.label}]`,
      of: ({ readings }) => {
        const read = readings.get(quantity)
        return read && unitOf(read.unit).dimension === dimension ? rounded(fromSI(read.value, unit)) : null
      },
    }
  })
}

/** What a run is, what was read, when what happened, and what the Standard bench makes of it. */
export const TABLE_COLUMNS: readonly TableColumn[] = [
  words('id', 'Id', ({ record }) => record.id),
  words('startedAt', 'Started', ({ record }) => record.startedAt),
  words('zone', 'Time zone', ({ record }) => record.zone),
  words('origin', 'Origin', ({ record }) => record.origin),
  words('kind', 'Test', ({ record }) => record.kind),
  words('method', 'Method', ({ record }) => record.method),
  words('setup', 'Set-up', ({ record }) => record.setup),
  words('place', 'Place', ({ record }) => record.place),
  words('fuel', 'Fuel', ({ record }) => record.fuel),
  words('batch', 'Batch', ({ record }) => record.batch),
  words('container', 'Container', ({ record }) => record.container),
  words('person', 'Who', ({ record }) => record.person),
  words('setting', 'Setting', ({ record }) => record.setting),
  words('state', 'State', ({ record }) => record.state),
  words('breakIn', 'Break-in', ({ record }) => (record.breakIn ? 'yes' : null)),
  words('burnShare', 'Fuel by share of burn time', ({ record }) => (record.takeBurnShare ? 'yes' : null)),
  words('tags', 'Tags', ({ figures }) => figures?.tags.join(', ') || null),
  words('notes', 'Notes', ({ record }) => record.notes || null),
  ...(Object.keys(MEASURED_QUANTITIES) as MeasuredQuantity[]).flatMap(measuredColumns),
  ...TYPED_EVENTS.map((kind): TableColumn => ({
    key: `times.${kind}`,
    header: `${TIME_NAMES[kind]} [s]`,
    of: ({ events }) => {
      const event = events.get(kind)
      return event ? rounded(event.atMs / 1000) : null
    },
  })),
  words('stoppedReason', 'Stopped because', ({ events }) => events.get('stopped')?.reason ?? null),
  ...(
    [
      ['timeToBoilS', 'Time to boil [s]'],
      ['gPerL', 'Measured [g/L]'],
      ['normalisedGPerL', 'Normalised [g/L]'],
      ['normalisedU', 'Normalised, standard uncertainty [g/L]'],
      ['efficiency', 'Efficiency'],
      ['burnRateGPerMin', 'Burn rate [g/min]'],
      ['firepowerW', 'Firepower [W]'],
    ] as const
  ).map(([key, header]) => words(`figure.${key}`, header, ({ figures }) => rounded(figures?.[key]))),
  words('figure.status', 'Status', ({ figures }) => figures?.status ?? null),
  words('figure.ended', 'Ended', ({ figures }) => figures?.ended ?? null),
  words('figure.flag', 'Remark', ({ figures }) => figures?.worstFlag?.text ?? null),
]

/**
 * A text that a spreadsheet would take for a formula, after spaces, line ends or another separator too, is written so
 * that it stays text; one that looks written so already gets one more, so that all come back.
 */
export const FORMULA = /^'*(?:[\t\r]|[\s\p{Cf};,|]*[=+\-@＝＋－＠])/u
export const asText = (cell: Cell): Cell => (typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : cell)
/** The same, read back. */
export const fromText = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell)
