import { startJobs } from '../jobs/queue'
import { endThreads } from '../workers/pool'

const AGAIN_MS = 2000

/** The background worker lives as long as the server; a database that is away at the start is waited for. */
export default defineNitroPlugin((nitro) => {
  const url = process.env.DATABASE_URL
  if (!url) return
  let stop: (() => Promise<void>) | null = null
  let over = false
  const begin = () => {
    if (over) return
    startJobs(url).then((end) => { stop = end }, () => setTimeout(begin, AGAIN_MS).unref())
  }
  begin()
  nitro.hooks.hook('close', async () => {
    over = true
    await stop?.()
    await endThreads()
  })
})
