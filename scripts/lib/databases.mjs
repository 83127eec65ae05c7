/** Databases of a cluster: wait for them, make them, bring them up to date. */
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { isBuilt } from './build.mjs'
import { builtApp } from './builtApp.mjs'
import { run, sleep } from './processes.mjs'
import { Stop } from './say.mjs'

/** Waits until PostgreSQL answers; says what its log says when it died instead. */
export async function connectWhenReady(url, { isAlive, log, patienceMs = 60_000 }) {
  const { default: pg } = await import('pg')
  for (let waited = 0; waited < patienceMs; waited += 100) {
    const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 3000 })
    try {
      await client.connect()
      await client.end()
      return
    } catch (error) {
      await client.end().catch(() => undefined)
      if (error.code === '28P01')
        throw new Stop(
          'The database refuses our password: .data/secret is not the one the cluster was made with. Put the old file back, or move .data away to begin anew.',
        )
    }
    if (!isAlive()) throw new Stop(`PostgreSQL stopped while starting. Its log ends:\n${tail(log)}`)
    await sleep(100)
  }
  throw new Stop(`PostgreSQL did not answer within ${patienceMs / 1000} s. Its log ends:\n${tail(log)}`)
}

const tail = (file) => (existsSync(file) ? readFileSync(file, 'utf8').split('\n').slice(-12).join('\n') : '(no log)')

/** Makes a database where it is missing: empty, or as a copy of another that nobody is connected to. */
export async function ensureDatabase(adminUrl, name, template = 'template1') {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: adminUrl })
  await client.connect()
  try {
    const { rowCount } = await client.query('select 1 from pg_database where datname = $1', [name])
    const [made, from] = [name, template].map((one) => client.escapeIdentifier(one))
    if (rowCount === 0) await client.query(`create database ${made} template ${from}`)
  } finally {
    await client.end()
  }
}

/** Migrates a database and, unless it is the tester's own, loads the demonstration. */
export async function prepareDatabase(url, { empty }) {
  try {
    // A build of other sources may know another schema.
    const built = isBuilt() && builtApp()
    const program = built
      ? [join(built.folder, '.output', 'server', 'programs', 'prepareDatabase.mjs')]
      : ['--import', 'tsx', 'cli/prepareDatabase.ts']
    return await run(process.execPath, [...program, ...(empty ? ['--empty'] : [])], {
      ...(built ? { cwd: built.folder, ...built.as } : {}),
      env: { ...process.env, DATABASE_URL: url },
    })
  } catch (error) {
    throw new Stop(`The database could not be prepared.\n${error.message.split('\n').slice(1).join('\n')}`)
  }
}
