/** Where the bench's clock is anchored, boot by boot. */
import { eq } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { benchClock } from '../../database/schema'

/** The anchor of this boot; kept as `epochMs` where there is none. */
export async function keptAnchor(db: Connection, boot: string, epochMs: number): Promise<number> {
  await db.insert(benchClock).values({ bootId: boot, epochMs }).onConflictDoNothing()
  const [known] = await db.select().from(benchClock).where(eq(benchClock.bootId, boot))
  return known!.epochMs
}

export async function keepAnchor(db: Connection, boot: string, epochMs: number): Promise<void> {
  await db
    .insert(benchClock)
    .values({ bootId: boot, epochMs })
    .onConflictDoUpdate({ target: benchClock.bootId, set: { epochMs } })
}
