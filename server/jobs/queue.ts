/**
 * Work that goes on after the answer: queued in PostgreSQL, so that it survives this process; one worker a process, one
 * job of a kind at a time.
 */
import PgBoss from 'pg-boss'
import { findAllQuestions } from '../comparisons/findQuestions'
import { openDatabase, type Database } from '../database/connection'
import { Notices } from '../database/notices'
import { markOldCore } from '../runs/repository/stale'
import { WaitingSeries } from '../runs/waitingSeries'
import { answerLater, answerNext, findUnanswered } from '../runs/longAnswers'
import { FIGURES_CHANNEL } from '../runs/repository/notify'

const FIGURES = 'figures'

/** Starts the worker. What it answers ends it. */
export async function startJobs(url: string): Promise<() => Promise<void>> {
  const { db, close } = openDatabase(url)
  const series = new WaitingSeries(db)
  const boss = new PgBoss({ connectionString: url, max: 2, schedule: false })
  // The database may go and come again: the worker goes on by itself, and what waits is in the rows, not in the
  // process.
  boss.on('error', () => undefined)
  await boss.start()
  await boss.createQueue(FIGURES, { name: FIGURES, policy: 'short', retryLimit: 5, retryBackoff: true })
  await boss.work(FIGURES, { pollingIntervalSeconds: 0.5 }, async () => workOffFigures(db, series))
  const ask = () => void boss.send(FIGURES, {}).catch(() => undefined)
  const notices = new Notices(url)
  notices.subscribe(FIGURES_CHANNEL, (runId) => {
    if (runId !== null && runId !== '') answerLater(runId)
    ask()
  })
  await markOldCore(db)
  await findUnanswered(db)
  ask()
  return async () => {
    await notices.close()
    await close()
    await boss.stop({ graceful: true, timeout: 2000 })
  }
}

async function workOffFigures(db: Database, series: WaitingSeries): Promise<void> {
  await series.workOutAll()
  while (await answerNext(db));
  await findAllQuestions(db)
}
