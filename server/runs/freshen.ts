/**
 * Keeps the rows of the logbook in step with the facts: a small series at once, in the transaction of its facts; a
 * large one is marked, and worked out in the background.
 */
import { and, asc, eq, inArray, isNotNull, isNull, lt, ne, or, sql, type SQL } from 'drizzle-orm'
import { reduce } from '../../core/reduce'
import { CORE_VERSION } from '../../core/version'
import { listedOptions } from '../../shared/runOptions'
import { anyOf } from '../database/anyOf'
import type { Connection, Database } from '../database/connection'
import { findRuns, type FoundRun } from '../database/repositories/runs'
import { traceChunks } from '../database/repositories/traces'
import { run, runRow, setupVersion } from '../database/schema'
import { needsTrace, readsCalls, requestOf } from './answerRun'
import { FIGURES_CHANNEL, tellLong } from './longAnswers'
import { ELSEWHERE, NO_METHOD, rowOf } from './runLine'

/** As many runs are worked out while a person waits. About a millisecond each, facts and all. */
const AT_ONCE = 80
/** Chunks of trace held at a time, of at most 4 096 samples each. */
const CHUNKS_AT_A_TIME = 100

/** What a run's figures rest on besides its own facts, as one word. */
const seriesKey = sql<string>`case when ${run.state} = 'void' or ${run.breakIn} then ${run.id}::text else ${setupVersion.heatHash} || '.' || ${run.origin} end`
const LISTED: SQL = inArray(run.state, ['finished', 'void'])

/** Called in the transaction that changed the facts of these runs. Series they have left are worked out too. */
export async function freshen(tx: Connection, runIds: readonly string[]): Promise<void> {
  if (runIds.length === 0) return
  const now = await keysOf(tx, anyOf(run.id, runIds))
  const before = await tx
    .select({ id: runRow.runId, series: runRow.series })
    .from(runRow)
    .where(anyOf(runRow.runId, runIds))
  const keys = [...new Set([...now, ...before].map((one) => one.series))]
  await lockSeries(tx, keys)
  const members = await keysOf(tx, sql`${seriesKey} = any(${sql.param(keys)}::text[])`)
  if (members.length <= AT_ONCE) {
    for (const key of keys) await workOutLocked(tx, key)
    return
  }
  // Those that are new stand in the list at once, by their own readings, or, where they are many, without figures;
  // whether one is void counts at once too.
  const had = new Set(before.map((one) => one.id))
  const seriesOf = new Map(now.map((one) => [one.id, one.series]))
  const fresh = runIds.filter((id) => !had.has(id))
  const {
    rows: [clock],
  } = await tx.execute<{ at: string }>(sql`select clock_timestamp()::text as at`)
  if (fresh.length > AT_ONCE) await bareRows(tx, fresh)
  else
    for (const part of await inParts(tx, fresh))
      await keepRows(
        tx,
        (id) => seriesOf.get(id)!,
        (await findRuns(tx, part)).flatMap((one) => rowsOf([one], [one])),
      )
  const isVoid = sql`exists (select 1 from ${run} where ${run.id} = ${runRow.runId} and ${run.state} = 'void')`
  await tx
    .update(runRow)
    .set({ voided: isVoid })
    .where(
      and(
        anyOf(
          runRow.runId,
          runIds.filter((id) => had.has(id)),
        ),
        sql`${runRow.voided} is distinct from ${isVoid}`,
      ),
    )
  // What was marked just now needs no second mark.
  await markStale(
    tx,
    and(
      sql`${runRow.series} = any(${sql.param(keys)}::text[])`,
      or(isNull(runRow.staleSince), lt(runRow.staleSince, sql`${clock!.at}::timestamptz`)),
    )!,
  )
}

/**
 * Rows of many new runs as the database alone can write them: found, filtered and sorted at once, their figures worked
 * out with their series.
 */
