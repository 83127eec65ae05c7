import { keepThread } from '../workers/keepThread'
import { endThreads } from '../workers/pool'

/**
 * The background worker lives as long as the server, in a thread of its own: figures of ten thousand runs hold up no
 * press.
 */
export default defineNitroPlugin((nitro) => {
  if (!process.env.DATABASE_URL) return
  const endJobs = keepThread('jobs')
  nitro.hooks.hook('close', async () => {
    await Promise.all([endJobs(), endThreads()])
  })
})
