/** The list of runs, newest first, each with its figures and what its ribbon draws. */
import { and, desc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm'
import { reduce } from '../../core/reduce'
import { formatClock, formatNumber } from '../../core/quantity/format'
import { listedOptions } from '../../shared/runOptions'
import type { RunAnswer } from '../../core/formats/answer'
import type { StoredRun } from '../../core/formats/toRunDocument'
import { CORE_VERSION } from '../../core/version'
import type { RunLine, RunRecord } from '../../shared/runRecord'
import type { Connection } from '../database/connection'
import { findRuns, seriesOf, type FoundRun } from '../database/repositories/runs'
import { run, runRow } from '../database/schema'
import { requestOf } from './answerRun'
import { ribbonOf } from './ribbonOf'

const LIMIT = 500

export async function listRunLines(db: Connection): Promise<RunLine[]> {
  const rows = await newestRows(db)
  const stale = new Set(rows.filter(row => row.coreVersion !== CORE_VERSION).map(row => row.id))
  if (stale.size === 0) return rows.map(row => row.line)
  for (const id of stale) for (const fresh of await refreshSeries(db, id)) stale.delete(fresh)
  return (await newestRows(db)).map(row => row.line)
}

const newestRows = (db: Connection) => db.select({ id: runRow.runId, line: runRow.line, coreVersion: runRow.coreVersion }).from(runRow)
  .orderBy(desc(runRow.startedAt), desc(runRow.runId)).limit(LIMIT)

/**
 * Works out anew, and keeps, the lines of a run and of its whole series: what one run says of wind changes the others' figures.
 * Called in the transaction that changed its facts. Says whose lines it wrote.
 */
export async function refreshSeries(db: Connection, runId: string): Promise<string[]> {
  const ids = [...new Set([...(await seriesOf(db, runId)).map(one => one.id), runId])]
  const found = await findRuns(db, ids)
  const rows = [...seriesRows(found.filter(one => !one.apart)), ...found.filter(one => one.apart).flatMap(one => seriesRows([one]))]
  if (rows.length === 0) return []
  await db.insert(runRow).values(rows).onConflictDoUpdate({
    target: runRow.runId, set: { startedAt: sql`excluded.started_at`, line: sql`excluded.line`, coreVersion: sql`excluded.core_version` },
  })
  return ids
}

/** Every run that a condition picks, with the series of each. */
export async function refreshRuns(db: Connection, where: SQL): Promise<void> {
  const left = new Set((await db.select({ id: run.id }).from(run).where(and(where, inArray(run.state, ['finished', 'void'])))).map(row => row.id))
  for (const id of left) for (const fresh of await refreshSeries(db, id)) left.delete(fresh)
}

/** The rows of one series, each run read by the conventions of its method: the series is reduced once for each of these. */
function seriesRows(series: readonly FoundRun[]): (typeof runRow.$inferInsert)[] {
  const byOptions = new Map<string, FoundRun[]>()
  for (const one of series) {
    const key = JSON.stringify(listedOptions(one.method))
    byOptions.set(key, [...(byOptions.get(key) ?? []), one])
  }
  return [...byOptions.values()].flatMap((alike) => {
    const first = alike[0]!
    const answer = reduce(requestOf(first, series.filter(one => one !== first).map(one => one.stored), listedOptions(first.method)))
    return alike.map(({ record, stored }) => {
      const own = answer.runs.find(one => one.id === record.id)
      if (own === undefined || 'error' in own) throw new Error(`Run ${record.id} was not reduced`)
      return { runId: record.id, startedAt: new Date(record.startedAt), line: lineOf(record, stored, own), coreVersion: CORE_VERSION }
    })
  })
}

/** Gives a row to every run that has none: those logged before rows were kept. */
export async function backfillRows(db: Connection): Promise<number> {
  const bare = new Set((await db.select({ id: run.id }).from(run).leftJoin(runRow, eq(runRow.runId, run.id)).where(and(isNull(runRow.runId), inArray(run.state, ['finished', 'void'])))).map(one => one.id))
  const count = bare.size
  for (const id of bare) for (const fresh of await refreshSeries(db, id)) bare.delete(fresh)
  return count
}

function lineOf(record: RunRecord, stored: StoredRun, answer: RunAnswer): RunLine {
  const { timeToBoilS, gPerL, normalisedGPerL, normalisedU, status, ended, flags } = answer
  const { id, startedAt, zone, setup, place, fuel, kind, setting, breakIn } = record
  return { id, startedAt, zone, setup, place, fuel, kind, method: record.method?.name ?? null, voided: record.state === 'void', breakIn, setting, says: saysOf(answer), timeToBoilS, gPerL, normalisedGPerL, normalisedU, status, ended, worstFlag: worstOf(flags), ribbon: ribbonOf(stored, answer) }
}

/** The figure a test of this kind is burned for, where that is not fuel per litre. */
function saysOf({ kind, test }: RunAnswer): string | null {
  const clock = (s: number | null, words: string) => (s === null ? null : `${words} ${formatClock(s)}`)
  switch (kind) {
    case 'burnOff': return clock(test.burnTimeS, 'burns')
    case 'simmer': return clock(test.burnTimeS, 'simmers')
    case 'warmUp': return clock(test.warmUpS, 'warm in')
    case 'fixedTime': return test.riseK === null ? null : `rises ${formatNumber(test.riseK, 1)}\u202fK`
    case 'coolDown': return test.lossWPerK === null ? null : `loses ${formatNumber(test.lossWPerK, 2)}\u202fW/K`
    default: return null
  }
}

function worstOf(flags: RunAnswer['flags']): RunLine['worstFlag'] {
  const worst = flags.find(flag => flag.severity === 'error') ?? flags.find(flag => flag.severity === 'warning')
  if (!worst || worst.severity === 'note') return null
  if (worst.severity === 'warning') return { severity: 'warning', text: worst.text }
  return { severity: 'error', text: worst.code === 'impossible-efficiency' ? 'impossible' : 'contradictory' }
}
