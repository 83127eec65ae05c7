/** The newest day of the logbook, and what wants a decision. */
import { and, asc, desc, eq, max, notExists, sql } from 'drizzle-orm'
import type { RunLine } from '../../../shared/runRecord'
import type { Connection } from '../../database/connection'
import { decision, run, runSummary } from '../../database/schema'
import { LINE, lineOfSummary } from './listRuns'

const COUNTS = and(eq(runSummary.origin, 'measured'), eq(runSummary.voided, false))

/** Null: there is no run. */
export async function newestDay(db: Connection): Promise<string | null> {
  const [newest] = await db
    .select({ day: max(runSummary.day) })
    .from(runSummary)
    .where(COUNTS)
  return newest?.day ?? null
}

/** Oldest first. */
export async function linesOfDay(db: Connection, day: string, most: number): Promise<RunLine[]> {
  const rows = await db
    .select(LINE)
    .from(runSummary)
    .where(and(COUNTS, eq(runSummary.day, day)))
    .orderBy(asc(runSummary.startedAt))
    .limit(most)
  return rows.map(lineOfSummary)
}

/** The newest that something is remarked of, unless it was decided that they stay as they are. */
export async function remarked(db: Connection, most: number): Promise<{ line: RunLine; revision: number }[]> {
  const left = db
    .select()
    .from(decision)
    .where(and(eq(decision.runId, runSummary.runId), eq(decision.question, 'settle')))
  const rows = await db
    .select({ ...LINE, revision: run.revision })
    .from(runSummary)
    .innerJoin(run, eq(run.id, runSummary.runId))
    .where(and(COUNTS, eq(run.breakIn, false), sql`cardinality(${runSummary.remarks}) > 0`, notExists(left)))
    .orderBy(desc(runSummary.startedAt))
    .limit(most)
  return rows.map((row) => ({ line: lineOfSummary(row), revision: row.revision }))
}
