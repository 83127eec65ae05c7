/** Every act that was taken, with what it was answered. */
import { eq, sql } from 'drizzle-orm'
import type { BenchAck } from '../../../shared/benchAct'
import type { Connection } from '../../database/connection'
import { benchAct, device } from '../../database/schema'

/** The same id again is one device. */
export async function insertDevice(db: Connection, row: { id: string; name: string }): Promise<void> {
  await db.insert(device).values(row).onConflictDoNothing()
}

/** Two deliveries of one act wait for each other. */
export async function lockAct(tx: Connection, id: string): Promise<void> {
  await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${id}, 0))`)
}

export async function takenAct(db: Connection, id: string): Promise<{ bodyHash: string; ack: BenchAck } | null> {
  const [known] = await db
    .select({ bodyHash: benchAct.bodyHash, ack: benchAct.ack })
    .from(benchAct)
    .where(eq(benchAct.id, id))
  return known ?? null
}

export async function insertAct(tx: Connection, row: typeof benchAct.$inferInsert): Promise<void> {
  await tx.insert(benchAct).values(row)
}
