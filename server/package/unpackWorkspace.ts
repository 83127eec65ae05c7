/**
 * A packaged workspace into an empty one: all of it or nothing, each file held against its hash, every figure worked out
 * before it counts.
 */
import type pg from 'pg'
import { connectionOver, type Connection } from '../database/connection'
import { failureOf } from '../database/failure'
import { invalidAt, saved, type Outcome } from '../kit/outcome'
import { backfillRows } from '../runs/recompute'
import { showTags, taggedRuns } from '../runs/repository/manyRuns'
import { Broken } from './broken'
import { csvPath, DESCRIPTOR_PATH, FORMATS_READ, type Descriptor, type Resource } from './descriptor'
import { photoPath } from './packWorkspace'
import {
  dropShippedMethods,
  holdsAnything,
  inOneGo,
  keepPicture,
  loadTable,
  picturesWanted,
  runsIn,
  schemaOf,
} from './repository/incoming'
import { firstFault } from './repository/rowChecks'
import { PACKAGED } from './repository/tables'
import { openZip, type Zip } from './zip'

const DESCRIPTOR_MOST = 50_000_000

/** Why a package may not come in; null: it may. */
export const whyNotEmpty = async (db: Connection): Promise<string | null> =>
  (await holdsAnything(db))
    ? 'This workspace has something in it, and a whole workspace comes into an empty one alone. Start with npm start -- --empty where nothing is logged yet; nothing was changed.'
    : null

export async function unpackWorkspace(url: string, file: string): Promise<Outcome<{ runs: number }>> {
  let zip: Zip | null = null
  try {
    zip = await openZip(file)
    const descriptor = await readDescriptor(zip)
    const opened = zip
    return saved({ runs: await inOneGo(url, (client) => bringIn(client, opened, descriptor)) })
  } catch (error) {
    if (error instanceof Broken) return invalidAt('file', error.message)
    if (failureOf(error) !== null) throw error
    console.error('A package could not be read', error)
    return invalidAt(
      'file',
      'This package cannot be read to its end: it was altered, or broke off on the way. Nothing was changed; choose it again.',
    )
  } finally {
    zip?.close()
  }
}

/** @returns how many runs came */
async function bringIn(client: pg.Client, zip: Zip, descriptor: Descriptor): Promise<number> {
  const db = connectionOver(client)
  const full = await whyNotEmpty(db)
  if (full !== null) throw new Broken(full)
  if (descriptor.vulcanum.schema > (await schemaOf(client)))
    throw new Broken(
      'This package was written by a newer version of Vulcanum. Nothing was changed; bring it in with that version.',
    )
  await dropShippedMethods(client)
  await loadTables(client, zip, descriptor)
  await loadPhotos(client, zip, descriptor)
  await backfillRows(db)
  await showTags(db, await taggedRuns(db))
  return runsIn(client)
}

async function loadTables(client: pg.Client, zip: Zip, { resources, vulcanum }: Descriptor): Promise<void> {
  for (const packaged of PACKAGED) {
    const resource = resources.find((one) => one.path === csvPath(packaged.name))
    if (resource) await loadTable(client, zip, { packaged, resource, format: vulcanum.format })
    else if (vulcanum.schema >= packaged.since)
      throw new Broken(`${csvPath(packaged.name)} is missing from the package. Nothing was changed.`)
  }
  for (const packaged of PACKAGED) {
    const fault = await firstFault(client, packaged)
    if (fault !== null) throw new Broken(`${fault}. Nothing was changed; the package was altered.`)
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

const PICTURES = ['image/jpeg', 'image/png', 'image/webp']

async function loadPhotos(client: pg.Client, zip: Zip, { resources }: Descriptor): Promise<void> {
  for (const photo of await picturesWanted(client)) {
    if (!PICTURES.includes(photo.type))
      throw new Broken(`photo.csv: ${photo.type.slice(0, 40)} is no kind of picture. Nothing was changed.`)
    for (const small of [false, true]) {
      const path = photoPath(photo, small)
      const resource = resources.find((one) => one.path === path)
      if (!resource) throw new Broken(`${path} is missing from the package. Nothing was changed.`)
      await keepPicture(client, photo.id, { bytes: await zip.bytes(resource), small })
    }
  }
}
