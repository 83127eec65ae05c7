/**
 * The logbook: runs that pass a filter, in an order, page by page, however many there are. A page begins after the last
 * line of the one before, never by counting.
 */
import { and, arrayContains, eq, getTableColumns, gte, ilike, lte, sql, type AnyColumn, type SQL } from 'drizzle-orm'
import {
  SETTLED_KEYS,
  type RunChoices,
  type RunFilter,
  type RunGroup,
  type RunGroupLine,
  type RunList,
  type RunListQuery,
  type RunSortKey,
} from '../../shared/runList'
import { isDay, isMoment } from '../../shared/moments'
import type { RunLine } from '../../shared/runRecord'
import { isUuid } from '../../shared/uuid'
import { anyOf } from '../database/anyOf'
import type { Connection } from '../database/connection'
import { run, runRow } from '../database/schema'

const { line, tags, voided, staleSince, runId } = getTableColumns(runRow)
const SHOWN = { id: runId, line, tags, voided, staleSince }

/** What is sorted by; text in the order of a dictionary. */
const SORTED: Record<RunSortKey, SQL> = {
  startedAt: sql`${runRow.startedAt}`,
  timeToBoilS: sql`${runRow.timeToBoilS}`,
  gPerL: sql`${runRow.gPerL}`,
  normalisedGPerL: sql`${runRow.normalisedGPerL}`,
  efficiency: sql`${runRow.efficiency}`,
  burnRateGPerMin: sql`${runRow.burnRateGPerMin}`,
  firepowerW: sql`${runRow.firepowerW}`,
  setup: byWords(runRow.setup),
  place: byWords(runRow.place),
  fuel: byWords(runRow.fuel),
  method: byWords(runRow.method),
  person: byWords(runRow.person),
}
function byWords(column: AnyColumn): SQL {
  return sql`${column} collate "und-x-icu"`
}
const GROUPED: Record<RunGroup, SQL> = {
  setup: SORTED.setup,
  place: SORTED.place,
  fuel: SORTED.fuel,
  method: SORTED.method,
  person: SORTED.person,
  day: sql`${runRow.day}`,
}
/** Newest day first; names from A on. */
const groupDown = (group: RunGroup) => group === 'day'

/** Where a page ended: its group's and its order's value, as text, and the run. */
interface Cursor {
  group: string | null
  value: string | null
  id: string
}
const writeCursor = (cursor: Cursor): string => Buffer.from(JSON.stringify(cursor)).toString('base64url')
/** Null where it is none of ours: of another order, or of none. */
export function readCursor(text: string, query: RunListQuery): Cursor | null {
  try {
    const read = JSON.parse(Buffer.from(text, 'base64url').toString()) as Partial<Cursor>
    const { sort, group } = query
    const value = sort.by === 'startedAt' ? isMomentText : isNullable(sort.by) ? isFigure : isText
    const fits =
      typeof read.id === 'string' &&
      isUuid(read.id) &&
      (read.value === null || value(read.value)) &&
      (read.group === null || (group === 'day' ? isDay : isText)(read.group))
    return fits ? (read as Cursor) : null
  } catch {
    return null
  }
}

const isText = (value: unknown): value is string => typeof value === 'string'
const isMomentText = (value: unknown) => isText(value) && isMoment(Date.parse(value))
const isFigure = (value: unknown) => isText(value) && value.trim() !== '' && Number.isFinite(Number(value))

export async function listRuns(
  db: Connection,
  query: RunListQuery,
  { after, limit }: { after: Cursor | null; limit: number },
): Promise<RunList> {
  const { sort, group } = query
  const passes = whereOf(query.filter)
  const value = SORTED[sort.by]
  const direction = sql.raw(sort.down ? 'desc' : 'asc')
  const grouped = group === null ? null : GROUPED[group]
  const order = [
    ...(grouped === null ? [] : [sql`${grouped} ${sql.raw(groupDown(group!) ? 'desc' : 'asc')}`]),
    ...(isNullable(sort.by) ? [sql`${value} ${direction} nulls last`] : [sql`${value} ${direction}`]),
    sql`${runRow.runId} ${direction}`,
  ]
  const rows = await db
    .select({
      ...SHOWN,
      groupAt: sql<string | null>`(${grouped ?? sql`null`})::text`,
      at: sql<string | null>`(${value})::text`,
    })
    .from(runRow)
    .where(and(passes, after === null ? undefined : beyond(query, after)))
    .orderBy(...order)
    .limit(limit + 1)
  const page = rows.slice(0, limit)
  const last = page.at(-1)
  const next = rows.length > limit && last ? writeCursor({ group: last.groupAt, value: last.at, id: last.id }) : null
  return { lines: page.map(lineOfRow), next, count: after === null ? await countRuns(db, passes) : null }
}

/** A row as it is shown: what may change without being worked out anew comes from its columns. */
export const lineOfRow = (row: {
  line: (typeof runRow.$inferSelect)['line']
  tags: string[]
  voided: boolean
  staleSince: Date | null
}): RunLine => ({ ...row.line, tags: row.tags, voided: row.voided, stale: row.staleSince !== null })

const isNullable = (by: RunSortKey) => !SETTLED_KEYS.includes(by)

