/** The parts of a zip that a package needs, by path; each held against its hash. */
import { createHash } from 'node:crypto'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import pg from 'pg'
import yauzl from 'yauzl'
import { Broken } from './broken'
import type { Resource } from './descriptor'

const MOST_UNPACKED = 8_000_000_000
const MOST_OF_A_LINE = 10_000_000
const MOST_OF_A_PICTURE = 50_000_000

const cannotRead = () =>
  new Broken(
    'This file is no zip archive that can be read; it may have broken off on the way. Nothing was changed; choose it again.',
  )

export async function openZip(file: string): Promise<Zip> {
  const zip = await opened(file)
  const entries = await entriesOf(zip)
  if ([...entries.values()].reduce((sum, entry) => sum + entry.uncompressedSize, 0) > MOST_UNPACKED)
    throw new Broken(`This package unpacks to more than ${MOST_UNPACKED / 1e9} GB. Nothing was changed.`)
  return new Zip(zip, entries)
}

const opened = (file: string): Promise<yauzl.ZipFile> =>
  new Promise((resolve, reject) =>
    yauzl.open(file, { lazyEntries: true, autoClose: false }, (error, zip) =>
      error ? reject(cannotRead()) : resolve(zip),
    ),
  )

const entriesOf = (zip: yauzl.ZipFile): Promise<Map<string, yauzl.Entry>> =>
  new Promise((resolve, reject) => {
    const found = new Map<string, yauzl.Entry>()
    zip.on('entry', (entry: yauzl.Entry) => {
      found.set(entry.fileName, entry)
      zip.readEntry()
    })
    zip.on('end', () => resolve(found))
    zip.on('error', () => reject(cannotRead()))
    zip.readEntry()
  })

export class Zip {
  readonly #zip: yauzl.ZipFile
  readonly #entries: ReadonlyMap<string, yauzl.Entry>

  constructor(zip: yauzl.ZipFile, entries: ReadonlyMap<string, yauzl.Entry>) {
    this.#zip = zip
    this.#entries = entries
  }

  /** Null: it has no such file. */
  async text(path: string, most: number): Promise<string | null> {
    return this.#entries.has(path) ? (await this.#collect(path, most)).toString('utf8') : null
  }

  async firstLine(path: string): Promise<string> {
    const head = await this.#collect(path, MOST_OF_A_LINE, (text) => text.includes('\n'))
    return head.toString('utf8').split('\n')[0]!.trim()
  }

  async bytes(resource: Resource): Promise<Buffer> {
    const bytes = await this.#collect(resource.path, MOST_OF_A_PICTURE)
    if (`sha256:${createHash('sha256').update(bytes).digest('hex')}` !== resource.hash)
      throw new Broken(`${resource.path} is not as it was packed. Nothing was changed.`)
    return bytes
  }

  /** @throws what the database says of what was poured into it */
  async pour(resource: Resource, into: NodeJS.WritableStream): Promise<void> {
    const hash = createHash('sha256')
    const stream = await this.#open(resource.path)
    stream.on('data', (chunk: Buffer) => hash.update(chunk))
    await pipeline(stream, into).catch((error: unknown) => {
      throw error instanceof pg.DatabaseError ? error : cannotRead()
    })
    if (`sha256:${hash.digest('hex')}` !== resource.hash)
      throw new Broken(`${resource.path} is not as it was packed: it was altered, or broke off. Nothing was changed.`)
  }

  close(): void {
    this.#zip.close()
  }

  #open(path: string): Promise<Readable> {
    return new Promise((resolve, reject) => {
      const entry = this.#entries.get(path)
      if (!entry) return reject(new Broken(`${path} is missing from the package. Nothing was changed.`))
      this.#zip.openReadStream(entry, (error, stream) => (error ? reject(cannotRead()) : resolve(stream)))
    })
  }

  async #collect(path: string, most: number, until: (text: string) => boolean = () => false): Promise<Buffer> {
    const chunks: Buffer[] = []
    let bytes = 0
    for await (const chunk of (await this.#open(path)) as AsyncIterable<Buffer>) {
      chunks.push(chunk)
      bytes += chunk.length
      if (bytes > most) throw new Broken(`${path} is larger than it can be. Nothing was changed.`)
      if (until(chunk.toString('latin1'))) break
    }
    return Buffer.concat(chunks)
  }
}
