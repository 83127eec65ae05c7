/**
 * In a thread of its own, as long as the server lives: the background worker. A database that is away at the start is
 * waited for.
 */
import '../afterOthers'
import { parentPort } from 'node:worker_threads'
import { startJobs } from '../../jobs/queue'

const AGAIN_MS = 2000
let stop: (() => Promise<void>) | null = null

function begin(): void {
  startJobs(process.env.DATABASE_URL!).then(
    (end) => {
      stop = end
    },
    () => setTimeout(begin, AGAIN_MS),
  )
}
begin()

parentPort!.once('message', async () => {
  await stop?.()
  process.exit()
})
