/** Prices of things and of batches of fuel. */
import { asc, desc, eq, isNotNull } from 'drizzle-orm'
import type { PriceLine } from '../../../shared/kitRecords'
import type { Connection } from '../../database/connection'
import { fuelBatch, price, thing } from '../../database/schema'

export type PriceOf = { thingId: string } | { fuelBatchId: string }
const isOf = (of: PriceOf) => ('thingId' in of ? eq(price.thingId, of.thingId) : eq(price.fuelBatchId, of.fuelBatchId))
const lineOf = ({ id, fromDay, amount, currency, forKg }: typeof price.$inferSelect): PriceLine => ({
  id,
  fromDay,
  amount,
  currency,
  forKg,
})

/** Newest first. */
export async function pricesOf(db: Connection, of: PriceOf): Promise<PriceLine[]> {
  const rows = await db.select().from(price).where(isOf(of)).orderBy(desc(price.fromDay), desc(price.createdAt))
  return rows.map(lineOf)
}

/** The newest of each batch. */
export async function newestPrices(db: Connection): Promise<Map<string, PriceLine>> {
  const rows = await db
    .select()
    .from(price)
    .where(isNotNull(price.fuelBatchId))
    .orderBy(asc(price.fromDay), asc(price.createdAt))
  return new Map(rows.map((row) => [row.fuelBatchId!, lineOf(row)]))
}

export async function isOwner(db: Connection, of: PriceOf): Promise<boolean> {
  const [owner] =
    'thingId' in of
      ? await db.select({ id: thing.id }).from(thing).where(eq(thing.id, of.thingId))
      : await db.select({ id: fuelBatch.id }).from(fuelBatch).where(eq(fuelBatch.id, of.fuelBatchId))
  return owner !== undefined
}

/** The same id again is one price. */
export async function insertPrice(db: Connection, row: typeof price.$inferInsert): Promise<void> {
  await db.insert(price).values(row).onConflictDoNothing()
}