async function bareRows(tx: Connection, ids: readonly string[]): Promise<void> {
  await tx.execute(sql`
    with picked as materialized (select id, setup_version_id from run where id = any(${sql.param(ids)}::uuid[])),
      part_names as materialized (select sp.setup_version_id, string_agg(t.name, ' ') as names from setup_part sp join thing_version tv on tv.id = sp.thing_version_id join thing t on t.id = tv.thing_id where sp.setup_version_id in (select setup_version_id from picked) group by 1),
      marked as materialized (select run_id, jsonb_agg(jsonb_build_object('kind', kind, 's', at_ms / 1000.0) order by at_ms) as marks, max(at_ms) / 1000.0 as end_s from event where run_id in (select id from picked) and not voided group by 1)
    insert into run_row (run_id, started_at, day, origin, voided, setup, place, fuel, method, person, remarks, words, line, core_version, series, stale_since)
    select r.id, r.started_at, (r.started_at at time zone r.zone)::date, r.origin, r.state = 'void', s.name, coalesce(p.name, ${ELSEWHERE}), coalesce(f.name, ''), coalesce(m.name, ${NO_METHOD}), who.name, '{}',
      lower(concat_ws(' ', s.name, coalesce(p.name, ${ELSEWHERE}), coalesce(f.name, ''), coalesce(m.name, ${NO_METHOD}), who.name, r.notes, n.names)),
      jsonb_build_object('id', r.id, 'startedAt', to_char(r.started_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'zone', r.zone, 'setup', s.name, 'place', p.name, 'fuel', f.name, 'kind', r.kind, 'method', m.name, 'voided', r.state = 'void', 'breakIn', r.break_in, 'setting', r.setting,
        'says', null, 'timeToBoilS', null, 'gPerL', null, 'normalisedGPerL', null, 'normalisedU', null, 'status', 'not', 'worstFlag', null, 'ended', null, 'origin', r.origin, 'person', who.name, 'efficiency', null, 'burnRateGPerMin', null, 'firepowerW', null,
        'ribbon', jsonb_build_object('marks', coalesce(e.marks, '[]'), 'water', '[]'::jsonb, 'boilingC', null, 'endS', coalesce(e.end_s, 0), 'weighed', true)),
      ${CORE_VERSION}, case when r.state = 'void' or r.break_in then r.id::text else v.heat_hash || '.' || r.origin end, clock_timestamp()
    from picked join run r on r.id = picked.id join setup_version v on v.id = r.setup_version_id join setup s on s.id = v.setup_id join person who on who.id = r.person_id left join place_version pv on pv.id = r.place_version_id left join place p on p.id = pv.place_id
      left join fuel_batch b on b.id = r.fuel_batch_id left join fuel f on f.id = b.fuel_id left join method_version mv on mv.id = r.method_version_id left join method m on m.id = mv.method_id
      left join part_names n on n.setup_version_id = r.setup_version_id left join marked e on e.run_id = r.id
    order by r.id on conflict do nothing`)
}

const keysOf = (tx: Connection, where: SQL) =>
  tx
    .select({ id: run.id, series: seriesKey })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .where(and(LISTED, where))

/** Every run that a condition on `run` picks, as after `freshen` of each. */
export async function freshenWhere(tx: Connection, where: SQL): Promise<void> {
  await freshen(
    tx,
    (await keysOf(tx, where)).map((one) => one.id),
  )
}

/** Marks rows, each time anew, and tells the background at the commit. */
export async function markStale(tx: Connection, where: SQL): Promise<void> {
  // In one order, as all who write many rows: two that cross would wait for each other.
  await tx.select({ id: runRow.runId }).from(runRow).where(where).orderBy(asc(runRow.runId)).for('update')
  await tx
    .update(runRow)
    .set({ staleSince: sql`clock_timestamp()` })
    .where(where)
  await tx.execute(sql`select pg_notify(${FIGURES_CHANNEL}, '')`)
}

/** What an earlier core worked out. */
export const markOldCore = (db: Connection): Promise<void> => markStale(db, ne(runRow.coreVersion, CORE_VERSION))

/** Gives a row to every run that has none; says how many had none. */
export async function backfillRows(db: Connection): Promise<number> {
  const bare = await db
    .select({ id: run.id, series: seriesKey })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .leftJoin(runRow, eq(runRow.runId, run.id))
    .where(and(isNull(runRow.runId), LISTED))
  const apart = bare.filter((one) => one.series === one.id).map((one) => one.id)
  for (let from = 0; from < apart.length; from += APART_AT_ONCE) {
    const ids = apart.slice(from, from + APART_AT_ONCE)
    await db.transaction(async (tx) => {
      await lockSeries(tx, ids)
      for (const part of await inParts(tx, ids)) await keepRows(tx, (id) => id, rowsOf(await findRuns(tx, part), []))
    })
  }
  for (const key of new Set(bare.filter((one) => one.series !== one.id).map((one) => one.series)))
    await db.transaction((tx) => workOutAlone(tx, key))
  return bare.length
}

