/**
 * Runs with long traces are answered before anybody asks: their pages open as soon as those of others. In the
 * background, once their series are worked out.
 */
import { and, desc, eq, isNull, notExists, sql } from 'drizzle-orm'
import { CORE_VERSION } from '../../core/version'
import { listedOptions } from '../../shared/runOptions'
import type { Connection } from '../database/connection'
import { findRuns, type FoundRun } from './repository/findRuns'
import { result, run, trace, traceChunk } from '../database/schema'
import { answerRun } from './answerRun'

/** Shorter ones are answered while a page is drawn. */
const LONG = 5000
/** As many of the newest are looked for at the start. */
const AT_THE_START = 100

/** Tells the background worker that figures wait; or, with a run's id, that this run's answer does. */
export const FIGURES_CHANNEL = 'vulcanum_figures'

/** What the background worker is yet to answer. */
const waiting = new Set<string>()
export const answerLater = (runId: string): void => void waiting.add(runId)

/** Tells the background worker, at the commit, which of these are long. */
export async function tellLong(tx: Connection, runs: readonly FoundRun[]): Promise<void> {
  for (const { stored, record } of runs)
    if (stored.trace.length > LONG) await tx.execute(sql`select pg_notify(${FIGURES_CHANNEL}, ${record.id})`)
}

/** Answers the next; false where none waits. What cannot be answered waits for whoever asks. */
export async function answerNext(db: Connection): Promise<boolean> {
  const [id] = waiting
  if (id === undefined) return false
  waiting.delete(id)
  const [found] = await findRuns(db, [id])
  if (found) await answerRun(db, found, listedOptions(found.method)).catch(() => undefined)
  return true
}

/** What an earlier core answered, or nobody yet. */
export async function findUnanswered(db: Connection): Promise<void> {
  const rows = await db
    .select({ id: trace.runId })
    .from(trace)
    .innerJoin(traceChunk, eq(traceChunk.traceId, trace.id))
    .innerJoin(run, eq(run.id, trace.runId))
    .where(
      and(
        eq(trace.channel, 'water'),
        isNull(trace.removedAt),
        eq(run.state, 'finished'),
        notExists(
          db
            .select()
            .from(result)
            .where(and(eq(result.runId, trace.runId), eq(result.coreVersion, CORE_VERSION))),
        ),
      ),
    )
    .groupBy(trace.runId, run.startedAt)
    .having(sql`count(*) > 1`)
    .orderBy(desc(run.startedAt))
    .limit(AT_THE_START)
  for (const { id } of rows) waiting.add(id)
}
