/** A database into a file, and out of it again, by PostgreSQL's own programs. */
import { chmodSync, existsSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { addHash, checkHash } from './backupHash.mjs'
import { ensureDatabase, prepareDatabase } from './databases.mjs'
import { at } from './paths.mjs'
import { run } from './processes.mjs'
import { Stop } from './say.mjs'

/** Where the password is not on the command line for others to read. */
function connection(url) {
  const { hostname, port, username, password, pathname } = new URL(url)
  return {
    args: ['-h', hostname, '-p', port || '5432', '-U', decodeURIComponent(username)],
    name: pathname.slice(1),
    env: { ...process.env, PGPASSWORD: decodeURIComponent(password) },
  }
}

/**
 * Writes a database whole, as it stands at one moment, while it is in use. What was not written to its end is not
 * there.
 */
export async function backUp({ programs, url, file }) {
  if (existsSync(file)) throw new Stop(`${file} is there already. Nothing was written; name another file.`)
  const { args, name, env } = connection(url)
  const part = `${file}.part`
  try {
    // Queued work belongs to this machine and this hour; figures are worked out from the facts.
    await run(join(programs, 'pg_dump'), [...args, '-Fc', '--no-owner', '--exclude-schema=pgboss', '-f', part, name], {
      env,
    })
    await contentsOf(programs, part)
    await addHash(part)
    chmodSync(part, 0o600)
    renameSync(part, file)
  } catch (error) {
    rmSync(part, { force: true })
    throw error instanceof Stop ? error : new Stop(`The back-up could not be written.\n${error.message}`)
  }
  return { bytes: statSync(file).size }
}

async function contentsOf(programs, file) {
  const list = await run(join(programs, 'pg_restore'), ['--list', file]).catch(() => '')
  if (!/TABLE DATA \S+ run /.test(list) || !/TABLE DATA \S+ (bench|workspace) /.test(list))
    throw new Stop(`${file} is not a back-up that Vulcanum wrote, or it broke off on the way. Nothing was changed.`)
}

/**
 * Puts a back-up in the place of a database. It is read into one of its own and brought to this version first; only
 * then do the two change
 * places, so that a back-up that cannot be read changes nothing. What stood before stays, under another name.
 * @param unchecked a file that carries no hash, as earlier versions wrote it, is taken all the same
 * @returns the name that what stood before has now; null: nothing stood there
 */
export async function restore({ programs, adminUrl, url, file, empty, unchecked = false }) {
  if (!existsSync(file)) throw new Stop(`There is no file ${file}.`)
  await checkHash(file, { unchecked })
  await contentsOf(programs, file)
  const { args, name, env } = connection(url)
  const fresh = `${name}_restoring`
  const admin = await connectTo(adminUrl)
  try {
    await admin.query(`drop database if exists ${admin.escapeIdentifier(fresh)} with (force)`)
    await ensureDatabase(adminUrl, fresh)
    const freshUrl = url.replace(/\/[^/]+$/, `/${fresh}`)
    try {
      await run(join(programs, 'pg_restore'), [...args, '--no-owner', '--exit-on-error', '-d', fresh, file], { env })
      await refuseNewer(freshUrl, file)
      await prepareDatabase(freshUrl, { empty })
    } catch (error) {
      await admin.query(`drop database if exists ${admin.escapeIdentifier(fresh)} with (force)`)
      throw error instanceof Stop
        ? error
        : new Stop(`${file} could not be restored. Nothing was changed.\n${error.message}`)
    }
    return await changePlaces(admin, name, fresh)
  } finally {
    await admin.end()
  }
}

async function connectTo(url) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  return client
}

/** A schema that this version does not know would be read wrongly. */
async function refuseNewer(url, file) {
  const client = await connectTo(url)
  try {
    const {
      rows: [{ n }],
    } = await client.query('select count(*)::int as n from drizzle.__drizzle_migrations')
    const known = JSON.parse(readFileSync(at('server', 'database', 'migrations', 'meta', '_journal.json'), 'utf8'))
      .entries.length
    if (n > known)
      throw new Stop(
        `${file} was written by a newer version of Vulcanum (${n} changes of the schema; this one knows ${known}). Nothing was changed; restore it with that version.`,
      )
  } finally {
    await client.end()
  }
}

/** Nobody may be connected to a database while it is renamed: those that are come again by themselves. */
async function changePlaces(admin, name, fresh) {
  const quoted = (one) => admin.escapeIdentifier(one)
  const { rowCount } = await admin.query('select 1 from pg_database where datname = $1', [name])
  if (rowCount === 0) {
    await admin.query(`alter database ${quoted(fresh)} rename to ${quoted(name)}`)
    return null
  }
  const before = `${name}_before_${new Date().toISOString().slice(0, 19).replace(/\D/g, '')}`
  await admin.query(`alter database ${quoted(name)} allow_connections false`)
  try {
    await admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = any($1)', [[name, fresh]])
    await renamed(admin, name, before)
    await renamed(admin, fresh, name)
  } finally {
    for (const one of [name, before])
      await admin.query(`alter database ${quoted(one)} allow_connections true`).catch(() => undefined)
  }
  return before
}

/** A session that was ended takes a moment to be gone. */
async function renamed(admin, from, to) {
  for (let tries = 0; ; tries++) {
    try {
      return await admin.query(`alter database ${admin.escapeIdentifier(from)} rename to ${admin.escapeIdentifier(to)}`)
    } catch (error) {
      if (error.code !== '55006' || tries >= 50) throw error
      await new Promise((done) => setTimeout(done, 100))
    }
  }
}
