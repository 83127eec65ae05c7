/**
 * The logbook: runs that pass a filter, in an order, page by page, however many there are. A page begins after the last
 * line of the one before, never by counting.
 */
import {
  and,
  arrayContains,
  eq,
  getTableColumns,
  gte,
  ilike,
  isNull,
  lte,
  sql,
  type AnyColumn,
  type SQL,
} from 'drizzle-orm'
import {
  NONE,
  type RunChoices,
  type RunFilter,
  type RunGroupLine,
  type RunList,
  type RunListQuery,
} from '../../../shared/runList'
import type { Ribbon, RunIds, RunLine } from '../../../shared/runRecord'
import { isUuid } from '../../../shared/uuid'
import type { Connection } from '../../database/connection'
import { run, runSummary } from '../../database/schema'
import { isStale } from './stale'
import { beyond, cursorOf, groupKeys, GROUPED, ordered, orderKeys, writeCursor, type Cursor } from './listOrder'

const { line, ribbon, tags, voided, runId, setupId, placeId, fuelId, methodId, personId } = getTableColumns(runSummary)
/** What a line is made of. */
export const LINE = {
  id: runId,
  line,
  ribbon,
  tags,
  voided,
  stale: isStale(runId),
  setupId,
  placeId,
  fuelId,
  methodId,
  personId,
}

interface LineRow extends RunIds {
  line: (typeof runSummary.$inferSelect)['line']
  ribbon: Ribbon
  tags: string[]
  voided: boolean
  stale: boolean
}
/** As it is shown: what may change without being worked out anew comes from its columns. */
export const lineOfSummary = (row: LineRow): RunLine => ({
  ...row.line,
  ribbon: row.ribbon,
  tags: row.tags,
  voided: row.voided,
  stale: row.stale,
  setupId: row.setupId,
  placeId: row.placeId,
  fuelId: row.fuelId,
  methodId: row.methodId,
  personId: row.personId,
})

export async function listRuns(
  db: Connection,
  query: RunListQuery,
  { after, limit }: { after: Cursor | null; limit: number },
): Promise<RunList> {
  const passes = whereOf(query.filter)
  const keys = orderKeys(query)
  const rows = await db
    .select({ ...LINE, at: cursorOf(keys) })
    .from(runSummary)
    .where(and(passes, after === null ? undefined : beyond(keys, after)))
    .orderBy(...ordered(keys))
    .limit(limit + 1)
  const page = rows.slice(0, limit)
  const next = rows.length > limit ? writeCursor(page.at(-1)!.at) : null
  return { lines: page.map(lineOfSummary), next, count: after === null ? await countRuns(db, passes) : null }
}

/** What is no id is of none. */
function isOf(column: AnyColumn, id: string): SQL | undefined {
  if (id === '') return undefined
  if (id === NONE) return isNull(column)
  return isUuid(id) ? eq(column, id) : sql`false`
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
    isOf(runSummary.setupId, setup),
    isOf(runSummary.placeId, place),
    isOf(runSummary.fuelId, fuel),
    isOf(runSummary.methodId, method),
    isOf(runSummary.personId, person),
    tag ? arrayContains(runSummary.tags, [tag]) : undefined,
    remark ? sql`${remark} = any(${runSummary.remarks})` : undefined,
    origin === 'all' ? undefined : eq(runSummary.origin, origin || 'measured'),
    void_ === 'shown' ? undefined : eq(runSummary.voided, false),
    from ? gte(runSummary.day, from) : undefined,
    to ? lte(runSummary.day, to) : undefined,
    broughtInWith
      ? sql`exists (select 1 from ${run} where ${run.id} = ${runSummary.runId} and ${run.importId} = ${broughtInWith}::uuid)`
      : undefined,
    ...found.map(
      (word) =>
        sql`(${ilike(runSummary.words, `%${word.replace(/[\\%_]/g, '\\$&')}%`)} or ${arrayContains(runSummary.tags, [word])})`,
    ),
  )
}

async function countRuns(db: Connection, passes: SQL | undefined): Promise<number> {
  const [row] = await db
    .select({ n: sql<number>`count(*)::int` })
    .from(runSummary)
    .where(passes)
  return row!.n
}

/** Each group of those that pass, in order, with how far its figures reach. */
export async function listGroups(db: Connection, { filter, group }: RunListQuery): Promise<RunGroupLine[]> {
  if (group === null) return []
  const { id, name } = GROUPED[group]
  return db
    .select({
      id: sql<string>`coalesce((${id})::text, ${NONE})`,
      name: sql<string>`(${name})::text`,
      count: sql<number>`count(*)::int`,
      lowGPerL: sql<number | null>`min(${runSummary.normalisedGPerL})`,
      highGPerL: sql<number | null>`max(${runSummary.normalisedGPerL})`,
    })
    .from(runSummary)
    .where(whereOf(filter))
    .groupBy(id, name)
    .orderBy(...ordered(groupKeys(group)))
}

const CHOSEN = ['setup', 'place', 'fuel', 'method', 'person'] as const
type Choice = RunChoices['setup'][number]

/** What can be filtered by, each with its number of runs. */
export async function runChoices(db: Connection): Promise<RunChoices> {
  const columns = CHOSEN.map((one) => [one, runSummary[`${one}Id`], runSummary[one]] as const)
  const kind = sql.join(
    columns.map(([one, , name]) => sql`when grouping(${name}) = 0 then ${one}`),
    sql` `,
  )
  const sets = sql.join(
    columns.map(([, id, name]) => sql`(${id}, ${name})`),
    sql`, `,
  )
  const named = await db
    .select({
      kind: sql<(typeof CHOSEN)[number]>`case ${kind} end`,
      id: sql<string>`coalesce(${sql.join(
        columns.map(([, id]) => sql`${id}`),
        sql`, `,
      )})::text`,
      name: sql<string>`coalesce(${sql.join(
        columns.map(([, , name]) => sql`${name}`),
        sql`, `,
      )})`,
      count: sql<number>`count(*)::int`,
    })
    .from(runSummary)
    .groupBy(sql`grouping sets (${sets})`)
  const { rows: tagged } = await db.execute<Omit<Choice, 'id'>>(
    sql`select t as name, count(*)::int as count from ${runSummary}, unnest(${runSummary.tags}) as t group by t`,
  )
  const sorted = (some: readonly Choice[]) =>
    some.filter((one) => one.name !== '').sort((a, b) => a.name.localeCompare(b.name))
  const choices = Object.fromEntries(
    CHOSEN.map((one) => [
      one,
      sorted(named.filter((row) => row.kind === one).map(({ id, name, count }) => ({ id: id ?? NONE, name, count }))),
    ]),
  ) as Omit<RunChoices, 'tag'>
  return { ...choices, tag: sorted(tagged.map((one) => ({ id: one.name, ...one }))) }
}

/** The ids of all that pass, oldest first; at most so many. */
export async function idsOf(db: Connection, filter: RunFilter, most: number): Promise<string[]> {
  const picked = db
    .select({ id: runSummary.runId, at: runSummary.startedAt })
    .from(runSummary)
    .where(whereOf(filter))
    .orderBy(runSummary.startedAt, runSummary.runId)
    .limit(most)
    .as('picked')
  // One word for all: a hundred thousand rows are not made here to be taken apart again.
  const [row] = await db
    .select({ ids: sql<string | null>`string_agg(${picked.id}::text, ',' order by ${picked.at}, ${picked.id})` })
    .from(picked)
  return row?.ids?.split(',') ?? []
}