export interface FiguresLeft {
  stale: number
  total: number
}
export async function figuresLeft(db: Connection): Promise<FiguresLeft> {
  const [row] = await db
    .select({ stale: sql<number>`count(*)::int` })
    .from(runRow)
    .where(isNotNull(runRow.staleSince))
  const [all] = await db.select({ n: sql<number>`count(*)::int` }).from(runRow)
  return { stale: row!.stale, total: all!.n }
}

/**
 * Works out the series that has waited longest; false where none waits. One that cannot be goes to the end of the
 * queue.
 */
export async function workOutNext(db: Database): Promise<boolean> {
  const [next] = await db
    .select({ series: runRow.series, runId: runRow.runId })
    .from(runRow)
    .where(isNotNull(runRow.staleSince))
    .orderBy(asc(runRow.staleSince))
    .limit(1)
  if (next === undefined) return false
  if (next.series === next.runId && oneByOne === 0) {
    const together = await db
      .transaction((tx) => workOutApart(tx))
      .then(
        () => true,
        () => false,
      )
    if (together) return true
    oneByOne = APART_AT_ONCE
  }
  oneByOne = Math.max(0, oneByOne - 1)
  try {
    await db.transaction((tx) => workOutAlone(tx, next.series))
  } catch (error) {
    await markStale(db, eq(runRow.series, next.series))
    throw error
  }
  return true
}

/** Locks that series share: ten thousand void runs are as many series, and the database holds only so many locks. */
const SERIES_LOCKS = 256
const LOCK_SPACE = 7_202_606
/**
 * One at a time works at a series, so that the last to write has read all. All locks are taken before anything is
 * written, in one order.
 */
async function lockSeries(tx: Connection, keys: readonly string[]): Promise<void> {
  await tx.execute(
    sql`select pg_advisory_xact_lock(${LOCK_SPACE}::int, lock) from (select distinct abs(hashtext(key) % ${SERIES_LOCKS}::int) as lock from unnest(${sql.param([...keys])}::text[]) as key order by 1) as locks`,
  )
}

async function workOutAlone(tx: Connection, series: string): Promise<void> {
  await lockSeries(tx, [series])
  await workOutLocked(tx, series)
}

/** Void runs and break-ins are each a series of one: many of them are worked out together, each alone. */
const APART_AT_ONCE = 200
/** As many of them are taken one at a time: one of those together could not be worked out, and holds up no other. */
let oneByOne = 0
async function workOutApart(tx: Connection): Promise<void> {
  const ids = (
    await tx
      .select({ id: runRow.runId })
      .from(runRow)
      .where(and(isNotNull(runRow.staleSince), sql`${runRow.series} = ${runRow.runId}::text`))
      .orderBy(asc(runRow.staleSince))
      .limit(APART_AT_ONCE)
  ).map((one) => one.id)
  await lockSeries(tx, ids)
  const [seen] = await tx
    .select({ at: sql<string | null>`max(${runRow.staleSince})::text` })
    .from(runRow)
    .where(anyOf(runRow.runId, ids))
  const members = await keysOf(tx, anyOf(run.id, ids))
  // A run that stands in a series again waits under that one.
  for (const one of members)
    if (one.series !== one.id) await tx.update(runRow).set({ series: one.series }).where(eq(runRow.runId, one.id))
  for (const part of await inParts(
    tx,
    members.filter((one) => one.series === one.id).map((one) => one.id),
  ))
    await keepRows(tx, (id) => id, rowsOf(await findRuns(tx, part), []), seen!.at)
}

/** What became stale meanwhile stays so. */
async function workOutLocked(tx: Connection, series: string): Promise<void> {
  const [seen] = await tx
    .select({ at: sql<string | null>`max(${runRow.staleSince})::text` })
    .from(runRow)
    .where(eq(runRow.series, series))
  const members = await keysOf(
    tx,
    or(
      eq(seriesKey, series),
      inArray(run.id, tx.select({ id: runRow.runId }).from(runRow).where(eq(runRow.series, series))),
    )!,
  )
  const left = members.filter((one) => one.series !== series)
  // A run that is no more of this series waits under its own.
  for (const one of left) await tx.update(runRow).set({ series: one.series }).where(eq(runRow.runId, one.id))
  await workOut(
    tx,
    series,
    members.filter((one) => one.series === series).map((one) => one.id),
    seen!.at,
  )
}

