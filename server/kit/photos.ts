/** Photos: taken in upright, without where they were taken, with a thumbnail; anything that is not one is refused. */
import { and, asc, eq, isNull } from 'drizzle-orm'
import sharp from 'sharp'
import { PHOTO } from '../../shared/limits'
import type { PhotoMeta, PhotoOwner } from '../../shared/photo'
import type { Connection } from '../database/connection'
import { sha256 } from '../database/hash'
import { person, photo, run, setup, thing } from '../database/schema'
import { invalidAt, notFound, saved, type Outcome } from './outcome'

type Of = { runId: string } | { thingId: string } | { setupId: string }
const isOf = (of: Of) =>
  'runId' in of
    ? eq(photo.runId, of.runId)
    : 'thingId' in of
      ? eq(photo.thingId, of.thingId)
      : eq(photo.setupId, of.setupId)
export const ownedBy = (owner: PhotoOwner, id: string): Of =>
  owner === 'run' ? { runId: id } : owner === 'thing' ? { thingId: id } : { setupId: id }

/** Without the pictures themselves; in the order of the run's clock, then as they came. */
export async function photosOf(db: Connection, of: Of): Promise<PhotoMeta[]> {
  const rows = await db
    .select({
      id: photo.id,
      width: photo.width,
      height: photo.height,
      caption: photo.caption,
      atMs: photo.atMs,
      person: person.name,
      createdAt: photo.createdAt,
    })
    .from(photo)
    .leftJoin(person, eq(person.id, photo.personId))
    .where(and(isOf(of), isNull(photo.removedAt)))
    .orderBy(asc(photo.atMs), asc(photo.createdAt))
  return rows.map(({ createdAt, ...row }) => ({ ...row, at: createdAt.toISOString() }))
}

const TYPES: Record<string, string> = { jpeg: 'image/jpeg', png: 'image/png', webp: 'image/webp' }
const NOT_ONE =
  'Photo: this is not a JPEG, PNG or WebP picture that can be read whole. Choose another file. Nothing was stored.'

interface Taken {
  type: string
  width: number
  height: number
  bytes: Buffer
  thumbnail: Buffer
}

/**
 * Decodes, turns upright by the camera's mark, and encodes anew: no place, no serial number, nothing but the picture
 * stays.
 */
async function take(bytes: Buffer): Promise<Taken | null> {
  try {
    const picture = sharp(bytes, { limitInputPixels: PHOTO.maxPixels, failOn: 'error' })
    const { format } = await picture.metadata()
    const type = TYPES[format]
    if (type === undefined) return null
    const upright = picture
      .rotate()
      .resize({ width: PHOTO.longestPx, height: PHOTO.longestPx, fit: 'inside', withoutEnlargement: true })
    const whole = await (
      format === 'jpeg'
        ? upright.jpeg({ quality: 88 })
        : format === 'png'
          ? upright.png()
          : upright.webp({ quality: 88 })
    ).toBuffer({ resolveWithObject: true })
    const thumbnail = await sharp(whole.data)
      .resize({ width: PHOTO.thumbnailPx, height: PHOTO.thumbnailPx, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 80 })
      .toBuffer()
    return { type, width: whole.info.width, height: whole.info.height, bytes: whole.data, thumbnail }
  } catch {
    return null
  }
}

export interface SentPhoto {
  id: string
  of: Of
  bytes: Buffer
  caption: string
  atMs: number | null
  personId: string | null
}

/** Stores a photo with the run, thing or set-up it is of; the same id again is one photo. */
export async function savePhoto(
  db: Connection,
  { id, of, bytes, caption, atMs, personId }: SentPhoto,
): Promise<Outcome<PhotoMeta[]>> {
  const [owner] =
    'runId' in of
      ? await db.select({ id: run.id }).from(run).where(eq(run.id, of.runId))
      : 'thingId' in of
        ? await db.select({ id: thing.id }).from(thing).where(eq(thing.id, of.thingId))
        : await db.select({ id: setup.id }).from(setup).where(eq(setup.id, of.setupId))
  if (owner === undefined) return notFound('run, thing or set-up')
  const taken = await take(bytes)
  if (taken === null) return invalidAt('', NOT_ONE)
  await db
    .insert(photo)
    .values({ id, ...of, ...taken, caption, atMs, personId, sentHash: sha256(bytes) })
    .onConflictDoNothing()
  return saved(await photosOf(db, of))
}

export async function readPhoto(
  db: Connection,
  id: string,
  thumbnail: boolean,
): Promise<{ type: string; bytes: Buffer } | null> {
  const [row] = await db
    .select({ type: photo.type, bytes: thumbnail ? photo.thumbnail : photo.bytes })
    .from(photo)
    .where(and(eq(photo.id, id), isNull(photo.removedAt)))
  return row === undefined ? null : { type: thumbnail ? 'image/jpeg' : row.type, bytes: row.bytes }
}

/** Takes a photo out of sight. */
export async function removePhoto(db: Connection, id: string): Promise<Outcome<null>> {
  const rows = await db
    .update(photo)
    .set({ removedAt: new Date() })
    .where(and(eq(photo.id, id), isNull(photo.removedAt)))
    .returning({ id: photo.id })
  return rows.length === 0 ? notFound('photo') : saved(null)
}
