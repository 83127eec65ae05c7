/** Photos: taken in upright, without where they were taken, with a thumbnail; anything that is not one is refused. */
import sharp from 'sharp'
import { PHOTO } from '../../shared/limits'
import type { PhotoMeta, PhotoOwner } from '../../shared/photo'
import type { Connection } from '../database/connection'
import { sha256 } from '../database/hash'
import { invalidAt, notFound, saved, type Outcome } from './outcome'
import { hasOwner, insertPhoto, photosOf, pictureOf, putOutOfSight, type PhotoOf } from './repository/photos'

export const ownedBy = (owner: PhotoOwner, id: string): PhotoOf =>
  owner === 'run' ? { runId: id } : owner === 'thing' ? { thingId: id } : { setupId: id }

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
  of: PhotoOf
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
  if (!(await hasOwner(db, of))) return notFound('run, thing or set-up')
  const taken = await take(bytes)
  if (taken === null) return invalidAt('', NOT_ONE)
  await insertPhoto(db, { id, ...of, ...taken, caption, atMs, personId, sentHash: sha256(bytes) })
  return saved(await photosOf(db, of))
}

export async function readPhoto(
  db: Connection,
  id: string,
  thumbnail: boolean,
): Promise<{ type: string; bytes: Buffer } | null> {
  const picture = await pictureOf(db, id, thumbnail)
  return picture === null || !thumbnail ? picture : { ...picture, type: 'image/jpeg' }
}

/** Takes a photo out of sight. */
export const removePhoto = async (db: Connection, id: string): Promise<Outcome<null>> =>
  (await putOutOfSight(db, id)) ? saved(null) : notFound('photo')
