/**
 * A packaged workspace into an empty one: all of it or nothing, each file held against its hash, every figure worked out
 * before it counts.
 */
import { createHash } from 'node:crypto'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/node-postgres'
import pg from 'pg'
import { from as copyFrom } from 'pg-copy-streams'
import yauzl from 'yauzl'
import type { Connection, Database } from '../database/connection'
import { failureOf } from '../database/failure'
import * as schema from '../database/schema'
import { invalidAt, saved, type Outcome } from '../kit/outcome'
import { backfillRows } from '../runs/recompute'
import { csvPath, DESCRIPTOR_PATH, FORMATS_READ, type Descriptor, type Resource } from './descriptor'
import { photoPath } from './packWorkspace'
import { firstFault } from './rowChecks'
import { PACKAGED, readBack, type PackagedTable } from './tables'

const MOST_UNPACKED = 8_000_000_000
const DESCRIPTOR_MOST = 50_000_000
/** Whatever of these a workspace holds, it is not empty. */
const FILLED = ['run', 'setup', 'thing', 'person', 'place', 'fuel', 'container', 'import']

class Broken extends Error {}

/** Whether a package may come in; null: it may. */
export async function whyNotEmpty(db: Connection): Promise<string | null> {
  for (const name of FILLED) {
    const { rows } = await db.execute<{ n: number }>(sql.raw(`select count(*)::int as n from "${name}"`))
    if (rows[0]!.n > 0)
      return 'This workspace has something in it, and a whole workspace comes into an empty one alone. Start with npm start -- --empty where nothing is logged yet; nothing was changed.'
  }
  return null
}

export async function unpackWorkspace(url: string, file: string): Promise<Outcome<{ runs: number }>> {
  let zip: Zip | null = null
  const client = new pg.Client({ connectionString: url })
  client.on('error', () => undefined)
  await client.connect()
  try {
    zip = await openZip(file)
    const descriptor = await readDescriptor(zip)
    await client.query('begin')
    await client.query('lock table run, setup, thing, person in share row exclusive mode')
    const db = drizzle(client, { schema }) as unknown as Database
    const full = await whyNotEmpty(db)
    if (full !== null) throw new Broken(full)
    const {
      rows: [known],
    } = await client.query<{ n: number }>('select count(*)::int as n from drizzle.__drizzle_migrations')
    if (descriptor.vulcanum.schema > known!.n)
      throw new Broken(
        'This package was written by a newer version of Vulcanum. Nothing was changed; bring it in with that version.',
      )
    // Shipped methods stand in every workspace; the package brings its own of the same ids.
    await client.query('delete from method_version')
    await client.query('delete from method')
    for (const packaged of PACKAGED) {
      const resource = descriptor.resources.find((one) => one.path === csvPath(packaged.name))
      if (resource) await load(client, zip, { packaged, resource, format: descriptor.vulcanum.format })
      else if (descriptor.vulcanum.schema >= packaged.since)
        throw new Broken(`${csvPath(packaged.name)} is missing from the package. Nothing was changed.`)
    }
    for (const packaged of PACKAGED) {
      const fault = await firstFault(client, packaged)
      if (fault !== null) throw new Broken(`${fault}. Nothing was changed; the package was altered.`)
    }
    await loadPhotos(client, zip, descriptor)
    await backfillRows(db)
    await client.query(
      "update run_summary w set tags = coalesce((select array_agg(t.name order by t.name) from run_tag t where t.run_id = w.run_id and t.removed_at is null), '{}')",
    )
    const {
      rows: [runs],
    } = await client.query<{ n: number }>('select count(*)::int as n from run')
    await client.query('commit')
    return saved({ runs: runs!.n })
  } catch (error) {
    await client.query('rollback').catch(() => undefined)
    if (error instanceof Broken) return invalidAt('file', error.message)
    if (failureOf(error) !== null) throw error
    console.error('A package could not be read', error)
    return invalidAt(
      'file',
      'This package cannot be read to its end: it was altered, or broke off on the way. Nothing was changed; choose it again.',
    )
  } finally {
    zip?.close()
    await client.end().catch(() => undefined)
  }
}

const isResource = (one: unknown): one is Resource =>
  typeof one === 'object' &&
  one !== null &&
  typeof (one as Resource).path === 'string' &&
  typeof (one as Resource).hash === 'string'

async function readDescriptor(zip: Zip): Promise<Descriptor> {
  const text = await zip.text(DESCRIPTOR_PATH, DESCRIPTOR_MOST)
  const no = () => new Broken('This is no workspace that Vulcanum packed. Nothing was changed; choose another file.')
  if (text === null) throw no()
  try {
    const read = JSON.parse(text) as Descriptor
    if (typeof read.vulcanum?.schema !== 'number' || !Array.isArray(read.resources)) throw no()
    if (!FORMATS_READ.includes(read.vulcanum.format))
      throw new Broken(
        `This package has format ${String(read.vulcanum.format).slice(0, 20)}, and this version reads ${FORMATS_READ.join(' and ')}. Nothing was changed.`,
      )
    if (!read.resources.every(isResource)) throw no()
    return read
  } catch (error) {
    throw error instanceof Broken ? error : no()
  }
}

