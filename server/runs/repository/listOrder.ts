/** Orders of the logbook, and where a page of it ended. A page begins after the last line of the one before. */
import { sql, type AnyColumn, type SQL } from 'drizzle-orm'
import { SETTLED_KEYS, type RunGroup, type RunListQuery, type RunSortKey } from '../../../shared/runList'
import { isDay, isMoment } from '../../../shared/moments'
import { isUuid } from '../../../shared/uuid'
import { runSummary } from '../../database/schema'

const isText = (value: unknown): value is string => typeof value === 'string'
const byWords = (column: AnyColumn): SQL => sql`${column} collate "und-x-icu"`

/** Types that are ordered by: as the database names them, and what of a cursor fits each. */
const FITS = {
  text: isText,
  uuid: (value: unknown) => isText(value) && isUuid(value),
  date: (value: unknown) => isDay(value),
  timestamptz: (value: unknown) => isText(value) && isMoment(Date.parse(value)),
  float8: (value: unknown) => isText(value) && value.trim() !== '' && Number.isFinite(Number(value)),
} satisfies Record<string, (value: unknown) => boolean>

interface OrderKey {
  by: SQL
  type: keyof typeof FITS
  down: boolean
  /** What is not there stands last, whichever way. */
  nullable: boolean
}

/** What is sorted by; text in the order of a dictionary. */
const SORTED: Record<RunSortKey, Pick<OrderKey, 'by' | 'type'>> = {
  startedAt: { by: sql`${runSummary.startedAt}`, type: 'timestamptz' },
  timeToBoilS: { by: sql`${runSummary.timeToBoilS}`, type: 'float8' },
  gPerL: { by: sql`${runSummary.gPerL}`, type: 'float8' },
  normalisedGPerL: { by: sql`${runSummary.normalisedGPerL}`, type: 'float8' },
  efficiency: { by: sql`${runSummary.efficiency}`, type: 'float8' },
  burnRateGPerMin: { by: sql`${runSummary.burnRateGPerMin}`, type: 'float8' },
  firepowerW: { by: sql`${runSummary.firepowerW}`, type: 'float8' },
  setup: { by: byWords(runSummary.setup), type: 'text' },
  place: { by: byWords(runSummary.place), type: 'text' },
  fuel: { by: byWords(runSummary.fuel), type: 'text' },
  method: { by: byWords(runSummary.method), type: 'text' },
  person: { by: byWords(runSummary.person), type: 'text' },
}

/** What a group has in common, and what it is called; two of one name are two groups. */
export const GROUPED: Record<RunGroup, { id: SQL; name: SQL }> = {
  setup: { id: sql`${runSummary.setupId}`, name: SORTED.setup.by },
  place: { id: sql`${runSummary.placeId}`, name: SORTED.place.by },
  fuel: { id: sql`${runSummary.fuelId}`, name: SORTED.fuel.by },
  method: { id: sql`${runSummary.methodId}`, name: SORTED.method.by },
  person: { id: sql`${runSummary.personId}`, name: SORTED.person.by },
  day: { id: sql`${runSummary.day}`, name: sql`${runSummary.day}` },
}

/** Newest day first; names from A on. */
export function groupKeys(group: RunGroup | null): OrderKey[] {
  if (group === null) return []
  const { id, name } = GROUPED[group]
  if (group === 'day') return [{ by: name, type: 'date', down: true, nullable: false }]
  return [
    { by: name, type: 'text', down: false, nullable: false },
    { by: id, type: 'uuid', down: false, nullable: true },
  ]
}

/** By what the lines are ordered, one after the other. */
export function orderKeys({ sort, group }: RunListQuery): OrderKey[] {
  return [
    ...groupKeys(group),
    { ...SORTED[sort.by], down: sort.down, nullable: !SETTLED_KEYS.includes(sort.by) },
    { by: sql`${runSummary.runId}`, type: 'uuid', down: sort.down, nullable: false },
  ]
}

export const ordered = (keys: readonly OrderKey[]): SQL[] =>
  keys.map(
    ({ by, down, nullable }) => sql`${by} ${sql.raw(`${down ? 'desc' : 'asc'}${nullable ? ' nulls last' : ''}`)}`,
  )

/** Where a page ended: the values of its last line that it is ordered by, as text. */
export type Cursor = (string | null)[]
export const cursorOf = (keys: readonly OrderKey[]): SQL<Cursor> =>
  sql`json_build_array(${sql.join(
    keys.map(({ by }) => sql`(${by})::text`),
    sql`, `,
  )})`

export const writeCursor = (cursor: Cursor): string => Buffer.from(JSON.stringify(cursor)).toString('base64url')

/** Null where it is none of ours: of another order, or of none. */
export function readCursor(text: string, query: RunListQuery): Cursor | null {
  try {
    const read = JSON.parse(Buffer.from(text, 'base64url').toString()) as unknown
    const keys = orderKeys(query)
    const fits =
      Array.isArray(read) &&
      read.length === keys.length &&
      keys.every(({ type, nullable }, i) => (read[i] === null ? nullable : FITS[type](read[i])))
    return fits ? (read as Cursor) : null
  } catch {
    return null
  }
}

/** What comes after a line in this order. */
export function beyond([key, ...rest]: readonly OrderKey[], [value, ...further]: Cursor): SQL {
  if (key === undefined || value === undefined) return sql`false`
  const within = beyond(rest, further)
  if (value === null) return sql`(${key.by} is null and ${within})`
  const at = sql`${value}::${sql.raw(key.type)}`
  const past = sql`${key.by} ${sql.raw(key.down ? '<' : '>')} ${at}`
  return sql`(${past} or (${key.by} = ${at} and ${within})${key.nullable ? sql` or ${key.by} is null` : sql``})`
}
