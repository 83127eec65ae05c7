/**
 * A whole workspace as one zip, as it stands at one moment: streamed, so that any size fits. The same workspace gives the same
 * bytes, but for the date.
 */
import { createHash } from 'node:crypto'
import { Readable, Transform } from 'node:stream'
import pg from 'pg'
import { to as copyTo } from 'pg-copy-streams'
import yazl from 'yazl'
import { csvPath, describe, DESCRIPTOR_PATH, type WrittenFile } from './descriptor'
import { PACKAGED, primaryKeyOf, written } from './repository/tables'

/** Nobody made these files on a day: the day stands in the descriptor. */
const MTIME = new Date('2000-01-01T00:00:00Z')
const OPTIONS = { mtime: MTIME, mode: 0o100644, forceDosTimestamp: true }
const TYPES: Record<string, string> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' }
export const photoPath = ({ id, type }: { id: string; type: string }, small: boolean) =>
  `photos/${id}${small ? '.small' : ''}.${TYPES[type] ?? 'bin'}`

/** @param created the date that it is said to be of */
export function packWorkspace(url: string, created: Date): Readable {
  const zip = new yazl.ZipFile()
  const out = zip.outputStream as Readable
  fill(zip, url, created).catch((error: unknown) => out.destroy(error as Error))
  return out
}

type Add = (path: string, open: () => Readable) => Promise<void>

async function fill(zip: yazl.ZipFile, url: string, created: Date): Promise<void> {
  const files: WrittenFile[] = []
  const client = new pg.Client({ connectionString: url })
  client.on('error', () => undefined)
  await client.connect()
  let schema: number
  try {
    schema = await addAll(client, adding(zip, files))
  } finally {
    // Before the last bytes: once there is a package, nothing holds the database.
    await client.end().catch(() => undefined)
  }
  const descriptor = describe(files, { created: created.toISOString(), schema })
  zip.addBuffer(Buffer.from(`${JSON.stringify(descriptor, null, 1)}\n`), DESCRIPTOR_PATH, OPTIONS)
  zip.end()
}

/** One file after the other, each measured; rejects when nobody reads the package any more. */
function adding(zip: yazl.ZipFile, files: WrittenFile[]): Add {
  const gone = new Promise<never>((_, reject) =>
    zip.outputStream.once('close', () => reject(new Error('Nobody reads it any more.'))),
  )
  gone.catch(() => undefined)
  const add: Add = (path, open) =>
    new Promise((done, fail) => {
      zip.addReadStreamLazy(path, OPTIONS, (give) => {
        const measured = measure(path, (file) => files.push(file))
        const read = open().on('error', (error) => measured.destroy(error))
        give(null, read.pipe(measured).on('end', done).on('error', fail))
      })
    })
  return (path, open) => Promise.race([gone, add(path, open)])
}

/** Tables and photos as they stand at one moment. @returns the number of the schema */
async function addAll(client: pg.Client, add: Add): Promise<number> {
  await client.query('begin isolation level repeatable read read only')
  const { rows } = await client.query<{ schema: number }>(
    'select count(*)::int as schema from drizzle.__drizzle_migrations',
  )
  for (const { table, name, columns, where } of PACKAGED) {
    const key = primaryKeyOf(table).map((column) => `"${name}"."${column}"`)
    const picked = where ? ` where ${where}` : ''
    const query = `select ${columns.map(written).join(', ')} from "${name}"${picked} order by ${key.join(', ')}`
    await add(csvPath(name), () => client.query(copyTo(`copy (${query}) to stdout with (format csv, header)`)))
  }
  await addPhotos(client, add)
  return rows[0]!.schema
}

async function addPhotos(client: pg.Client, add: Add): Promise<void> {
  const { rows: photos } = await client.query<{ id: string; type: string }>('select id, type from photo order by id')
  for (const photo of photos) {
    for (const small of [false, true]) {
      const column = small ? 'thumbnail' : 'bytes'
      const read = await client.query<{ bytes: Buffer }>(`select ${column} as bytes from photo where id = $1`, [
        photo.id,
      ])
      await add(photoPath(photo, small), () => Readable.from([read.rows[0]!.bytes]))
    }
  }
}

/** Passes bytes on, counting and hashing them. */
function measure(path: string, tell: (file: WrittenFile) => void): Transform {
  const hash = createHash('sha256')
  let bytes = 0
  return new Transform({
    transform(chunk: Buffer, _, next) {
      hash.update(chunk)
      bytes += chunk.length
      next(null, chunk)
    },
    flush(next) {
      tell({ path, bytes, hash: `sha256:${hash.digest('hex')}` })
      next()
    },
  })
}
