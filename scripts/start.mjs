/** `npm start`: everything from a bare checkout to the page, and everything stopped again by Ctrl-C. */
import { requireBuild } from './lib/build.mjs'
import { shareFolder } from './lib/builtApp.mjs'
import { clusterFolder } from './lib/clusterFolder.mjs'
import { ensureDatabase, prepareDatabase } from './lib/databases.mjs'
import { requireDependencies, requireNode } from './lib/dependencies.mjs'
import { keepCluster } from './lib/keepCluster.mjs'
import { keepServer } from './lib/keepServer.mjs'
import { addressOfHolder, announce, releaseLock, takeLock } from './lib/lock.mjs'
import { dataFolder as stateFolder, makeDataFolder } from './lib/paths.mjs'
import { freePortFrom, isClosedToBrowsers, isFree } from './lib/ports.mjs'
import { requirePrograms } from './lib/postgresPrograms.mjs'
import { runMain, say, step, Stop } from './lib/say.mjs'
import { unprivilegedUser } from './lib/unprivileged.mjs'

/** Instruments that keep a connection open send here, on loopback: docs/instruments.md. */
const INSTRUMENT_PORT = 7305

const HELP = `npm start                 the demonstration
npm start -- --empty      your own workspace
npm start -- --share      with either: devices on this network may be let in by a code, over HTTPS

Environment: PORT (3000, else the next free one) · DATABASE_URL (a PostgreSQL that exists already; the database it names is used) · HOST (loopback only)
`
const LOOPBACK = ['127.0.0.1', 'localhost', '::1', '[::1]']

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const unknown = args.filter((arg) => arg !== '--empty' && arg !== '--share')
  if (unknown.length > 0) throw new Stop(`${unknown.join(' ')} is not known.\n\n${HELP}`)
  const empty = args.includes('--empty')
  const shared = args.includes('--share')
  requireNode()
  const wantedPort = readSettings()
  makeDataFolder()
  if (!(await becomeTheOne(empty))) return
  const undo = []
  const stopAll = oneStop(undo)
  try {
    await bringUp({ empty, shared, wantedPort, undo, stopAll })
  } catch (error) {
    await stopAll()
    throw error
  }
}

function readSettings() {
  const host = process.env.HOST
  if (host && !LOOPBACK.includes(host))
    throw new Stop(`HOST=${host} is refused: without accounts Vulcanum serves this machine alone. Leave HOST out.`)
  const port = Number(process.env.PORT ?? 3000)
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Stop(`PORT=${process.env.PORT} is not a port from 1 to 65535.`)
  if (isClosedToBrowsers(port))
    throw new Stop(`PORT=${port} is refused: browsers open no page at that port. Name another, or leave PORT out.`)
  return port
}

/** True where this start goes ahead; false where another one serves already, whose address is printed. */
async function becomeTheOne(empty) {
  for (;;) {
    const { taken, holder } = takeLock({ empty })
    if (taken) return true
    if (holder.empty !== empty)
      throw new Stop(
        `Vulcanum is running already with ${holder.empty ? 'your own workspace' : 'the demonstration'}${holder.url ? ` at ${holder.url}` : ''}. Stop that first (Ctrl-C there).`,
      )
    if (!holder.url) say('Another start is under way; waiting for it.')
    const url = await addressOfHolder()
    if (url) {
      say(`Vulcanum is running already: ${url}`)
      return false
    }
  }
}

/** Stops what was started, last first, once; on signals too. */
function oneStop(undo) {
  let stopping = null
  const stopAll = () =>
    (stopping ??= (async () => {
      for (const stop of undo.reverse()) await stop()
      releaseLock()
    })())
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      if (!stopping) say('\nStopping.')
      void stopAll().then(() => process.exit(0))
    })
  }
  return stopAll
}

async function bringUp({ empty, shared, wantedPort, undo, stopAll }) {
  await requireDependencies()
  // Before the database: what prepares it is built too.
  await requireBuild()
  const { databaseUrl, dataFolder } = process.env.DATABASE_URL
    ? { databaseUrl: process.env.DATABASE_URL, dataFolder: '' }
    : await ownDatabase(empty, undo)
  await step(empty ? 'Preparing your database' : 'Preparing the demonstration', () =>
    prepareDatabase(databaseUrl, { empty }),
  )
  const port = await freePortFrom(wantedPort)
  if (port !== wantedPort) say(`  Port ${wantedPort} is taken: using ${port}.`)
  await serve({ port, databaseUrl, dataFolder, empty, share: shared ? await shareSettings() : null, undo, stopAll })
}

async function ownDatabase(empty, undo) {
  const programs = await requirePrograms()
  const user = unprivilegedUser()
  const folder = clusterFolder(user)
  const cluster = await keepCluster({ programs, folder, stateFolder, user })
  undo.push(cluster.stop)
  const name = empty ? 'vulcanum' : 'vulcanum_demo'
  await ensureDatabase(cluster.url('postgres'), name)
  return { databaseUrl: cluster.url(name), dataFolder: folder }
}

/** Where the network finds this machine, and the certificate it is shown there. */
async function shareSettings() {
  // Not before: it needs a package, and on a fresh machine this command installs them.
  const { networkAddresses, shareCertificate } = await import('./lib/share.mjs')
  const addresses = networkAddresses()
  if (addresses.length === 0)
    throw new Stop('--share: this machine is on no network. Connect it first, or leave --share out.')
  return {
    port: await freePortFrom(SHARE_PORT, '0.0.0.0'),
    addresses,
    ...(await shareCertificate(shareFolder(), addresses)),
  }
}
const SHARE_PORT = 3443

/** Serves, and serves again when the server is killed. */
async function serve({ port, databaseUrl, dataFolder, empty, share, undo, stopAll }) {
  const server = await keepServer(
    { port, databaseUrl, dataFolder, share, instrumentPort: await instrumentPort() },
    {
      onServing({ url, instance, pid }) {
        announce({ empty, url, instance, serverPid: pid })
        if (share)
          say(
            `\nShared on this network at ${share.addresses.map((address) => `https://${address}:${share.port}`).join(', ')}\nThe code that lets a device in stands at ${url}/share`,
          )
        say(`\nVulcanum is at ${url}${empty ? '' : '  (demonstration: all invented)'}\nCtrl-C stops it.`)
      },
      async onGivenUp() {
        await stopAll()
        process.exit(1)
      },
    },
  )
  undo.push(server.stop)
}

/** Another instance's port is left to it; what this one goes without is said. */
async function instrumentPort() {
  const wanted = Number(process.env.VULCANUM_INSTRUMENT_PORT ?? INSTRUMENT_PORT)
  if (!(wanted > 0) || (await isFree(wanted))) return wanted
  say(
    `  Port ${wanted}, where instruments keep a connection open, is taken: none can here, simulated ones and rehearsals with them. Stop what holds it, or name another: VULCANUM_INSTRUMENT_PORT=${wanted + 1} npm start`,
  )
  return 0
}

runMain(main)
