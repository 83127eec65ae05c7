/** Tables that a package brings, over one connection and in one transaction. */
import { sql } from 'drizzle-orm'
import pg from 'pg'
import { from as copyFrom } from 'pg-copy-streams'
import type { Connection } from '../../database/connection'
import { Broken } from '../broken'
import type { Resource } from '../descriptor'
import type { Zip } from '../zip'
import { readBack, type PackagedTable } from './tables'

/** Whatever of these a workspace holds, it is not empty. */
const FILLED = ['run', 'setup', 'thing', 'person', 'place', 'fuel', 'container', 'import']

export async function holdsAnything(db: Connection): Promise<boolean> {
  for (const name of FILLED) {
    const { rows } = await db.execute<{ n: number }>(sql.raw(`select count(*)::int as n from "${name}"`))
    if (rows[0]!.n > 0) return true
  }
  return false
}

/** In one transaction, which is undone where `work` throws; nobody fills the workspace meanwhile. */
export async function inOneGo<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url })
  client.on('error', () => undefined)
  await client.connect()
  try {
    await client.query('begin')
    await client.query('lock table run, setup, thing, person in share row exclusive mode')
    const done = await work(client)
    await client.query('commit')
    return done
  } catch (error) {
    await client.query('rollback').catch(() => undefined)
    throw error
  } finally {
    await client.end().catch(() => undefined)
  }
}

const countOf = async (client: pg.Client, from: string): Promise<number> =>
  (await client.query<{ n: number }>(`select count(*)::int as n from ${from}`)).rows[0]!.n

/** Changes of the schema that this database knows. */
export const schemaOf = (client: pg.Client): Promise<number> => countOf(client, 'drizzle.__drizzle_migrations')
export const runsIn = (client: pg.Client): Promise<number> => countOf(client, 'run')

/** Shipped methods stand in every workspace; a package brings its own of the same ids. */
export async function dropShippedMethods(client: pg.Client): Promise<void> {
  await client.query('delete from method_version')
  await client.query('delete from method')
}

interface Load {
  packaged: PackagedTable
  resource: Resource
  format: number
}
/** Through a table of texts, so that each cell is cast by its column, and a fault names its file. */
export async function loadTable(client: pg.Client, zip: Zip, { packaged, resource, format }: Load): Promise<void> {
  const { name, columns } = packaged
  const header = await zip.firstLine(resource.path)
  const known = new Map(columns.map((column) => [column.name, column]))
  const there = header.split(',')
  const strange = there.find((one) => !known.has(one))
  if (strange !== undefined)
    throw new Broken(`${resource.path}: column "${strange.slice(0, 40)}" is not known. Nothing was changed.`)
  const list = there.map((one) => `"${one}"`).join(', ')
  // Pictures come later, each as a file.
  const [more, blank] = name === 'photo' ? [', bytes, thumbnail', ", '', ''"] : ['', '']
  const cells = there.map((one) => readBack(known.get(one)!, format)).join(', ')
  try {
    await client.query(`create temp table incoming (${there.map((one) => `"${one}" text`).join(', ')}) on commit drop`)
    await zip.pour(resource, client.query(copyFrom('copy incoming from stdin with (format csv, header)')))
    await client.query(`insert into "${name}" (${list}${more}) select ${cells}${blank} from incoming`)
    await client.query('drop table incoming')
  } catch (error) {
    if (error instanceof Broken || !(error instanceof pg.DatabaseError)) throw error
    throw new Broken(`${resource.path}: ${error.message}. Nothing was changed; the package was altered or broke off.`)
  }
}

export const picturesWanted = async (client: pg.Client): Promise<{ id: string; type: string }[]> =>
  (await client.query<{ id: string; type: string }>('select id, type from photo')).rows

export async function keepPicture(
  client: pg.Client,
  id: string,
  { bytes, small }: { bytes: Buffer; small: boolean },
): Promise<void> {
  await client.query(`update photo set ${small ? 'thumbnail' : 'bytes'} = $2 where id = $1`, [id, bytes])
}
