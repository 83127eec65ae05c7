/** The list of runs, newest first, each with its figures and what its ribbon draws. */
import { desc, eq, isNull, ne } from 'drizzle-orm'
import type { RunAnswer } from '../../core/formats/answer'
import type { StoredRun } from '../../core/formats/toRunDocument'
import { CORE_VERSION } from '../../core/version'
import type { RunLine, RunRecord } from '../../shared/runRecord'
import type { Connection } from '../database/connection'
import { findRun } from '../database/repositories/runs'
import { run, runRow } from '../database/schema'
import { answerRun } from './answerRun'
import { ribbonOf } from './ribbonOf'

const LIMIT = 500

export async function listRunLines(db: Connection): Promise<RunLine[]> {
  const rows = await db.select({ id: runRow.runId, line: runRow.line, coreVersion: runRow.coreVersion }).from(runRow)
    .innerJoin(run, eq(run.id, runRow.runId)).where(ne(run.state, 'void')).orderBy(desc(runRow.startedAt), desc(runRow.runId)).limit(LIMIT)
  return Promise.all(rows.map(row => (row.coreVersion === CORE_VERSION ? row.line : refreshRow(db, row.id))))
}

/** Works a run's line out anew and keeps it; called in the transaction that changed its facts. */
export async function refreshRow(db: Connection, runId: string): Promise<RunLine> {
  const { record, stored } = (await findRun(db, runId))!
  const [answer] = (await answerRun(db, stored)).runs
  if (!answer || 'error' in answer) throw new Error(answer?.error ?? `Run ${runId} was not reduced`)
  const line = lineOf(record, stored, answer)
  const row = { startedAt: new Date(record.startedAt), line, coreVersion: CORE_VERSION }
  await db.insert(runRow).values({ runId, ...row }).onConflictDoUpdate({ target: runRow.runId, set: row })
  return line
}

/** Gives a row to every run that has none: those logged before rows were kept. */
export async function backfillRows(db: Connection): Promise<number> {
  const bare = await db.select({ id: run.id }).from(run).leftJoin(runRow, eq(runRow.runId, run.id)).where(isNull(runRow.runId))
  for (const { id } of bare) await refreshRow(db, id)
  return bare.length
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
