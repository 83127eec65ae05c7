/** A cluster, a database with the demonstration, and the built server, all of one's own and gone afterwards: for what measures. */
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { requireBuild } from './build.mjs'
import { startCluster } from './cluster.mjs'
import { ensureDatabase, prepareDatabase } from './databases.mjs'
import { requireDependencies, requireNode } from './dependencies.mjs'
import { makeDataFolder } from './paths.mjs'
import { anyFreePort } from './ports.mjs'
import { requirePrograms } from './postgresPrograms.mjs'
import { startServer } from './server.mjs'
import { unprivilegedUser } from './unprivileged.mjs'

/** @returns programs, folder, databaseUrl, server, instrumentPort, peakMB() of the server, stop() */
export async function ownBench(name) {
  requireNode()
  makeDataFolder()
  await requireDependencies()
  await requireBuild()
  const folder = mkdtempSync(join(tmpdir(), `vulcanum-${name}-`))
  chmodSync(folder, 0o711)
  const programs = await requirePrograms()
  const cluster = await startCluster({ programs, folder: join(folder, 'cluster'), stateFolder: folder, user: unprivilegedUser() })
  await ensureDatabase(cluster.url('postgres'), name)
  const databaseUrl = cluster.url(name)
  await prepareDatabase(databaseUrl, { empty: false })
  const instrumentPort = await anyFreePort()
  const server = await startServer({ port: await anyFreePort(), databaseUrl, output: 'inherit', instrumentPort })
  return {
    programs, folder, databaseUrl, server, instrumentPort, peakMB: () => Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))[1]) / 1024,
    async stop() {
      await server.stop()
      await cluster.stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
