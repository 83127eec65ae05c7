/** PostgreSQL's programs: found, or installed. */
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs'
import { delimiter, join } from 'node:path'
import { installPackages } from './apt.mjs'

const DEBIAN = '/usr/lib/postgresql'

/**
 * Folder of initdb and postgres: of the wanted major version, else the newest, else on PATH; null where there is none.
 */
export function findPrograms(major = null) {
  const complete = (folder) => existsSync(join(folder, 'postgres')) && existsSync(join(folder, 'initdb'))
  const versions = existsSync(DEBIAN)
    ? readdirSync(DEBIAN)
        .map(Number)
        .filter(Boolean)
        .sort((a, b) => b - a)
    : []
  const folders = versions
    .filter((version) => major === null || version === major)
    .map((version) => join(DEBIAN, String(version), 'bin'))
  if (major === null) folders.push(...(process.env.PATH ?? '').split(delimiter).filter(Boolean))
  return folders.find(complete) ?? null
}

/** Finds the programs, installing Debian's package first where there is none and it may. */
export async function requirePrograms() {
  const found = findPrograms()
  if (found) return found
  await installPackages('PostgreSQL', ['postgresql'], keepDebianFromStartingOne)
  const installed = findPrograms()
  if (!installed) throw new Error('PostgreSQL was installed, but its programs were not found under /usr/lib/postgresql')
  return installed
}

/** Else Debian makes a cluster of its own and starts it on 5432. */
function keepDebianFromStartingOne() {
  mkdirSync('/etc/postgresql-common', { recursive: true })
  writeFileSync('/etc/postgresql-common/createcluster.conf', 'create_main_cluster = false\n')
}
