/**
 * Work that goes on after the answer: queued in PostgreSQL, so that it survives this process; one worker a process, one
 * job of a kind at a time.
 */
import PgBoss from 'pg-boss'
import pg from 'pg'
import { useDatabase } from '../database/connection'
import { workOutNext } from '../runs/recompute'
import { markOldCore } from '../runs/stale'
import { answerLater, answerNext, FIGURES_CHANNEL, findUnanswered } from '../runs/longAnswers'

const FIGURES = 'figures'
const AGAIN_MS = 1000

/** Starts the worker. What it answers ends it. */
export async function startJobs(url: string): Promise<() => Promise<void>> {
  const boss = new PgBoss({ connectionString: url, max: 2, schedule: false })
  // The database may go and come again: the worker goes on by itself, and what waits is in the rows, not in the
  // process.
  boss.on('error', () => undefined)
  await boss.start()
  await boss.createQueue(FIGURES, { name: FIGURES, policy: 'short', retryLimit: 5, retryBackoff: true })
  await boss.work(FIGURES, { pollingIntervalSeconds: 0.5 }, async () => workOffFigures())
  const ask = () => void boss.send(FIGURES, {}).catch(() => undefined)
  const unlisten = listenFor(url, FIGURES_CHANNEL, (runId) => {
    if (runId !== '') answerLater(runId)
    ask()
  })
  await markOldCore(useDatabase())
  await findUnanswered(useDatabase())
  ask()
  return async () => {
    await unlisten()
    await boss.stop({ graceful: true, timeout: 2000 })
  }
}

async function workOffFigures(): Promise<void> {
  const db = useDatabase()
  while (await workOutNext(db));
  while (await answerNext(db));
}

/**
 * Calls with what each notification says, and with '' at each return of the database: what was told while it was away
 * is asked for again.
 */
function listenFor(url: string, channel: string, hear: (said: string) => void): () => Promise<void> {
  let client: pg.Client | null = null
  let over = false
  const connect = () => {
    if (over) return
    const mine = (client = new pg.Client({ connectionString: url }))
    const lost = () => {
      if (client !== mine) return
      client = null
      void mine.end().catch(() => undefined)
      setTimeout(connect, AGAIN_MS).unref()
    }
    mine.on('error', lost)
    mine.on('end', lost)
    mine.on('notification', ({ payload }) => hear(payload ?? ''))
    mine
      .connect()
      .then(() => mine.query(`listen ${channel}`))
      .then(() => hear(''), lost)
  }
  connect()
  return async () => {
    over = true
    await client?.end().catch(() => undefined)
  }
}
