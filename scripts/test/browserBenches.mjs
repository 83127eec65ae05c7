/** Servers of the built application for the browser tests, each on a database of its own with the demonstration. */
import { ensureDatabase, prepareDatabase } from '../lib/databases.mjs'
import { anyFreePort } from '../lib/ports.mjs'
import { say, step } from '../lib/say.mjs'
import { startServer } from '../lib/server.mjs'

/** @returns `benches`: address and database of each; `stop` ends their servers */
export async function makeBrowserBenches(cluster, count) {
  const names = Array.from({ length: count }, (_, index) => `e2e_${index + 1}`)
  await step('Preparing the demonstration', () => makeDatabases(cluster, names))
  const servers = []
  const stop = () => Promise.all(servers.map((server) => server.stop()))
  for (const name of names) {
    const onExit = (code) => say(`The test server of ${name} ended (${code}).`)
    servers.push(await startServer({ port: await anyFreePort(), databaseUrl: cluster.url(name), onExit }))
  }
  const benches = names.map((name, index) => ({ url: servers[index].url, databaseUrl: cluster.url(name) }))
  return { benches, stop }
}

/** The first is filled, the others are copies of it, made while nobody is connected to it. */
async function makeDatabases(cluster, [first, ...others]) {
  const admin = cluster.url('postgres')
  await ensureDatabase(admin, first)
  await prepareDatabase(cluster.url(first), { empty: false })
  for (const name of others) await ensureDatabase(admin, name, first)
}