/** What comes after a line in this order: a figure that is not there stands last, whichever way. */
function beyond({ sort, group }: RunListQuery, after: Cursor): SQL {
  const value = SORTED[sort.by]
  const typed = (text: string, by: SQL) =>
    by === SORTED.startedAt
      ? sql`${text}::timestamptz`
      : isNullable(sort.by) && by === value
        ? sql`${text}::float8`
        : group === 'day' && by === GROUPED.day
          ? sql`${text}::date`
          : sql`${text}`
  const further = sql.raw(sort.down ? '<' : '>')
  const byId = sql`${runRow.runId} ${further} ${after.id}::uuid`
  const within =
    after.value === null
      ? sql`${value} is null and ${byId}`
      : sql`(${value} ${further} ${typed(after.value, value)} or (${value} = ${typed(after.value, value)} and ${byId})${isNullable(sort.by) ? sql` or ${value} is null` : sql``})`
  if (group === null || after.group === null) return within
  const by = GROUPED[group]
  return sql`(${by} ${sql.raw(groupDown(group) ? '<' : '>')} ${typed(after.group, by)} or (${by} = ${typed(after.group, by)} and ${within}))`
}

export function whereOf(filter: RunFilter): SQL | undefined {
  const {
    setup,
    place,
    fuel,
    method,
    person,
    tag,
    remark,
    origin,
    voided: void_,
    from,
    to,
    import: broughtInWith,
    words,
  } = filter
  const found = words.toLowerCase().split(/\s+/).filter(Boolean)
  return and(
    setup ? eq(runRow.setup, setup) : undefined,
    place ? eq(runRow.place, place) : undefined,
    fuel ? eq(runRow.fuel, fuel) : undefined,
    method ? eq(runRow.method, method) : undefined,
    person ? eq(runRow.person, person) : undefined,
    tag ? arrayContains(runRow.tags, [tag]) : undefined,
    remark ? sql`${remark} = any(${runRow.remarks})` : undefined,
    origin === 'all' ? undefined : eq(runRow.origin, origin || 'measured'),
    void_ === 'shown' ? undefined : eq(runRow.voided, false),
    from ? gte(runRow.day, from) : undefined,
    to ? lte(runRow.day, to) : undefined,
    broughtInWith
      ? sql`exists (select 1 from ${run} where ${run.id} = ${runRow.runId} and ${run.importId} = ${broughtInWith}::uuid)`
      : undefined,
    ...found.map(
      (word) =>
        sql`(${ilike(runRow.words, `%${word.replace(/[\\%_]/g, '\\$&')}%`)} or ${arrayContains(runRow.tags, [word])})`,
    ),
  )
}

async function countRuns(db: Connection, passes: SQL | undefined): Promise<number> {
  const [row] = await db
    .select({ n: sql<number>`count(*)::int` })
    .from(runRow)
    .where(passes)
  return row!.n
}

/** Each group of those that pass, in order, with how far its figures reach. */
export async function listGroups(db: Connection, { filter, group }: RunListQuery): Promise<RunGroupLine[]> {
  if (group === null) return []
  const by = GROUPED[group]
  const rows = await db
    .select({
      value: sql<string>`(${by})::text`,
      count: sql<number>`count(*)::int`,
      lowGPerL: sql<number | null>`min(${runRow.normalisedGPerL})`,
      highGPerL: sql<number | null>`max(${runRow.normalisedGPerL})`,
    })
    .from(runRow)
    .where(whereOf(filter))
    .groupBy(by)
    .orderBy(sql`${by} ${sql.raw(groupDown(group) ? 'desc' : 'asc')}`)
  return rows
}

/** What can be filtered by, each with its number of runs. */
export async function runChoices(db: Connection): Promise<RunChoices> {
  const names = ['setup', 'place', 'fuel', 'method', 'person'] as const
  const rows = await db
    .select({
      setup: runRow.setup,
      place: runRow.place,
      fuel: runRow.fuel,
      method: runRow.method,
      person: runRow.person,
      count: sql<number>`count(*)::int`,
    })
    .from(runRow)
    .groupBy(
      sql`grouping sets ((${runRow.setup}), (${runRow.place}), (${runRow.fuel}), (${runRow.method}), (${runRow.person}))`,
    )
  const tagged = await db.execute<{ value: string; count: number }>(
    sql`select t as value, count(*)::int as count from ${runRow}, unnest(${runRow.tags}) as t group by t`,
  )
  const sorted = (some: { value: string; count: number }[]) =>
    some.filter((one) => one.value !== '').sort((a, b) => a.value.localeCompare(b.value))
  return {
    ...Object.fromEntries(
      names.map((name) => [
        name,
        sorted(rows.flatMap((row) => (row[name] === null ? [] : [{ value: row[name], count: row.count }]))),
      ]),
    ),
    tag: sorted(tagged.rows),
  } as RunChoices
}

/** The ids of all that pass, oldest first; at most so many. */
export async function idsOf(db: Connection, filter: RunFilter, most: number): Promise<string[]> {
  const picked = db
    .select({ id: runRow.runId, at: runRow.startedAt })
    .from(runRow)
    .where(whereOf(filter))
    .orderBy(runRow.startedAt, runRow.runId)
    .limit(most)
    .as('picked')
  // One word for all: a hundred thousand rows are not made here to be taken apart again.
  const [row] = await db
    .select({ ids: sql<string | null>`string_agg(${picked.id}::text, ',' order by ${picked.at}, ${picked.id})` })
    .from(picked)
  return row?.ids?.split(',') ?? []
}

/** Lines by their ids, in no order. */
export async function linesOf(db: Connection, ids: readonly string[]): Promise<RunLine[]> {
  return ids.length === 0 ? [] : (await db.select(SHOWN).from(runRow).where(anyOf(runRow.runId, ids))).map(lineOfRow)
}
