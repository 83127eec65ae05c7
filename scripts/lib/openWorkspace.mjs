/**
 * The database that a command works at: the one that is being served, else the one that its flags name; the cluster is
 * started where it does not run.
 */
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { startCluster } from './cluster.mjs'
import { clusterFolder } from './clusterFolder.mjs'
import { holderOf } from './lock.mjs'
import { dataFolder, makeDataFolder } from './paths.mjs'
import { requirePrograms } from './postgresPrograms.mjs'
import { commandLine } from './processes.mjs'
import { unprivilegedUser } from './unprivileged.mjs'

/** @returns programs, url, adminUrl, whether it is the tester's own, the living start (or null), and close() */
export async function openWorkspace({ empty }) {
  makeDataFolder()
  const programs = await requirePrograms()
  const holder = holderOf()
  const own = holder?.empty ?? empty
  if (process.env.DATABASE_URL) {
    const url = process.env.DATABASE_URL
    return { programs, url, adminUrl: url, empty: own, holder, close: async () => undefined }
  }
  const user = unprivilegedUser()
  const folder = clusterFolder(user)
  const ran = isRunning(folder)
  const cluster = await startCluster({ programs, folder, stateFolder: dataFolder, user })
  return {
    programs,
    url: cluster.url(own ? 'vulcanum' : 'vulcanum_demo'),
    adminUrl: cluster.url('postgres'),
    empty: own,
    holder,
    close: async () => void (ran || (await cluster.stop())),
  }
}

function isRunning(folder) {
  const file = join(folder, 'postmaster.pid')
  return existsSync(file) && commandLine(Number(readFileSync(file, 'utf8').split('\n')[0])).includes(folder)
}
