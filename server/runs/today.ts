/** What Today shows, however many runs there are. */
import { and, asc, desc, eq, max, notExists, sql } from 'drizzle-orm'
import type { Connection } from '../database/connection'
import { decision, run, runSummary } from '../database/schema'
import { settleOf, type Today, type ToSettle } from '../../shared/today'
import { LINE, lineOfSummary } from './listRuns'
import { moved } from './moved'

const COUNTS = and(eq(runSummary.origin, 'measured'), eq(runSummary.voided, false))
const MOST_OF_A_DAY = 60
/** As many are looked at, newest first, for what wants a decision. */
const LOOKED_AT = 300
const MOST_TO_SETTLE = 8

export async function today(db: Connection): Promise<Today> {
  const [newest] = await db
    .select({ day: max(runSummary.day) })
    .from(runSummary)
    .where(COUNTS)
  const date = newest?.day ?? null
  const settle = await toSettle(db)
  if (date === null) return { day: null, settle: [], unsettled: 0, moved: [] }
  const rows = await db
    .select(LINE)
    .from(runSummary)
    .where(and(COUNTS, eq(runSummary.day, date)))
    .orderBy(asc(runSummary.startedAt))
    .limit(MOST_OF_A_DAY)
  return {
    day: { date, runs: rows.map(lineOfSummary) },
    settle: settle.slice(0, MOST_TO_SETTLE),
    unsettled: settle.length,
    moved: await moved(db, date),
  }
}

/** A decision to leave a run as it is takes it off the list. */
async function toSettle(db: Connection): Promise<ToSettle[]> {
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
    .limit(LOOKED_AT)
  return rows.flatMap((row) => {
    const line = lineOfSummary(row)
    const asked = settleOf(line)
    return asked === null ? [] : [{ run: line, revision: row.revision, ...asked }]
  })
}
