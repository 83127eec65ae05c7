/**
 * A packed workspace on disk before it is sent: whoever reads it slowly holds a file, and no connection to the database.
 */
import { createReadStream, createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { MOST_PACKING } from '../http/limits'
import { packWorkspace } from './packWorkspace'

let packing = 0

/** Null: as many are being packed as may be. The file goes when it was read, or when nobody reads it any more. */
export async function packToFile(url: string, created: Date): Promise<Readable | null> {
  if (packing >= MOST_PACKING) return null
  packing++
  const folder = await mkdtemp(join(tmpdir(), 'vulcanum-pack-'))
  const clear = () => rm(folder, { recursive: true, force: true })
  try {
    const file = join(folder, 'bench.zip')
    await pipeline(packWorkspace(url, created), createWriteStream(file, { mode: 0o600 }))
    const stream = createReadStream(file)
    // Opened, it can be read to its end though it has no name any more.
    stream.once('open', () => void clear())
    stream.once('close', () => void clear())
    return stream
  } catch (error) {
    await clear()
    throw error
  } finally {
    packing--
  }
}
