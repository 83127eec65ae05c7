/**
 * A cluster, a database with the demonstration, and the built server, all of one's own and gone afterwards: for what
 * measures.
 */
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { requireBuild } from './build.mjs'
import { ensureDatabase, prepareDatabase } from './databases.mjs'
import { requireDependencies, requireNode } from './dependencies.mjs'
import { keepCluster } from './keepCluster.mjs'
import { makeDataFolder } from './paths.mjs'
import { anyFreePort } from './ports.mjs'
import { requirePrograms } from './postgresPrograms.mjs'
import { startServer } from './server.mjs'
import { unprivilegedUser } from './unprivileged.mjs'

/**
 * @returns programs, folder, url(database), make(database), pid(), stop(). It is kept as `npm start` keeps it: killed,
 * it comes again by itself.
 */
export async function ownCluster(name) {
  requireNode()
  makeDataFolder()
  await requireDependencies()
  await requireBuild()
  const folder = mkdtempSync(join(tmpdir(), `vulcanum-${name}-`))
  chmodSync(folder, 0o711)
  const programs = await requirePrograms()
  const place = { programs, folder: join(folder, 'cluster'), stateFolder: folder, user: unprivilegedUser() }
  const cluster = await keepCluster(place)
  return {
    programs,
    folder,
    url: (database) => cluster.url(database),
    async make(database) {
      await ensureDatabase(cluster.url('postgres'), database)
      await prepareDatabase(cluster.url(database), { empty: false })
      return cluster.url(database)
    },
    pid: cluster.pid,
    async stop() {
      await cluster.stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

/** @returns programs, folder, databaseUrl, server, instrumentPort, peakMB() of the server, stop() */
export async function ownBench(name) {
  const cluster = await ownCluster(name)
  const databaseUrl = await cluster.make(name)
  const instrumentPort = await anyFreePort()
  const server = await startServer({ port: await anyFreePort(), databaseUrl, output: 'inherit', instrumentPort })
  return {
    programs: cluster.programs,
    folder: cluster.folder,
    databaseUrl,
    server,
    instrumentPort,
    peakMB: () => peakMB(server.pid),
    async stop() {
      await server.stop()
      await cluster.stop()
    },
  }
}

/** The most memory that a process has held. */
export const peakMB = (pid) => Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024
