/** One start at a time: who holds it, where it serves, and what to do when the holder is dead. */
import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from './paths.mjs'
import { identity, isSame, sleep } from './processes.mjs'
import { answers } from './server.mjs'

const lockFile = join(dataFolder, 'start.lock')

const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}

/**
 * Takes the lock, or returns the living holder. A dead holder's lock is moved aside first, so that two cannot both take
 * it.
 */
export function takeLock(about) {
  for (let tries = 0; tries < 20; tries++) {
    try {
      writeFileSync(lockFile, JSON.stringify({ ...identity(), ...about }), { flag: 'wx', mode: 0o600 })
      return { taken: true }
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
    }
    const holder = read(lockFile)
    if (holder && isSame(holder)) return { taken: false, holder }
    removeStale()
  }
  throw new Error(`The lock ${lockFile} could not be taken`)
}

function removeStale() {
  const aside = `${lockFile}.${process.pid}`
  try {
    renameSync(lockFile, aside)
    rmSync(aside, { force: true })
  } catch {
    // Another start removed it first.
  }
}

/** Writes down where this start serves, for the next one to say. */
export function announce(about) {
  const partial = `${lockFile}.new`
  writeFileSync(partial, JSON.stringify({ ...identity(), ...about }), { mode: 0o600 })
  renameSync(partial, lockFile)
}

export const releaseLock = () => rmSync(lockFile, { force: true })

/** The living start, with what it announced; null: there is none. */
export function holderOf() {
  const holder = existsSync(lockFile) ? read(lockFile) : null
  return holder && isSame(holder) ? holder : null
}

/** Waits until the living holder serves; its address, or null where it died on the way. */
export async function addressOfHolder(patienceMs = 15 * 60_000) {
  for (let waited = 0; waited < patienceMs; waited += 250) {
    const holder = existsSync(lockFile) ? read(lockFile) : null
    if (holder && !isSame(holder)) return null
    if (!holder && waited > 1000) return null
    if (holder?.url && (await answers(holder.url, holder.instance))) return holder.url
    await sleep(250)
  }
  return null
}
