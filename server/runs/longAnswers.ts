/**
 * Runs with long traces are answered before anybody asks: their pages open as soon as those of others. In the
 * background, once their series are worked out.
 */
import { CORE_VERSION } from '../../core/version'
import { listedOptions } from '../../shared/reduceOptions'
import type { Connection } from '../database/connection'
import { answerRun } from './answerRun'
import { findRuns, type FoundRun } from './repository/findRuns'
import { longUnanswered } from './repository/longRuns'
import { notifyFigures } from './repository/notify'

/** Shorter ones are answered while a page is drawn. */
const LONG = 5000
/** As many of the newest are looked for at the start. */
const AT_THE_START = 100

/** What the background worker is yet to answer. */
const waiting = new Set<string>()
export const answerLater = (runId: string): void => void waiting.add(runId)

/** Tells the background worker, at the commit, which of these are long. */
export async function tellLong(tx: Connection, runs: readonly FoundRun[]): Promise<void> {
  for (const { stored, record } of runs) if (stored.trace.length > LONG) await notifyFigures(tx, record.id)
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
  for (const id of await longUnanswered(db, CORE_VERSION, AT_THE_START)) waiting.add(id)
}