/** @param seenStale what became stale after it stays so */
async function workOut(
  tx: Connection,
  series: string,
  ids: readonly string[],
  seenStale: string | null,
): Promise<void> {
  const light = await findRuns(tx, [...ids], { traces: false })
  const needed = light.some((one) => !readsCalls(one)) ? ids : light.filter(needsTrace).map((one) => one.record.id)
  const known = new Map((needed.length === 0 ? [] : await findRuns(tx, [...needed])).map((one) => [one.record.id, one]))
  const whole = light.map((one) => known.get(one.record.id) ?? one)
  for (const part of await inParts(tx, ids)) {
    const own = await findRuns(tx, part)
    await keepRows(tx, () => series, rowsOf(own, whole), seenStale)
    await tellLong(tx, own)
  }
}

/** As many runs at a time as their traces allow. */
async function inParts(db: Connection, ids: readonly string[]): Promise<string[][]> {
  const chunks = await traceChunks(db, [...ids])
  const parts: string[][] = []
  let held = Infinity
  for (const id of ids) {
    const own = chunks.get(id) ?? 0
    if (held + own > CHUNKS_AT_A_TIME || parts.at(-1)!.length >= 500) {
      parts.push([])
      held = 0
    }
    parts.at(-1)!.push(id)
    held += own
  }
  return parts
}

/** The rows of some runs, each read by the conventions of its method, with its whole series behind it. */
function rowsOf(own: readonly FoundRun[], series: readonly FoundRun[]): ReturnType<typeof rowOf>[] {
  const byOptions = new Map<string, FoundRun[]>()
  for (const one of own) {
    const key = one.apart ? one.record.id : JSON.stringify(listedOptions(one.method))
    byOptions.set(key, [...(byOptions.get(key) ?? []), one])
  }
  return [...byOptions.values()].flatMap((alike) => {
    const first = alike[0]!
    const ids = new Set(alike.map((one) => one.record.id))
    const others = [...alike.slice(1), ...series.filter((one) => !ids.has(one.record.id))]
    const answer = reduce(
      requestOf(
        first,
        others.map((one) => one.stored),
        listedOptions(first.method),
        ids,
      ),
    )
    const answers = new Map(answer.runs.map((one) => [one.id, one]))
    return alike.map(({ record, stored }) => {
      const said = answers.get(record.id)
      if (said === undefined || 'error' in said) throw new Error(`Run ${record.id} was not reduced`)
      return rowOf(record, stored, said)
    })
  })
}

const set = (column: string) => sql.raw(`excluded.${column}`)
async function keepRows(
  db: Connection,
  seriesOf: (runId: string) => string,
  rows: ReturnType<typeof rowOf>[],
  seenStale: string | null = null,
): Promise<void> {
  if (rows.length === 0) return
  const staleSince = sql`case when ${runRow.staleSince} > ${seenStale ?? '-infinity'}::timestamptz then ${runRow.staleSince} end`
  const ordered = [...rows].sort((a, b) => (a.runId < b.runId ? -1 : 1))
  await db
    .insert(runRow)
    .values(ordered.map((row) => ({ ...row, series: seriesOf(row.runId) })))
    .onConflictDoUpdate({
      target: runRow.runId,
      set: {
        startedAt: set('started_at'),
        day: set('day'),
        origin: set('origin'),
        voided: set('voided'),
        setup: set('setup'),
        place: set('place'),
        fuel: set('fuel'),
        method: set('method'),
        person: set('person'),
        remarks: set('remarks'),
        words: set('words'),
        timeToBoilS: set('time_to_boil_s'),
        gPerL: set('g_per_l'),
        normalisedGPerL: set('normalised_g_per_l'),
        efficiency: set('efficiency'),
        burnRateGPerMin: set('burn_rate_g_per_min'),
        firepowerW: set('firepower_w'),
        line: set('line'),
        coreVersion: set('core_version'),
        series: set('series'),
        staleSince,
      },
    })
}