/** Through a table of texts, so that each cell is cast by its column, and a fault names its file. */
interface Load {
  packaged: PackagedTable
  resource: Resource
  format: number
}
async function load(client: pg.Client, zip: Zip, { packaged, resource, format }: Load): Promise<void> {
  const { name, columns } = packaged
  const header = await zip.firstLine(resource.path)
  const known = new Map(columns.map((column) => [column.name, column]))
  const there = header.split(',')
  const strange = there.find((one) => !known.has(one))
  if (strange !== undefined)
    throw new Broken(`${resource.path}: column "${strange.slice(0, 40)}" is not known. Nothing was changed.`)
  const list = there.map((one) => `"${one}"`).join(', ')
  try {
    await client.query(`create temp table incoming (${there.map((one) => `"${one}" text`).join(', ')}) on commit drop`)
    await zip.pour(resource, client.query(copyFrom('copy incoming from stdin with (format csv, header)')))
    await client.query(
      `insert into "${name}" (${list}${name === 'photo' ? ', bytes, thumbnail' : ''}) select ${there.map((one) => readBack(known.get(one)!, format)).join(', ')}${name === 'photo' ? ", '', ''" : ''} from incoming`,
    )
    await client.query('drop table incoming')
  } catch (error) {
    if (error instanceof Broken || !(error instanceof pg.DatabaseError)) throw error
    throw new Broken(`${resource.path}: ${error.message}. Nothing was changed; the package was altered or broke off.`)
  }
}

async function loadPhotos(client: pg.Client, zip: Zip, { resources }: Descriptor): Promise<void> {
  const { rows } = await client.query<{ id: string; type: string }>('select id, type from photo')
  for (const photo of rows) {
    if (!['image/jpeg', 'image/png', 'image/webp'].includes(photo.type))
      throw new Broken(`photo.csv: ${photo.type.slice(0, 40)} is no kind of picture. Nothing was changed.`)
    for (const small of [false, true]) {
      const path = photoPath(photo, small)
      const resource = resources.find((one) => one.path === path)
      if (!resource) throw new Broken(`${path} is missing from the package. Nothing was changed.`)
      await client.query(`update photo set ${small ? 'thumbnail' : 'bytes'} = $2 where id = $1`, [
        photo.id,
        await zip.bytes(resource),
      ])
    }
  }
}

/** The parts of a zip that this needs, by path. */
interface Zip {
  text: (path: string, most: number) => Promise<string | null>
  firstLine: (path: string) => Promise<string>
  bytes: (resource: Resource) => Promise<Buffer>
  pour: (resource: Resource, into: NodeJS.WritableStream) => Promise<void>
  close: () => void
}

async function openZip(file: string): Promise<Zip> {
  const no = new Broken(
    'This file is no zip archive that can be read; it may have broken off on the way. Nothing was changed; choose it again.',
  )
  const zip = await new Promise<yauzl.ZipFile>((resolve, reject) =>
    yauzl.open(file, { lazyEntries: true, autoClose: false }, (error, opened) =>
      error ? reject(no) : resolve(opened),
    ),
  )
  const entries = await new Promise<Map<string, yauzl.Entry>>((resolve, reject) => {
    const found = new Map<string, yauzl.Entry>()
    zip.on('entry', (entry: yauzl.Entry) => {
      found.set(entry.fileName, entry)
      zip.readEntry()
    })
    zip.on('end', () => resolve(found))
    zip.on('error', () => reject(no))
    zip.readEntry()
  })
  if ([...entries.values()].reduce((sum, entry) => sum + entry.uncompressedSize, 0) > MOST_UNPACKED)
    throw new Broken(`This package unpacks to more than ${MOST_UNPACKED / 1e9} GB. Nothing was changed.`)
  const open = (path: string) =>
    new Promise<Readable>((resolve, reject) => {
      const entry = entries.get(path)
      if (!entry) return reject(new Broken(`${path} is missing from the package. Nothing was changed.`))
      zip.openReadStream(entry, (error, stream) => (error ? reject(no) : resolve(stream)))
    })
  const pour: Zip['pour'] = async (resource, into) => {
    const hash = createHash('sha256')
    const stream = await open(resource.path)
    stream.on('data', (chunk: Buffer) => hash.update(chunk))
    await pipeline(stream, into).catch((error: unknown) => {
      throw error instanceof pg.DatabaseError ? error : no
    })
    if (`sha256:${hash.digest('hex')}` !== resource.hash)
      throw new Broken(`${resource.path} is not as it was packed: it was altered, or broke off. Nothing was changed.`)
  }
  const collect = async (path: string, most: number, until: (text: string) => boolean = () => false) => {
    const chunks: Buffer[] = []
    let bytes = 0
    for await (const chunk of (await open(path)) as AsyncIterable<Buffer>) {
      chunks.push(chunk)
      bytes += chunk.length
      if (bytes > most) throw new Broken(`${path} is larger than it can be. Nothing was changed.`)
      if (until(chunk.toString('latin1'))) break
    }
    return Buffer.concat(chunks)
  }
  return {
    text: async (path, most) => (entries.has(path) ? (await collect(path, most)).toString('utf8') : null),
    firstLine: async (path) =>
      (await collect(path, 10_000_000, (text) => text.includes('\n'))).toString('utf8').split('\n')[0]!.trim(),
    bytes: async (resource) => {
      const bytes = await collect(resource.path, 50_000_000)
      if (`sha256:${createHash('sha256').update(bytes).digest('hex')}` !== resource.hash)
        throw new Broken(`${resource.path} is not as it was packed. Nothing was changed.`)
      return bytes
    },
    pour,
    close: () => zip.close(),
  }
}
