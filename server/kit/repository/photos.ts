/** Photos of runs, things and set-ups. */
import { and, asc, eq, isNull } from 'drizzle-orm'
import type { PhotoMeta } from '../../../shared/photo'
import type { Connection } from '../../database/connection'
import { person, photo, run, setup, thing } from '../../database/schema'

export type PhotoOf = { runId: string } | { thingId: string } | { setupId: string }

function isOf(of: PhotoOf) {
  if ('runId' in of) return eq(photo.runId, of.runId)
  return 'thingId' in of ? eq(photo.thingId, of.thingId) : eq(photo.setupId, of.setupId)
}

/** Without the pictures themselves; in the order of the run's clock, then as they came. */
export async function photosOf(db: Connection, of: PhotoOf): Promise<PhotoMeta[]> {
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

/** Whether what it is of is known here. */
export async function hasOwner(db: Connection, of: PhotoOf): Promise<boolean> {
  const [owner] =
    'runId' in of
      ? await db.select({ id: run.id }).from(run).where(eq(run.id, of.runId))
      : 'thingId' in of
        ? await db.select({ id: thing.id }).from(thing).where(eq(thing.id, of.thingId))
        : await db.select({ id: setup.id }).from(setup).where(eq(setup.id, of.setupId))
  return owner !== undefined
}

/** The same id again is one photo. */
export async function insertPhoto(db: Connection, row: typeof photo.$inferInsert): Promise<void> {
  await db.insert(photo).values(row).onConflictDoNothing()
}

/** One that is in sight. */
export async function pictureOf(
  db: Connection,
  id: string,
  thumbnail: boolean,
): Promise<{ type: string; bytes: Buffer } | null> {
  const [row] = await db
    .select({ type: photo.type, bytes: thumbnail ? photo.thumbnail : photo.bytes })
    .from(photo)
    .where(and(eq(photo.id, id), isNull(photo.removedAt)))
  return row ?? null
}

/** False: none of this id is in sight. */
export async function putOutOfSight(db: Connection, id: string): Promise<boolean> {
  const rows = await db
    .update(photo)
    .set({ removedAt: new Date() })
    .where(and(eq(photo.id, id), isNull(photo.removedAt)))
    .returning({ id: photo.id })
  return rows.length > 0
}
