/** The list of runs, newest first, each with its figures and what its ribbon draws. */
import { desc, eq, isNull, ne, sql } from 'drizzle-orm'
import { reduce } from '../../core/reduce'
import { defaultOptions } from '../../shared/reduceRequest'
import type { RunAnswer } from '../../core/formats/answer'
import type { StoredRun } from '../../core/formats/toRunDocument'
import { CORE_VERSION } from '../../core/version'
import type { RunLine, RunRecord } from '../../shared/runRecord'
import type { Connection } from '../database/connection'
import { findRuns, seriesOf } from '../database/repositories/runs'
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
  .innerJoin(run, eq(run.id, runRow.runId)).where(ne(run.state, 'void')).orderBy(desc(runRow.startedAt), desc(runRow.runId)).limit(LIMIT)

/**
 * Works out anew, and keeps, the lines of a run and of its whole series: what one run says of wind changes the others' figures.
 * Called in the transaction that changed its facts. Says whose lines it wrote.
 */
export async function refreshSeries(db: Connection, runId: string): Promise<string[]> {
  const ids = (await seriesOf(db, runId)).map(one => one.id)
  const found = await findRuns(db, ids)
  const first = found[0]
  if (first === undefined) return []
  const answer = reduce(requestOf(first.stored, found.slice(1).map(one => one.stored), defaultOptions()))
  const answers = new Map(answer.runs.flatMap(one => ('error' in one ? [] : [[one.id, one] as const])))
  const rows = found.map(({ record, stored }) => {
    const own = answers.get(record.id)
    if (own === undefined) throw new Error(`Run ${record.id} was not reduced`)
    return { runId: record.id, startedAt: new Date(record.startedAt), line: lineOf(record, stored, own), coreVersion: CORE_VERSION }
  })
  await db.insert(runRow).values(rows).onConflictDoUpdate({
    target: runRow.runId, set: { startedAt: sql`excluded.started_at`, line: sql`excluded.line`, coreVersion: sql`excluded.core_version` },
  })
  return ids
}

/** Gives a row to every run that has none: those logged before rows were kept. */
export async function backfillRows(db: Connection): Promise<number> {
  const bare = new Set((await db.select({ id: run.id }).from(run).leftJoin(runRow, eq(runRow.runId, run.id)).where(isNull(runRow.runId))).map(one => one.id))
  const count = bare.size
  for (const id of bare) for (const fresh of await refreshSeries(db, id)) bare.delete(fresh)
  return count
}

function lineOf(record: RunRecord, stored: StoredRun, answer: RunAnswer): RunLine {
  const { timeToBoilS, gPerL, normalisedGPerL, normalisedU, status, ended, flags } = answer
  const { id, startedAt, zone, setup, place, fuel } = record
  return { id, startedAt, zone, setup, place, fuel, timeToBoilS, gPerL, normalisedGPerL, normalisedU, status, ended, worstFlag: worstOf(flags), ribbon: ribbonOf(stored, answer) }
}

function worstOf(flags: RunAnswer['flags']): RunLine['worstFlag'] {
  const worst = flags.find(flag => flag.severity === 'error') ?? flags.find(flag => flag.severity === 'warning')
  if (!worst || worst.severity === 'note') return null
  if (worst.severity === 'warning') return { severity: 'warning', text: worst.text }
  return { severity: 'error', text: worst.code === 'impossible-efficiency' ? 'impossible' : 'contradictory' }
}
