/** Devices of other machines: let in once by the code, known afterwards by a token of which only the hash is kept. */
import { randomBytes } from 'node:crypto'
import { and, desc, eq, isNotNull, isNull } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { PairedDevice } from '../../../shared/share'
import type { Connection } from '../../database/connection'
import { sha256 } from '../../database/hash'
import { device } from '../../database/schema'

export async function pairDevice(db: Connection, name: string): Promise<{ id: string; token: string }> {
  const token = randomBytes(32).toString('base64url')
  const id = uuidv7()
  await db.insert(device).values({ id, name, tokenHash: sha256(token) })
  return { id, token }
}

/** The device whose token this is, unless it was forgotten. */
export async function deviceOf(db: Connection, token: string): Promise<{ id: string; name: string } | null> {
  const [found] = await db
    .select({ id: device.id, name: device.name })
    .from(device)
    .where(and(eq(device.tokenHash, sha256(token)), isNull(device.revokedAt)))
  return found ?? null
}

/** Whether it may still hear. */
export async function isLetIn(db: Connection, id: string): Promise<boolean> {
  const [found] = await db
    .select({ id: device.id })
    .from(device)
    .where(and(eq(device.id, id), isNull(device.revokedAt)))
  return found !== undefined
}

export async function pairedDevices(db: Connection): Promise<PairedDevice[]> {
  const rows = await db
    .select({ id: device.id, name: device.name, createdAt: device.createdAt })
    .from(device)
    .where(and(isNotNull(device.tokenHash), isNull(device.revokedAt)))
    .orderBy(desc(device.createdAt))
  return rows.map(({ createdAt, ...row }) => ({ ...row, pairedAt: createdAt.toISOString() }))
}

/** Its token opens nothing more; its marks stay. */
export async function forgetDevice(db: Connection, id: string): Promise<void> {
  await db
    .update(device)
    .set({ revokedAt: new Date() })
    .where(and(eq(device.id, id), isNotNull(device.tokenHash)))
}
