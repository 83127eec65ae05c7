/** A whole bench as one zip, as it stands at one moment: streamed, so that any size fits. The same bench gives the same bytes, but for the date. */
import { createHash } from 'node:crypto'
import { Readable, Transform } from 'node:stream'
import pg from 'pg'
import { to as copyTo } from 'pg-copy-streams'
import yazl from 'yazl'
import { csvPath, describe, DESCRIPTOR_PATH, type WrittenFile } from './descriptor'
import { PACKAGED, primaryKeyOf, written } from './tables'

/** Nobody made these files on a day: the day stands in the descriptor. */
const MTIME = new Date('2000-01-01T00:00:00Z')
const OPTIONS = { mtime: MTIME, mode: 0o100644, forceDosTimestamp: true }
const TYPES: Record<string, string> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' }
export const photoPath = ({ id, type }: { id: string; type: string }, small: boolean) =>
  `photos/${id}${small ? '.small' : ''}.${TYPES[type] ?? 'bin'}`

/** @param created the date that it is said to be of */
export function packBench(url: string, created: Date): Readable {
  const zip = new yazl.ZipFile()
  const out = zip.outputStream as Readable
  fill(zip, url, created).catch((error: unknown) => out.destroy(error as Error))
  return out
}

async function fill(zip: yazl.ZipFile, url: string, created: Date): Promise<void> {
  const client = new pg.Client({ connectionString: url })
  client.on('error', () => undefined)
  await client.connect()
  const gone = new Promise<never>((_, reject) =>
    zip.outputStream.once('close', () => reject(new Error('Nobody reads it any more.'))),
  )
  gone.catch(() => undefined)
  const files: WrittenFile[] = []
  const add = (path: string, open: () => Readable) =>
    Promise.race([
      gone,
      new Promise<void>((done, fail) => {
        zip.addReadStreamLazy(path, OPTIONS, (give) => {
          const measured = measure(path, (file) => files.push(file))
          open()
            .on('error', (error) => measured.destroy(error))
            .pipe(measured)
            .on('end', done)
            .on('error', fail)
          give(null, measured)
        })
      }),
    ])
  try {
    await client.query('begin isolation level repeatable read read only')
    const {
      rows: [known],
    } = await client.query<{ schema: number }>('select count(*)::int as schema from drizzle.__drizzle_migrations')
    for (const packaged of PACKAGED) {
      const { table, name, columns, where } = packaged
      const query = `select ${columns.map(written).join(', ')} from "${name}"${where ? ` where ${where}` : ''} order by ${primaryKeyOf(
        table,
      )
        .map((key) => `"${name}"."${key}"`)
        .join(', ')}`
      await add(csvPath(name), () => client.query(copyTo(`copy (${query}) to stdout with (format csv, header)`)))
    }
    const { rows: photos } = await client.query<{ id: string; type: string }>('select id, type from photo order by id')
    for (const photo of photos) {
      for (const small of [false, true]) {
        const {
          rows: [row],
        } = await client.query<{ bytes: Buffer }>(
          `select ${small ? 'thumbnail' : 'bytes'} as bytes from photo where id = $1`,
          [photo.id],
        )
        await add(photoPath(photo, small), () => Readable.from([row!.bytes]))
      }
    }
    zip.addBuffer(
      Buffer.from(
        `${JSON.stringify(describe(files, { created: created.toISOString(), schema: known!.schema }), null, 1)}\n`,
      ),
      DESCRIPTOR_PATH,
      OPTIONS,
    )
    zip.end()
  } finally {
    await client.end().catch(() => undefined)
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
