/** Servers of the built application for the browser tests, each on a database of its own with the demonstration. */
import { ensureDatabase, prepareDatabase } from '../lib/databases.mjs'
import { anyFreePort } from '../lib/ports.mjs'
import { say, step } from '../lib/say.mjs'
import { startServer } from '../lib/server.mjs'

/** A database with the demonstration that tests may copy. */
export const DEMONSTRATION = 'demonstration'

/**
 * @param onStarted given what ends each server, as soon as it runs
 * @returns address and database of each
 */
export async function makeBrowserBenches(cluster, count, onStarted) {
  const names = Array.from({ length: count }, (_, index) => `e2e_${index + 1}`)
  await step('Preparing the demonstration', () => makeDatabases(cluster, names))
  const benches = []
  for (const name of names) {
    const databaseUrl = cluster.url(name)
    const onExit = (code) => say(`The test server of ${name} ended (${code}).`)
    const { url, stop } = await startServer({ port: await anyFreePort(), databaseUrl, onExit })
    onStarted(stop)
    benches.push({ url, databaseUrl })
  }
  return benches
}

/** One is filled, and nobody ever connects to it; the others are copies. */
async function makeDatabases(cluster, names) {
  const admin = cluster.url('postgres')
  await ensureDatabase(admin, DEMONSTRATION)
  await prepareDatabase(cluster.url(DEMONSTRATION), { empty: false })
  for (const name of names) await ensureDatabase(admin, name, DEMONSTRATION)
}
