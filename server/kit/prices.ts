/** Prices: from a day on; outside versions, since price is not heat. */
import { desc, eq } from 'drizzle-orm'
import type { PriceLine } from '../../shared/kitRecords'
import { readRecord } from '../../shared/record'
import { FUEL_PRICE_FIELDS, PRICE_FIELDS } from '../../shared/thing'
import type { Connection } from '../database/connection'
import { fuelBatch, price, thing } from '../database/schema'
import { invalid, notFound, saved, type Outcome } from './outcome'

type Of = { thingId: string } | { fuelBatchId: string }
const isOf = (of: Of) => ('thingId' in of ? eq(price.thingId, of.thingId) : eq(price.fuelBatchId, of.fuelBatchId))

/** Newest first. */
export async function pricesOf(db: Connection, of: Of): Promise<PriceLine[]> {
  const rows = await db.select().from(price).where(isOf(of)).orderBy(desc(price.fromDay), desc(price.createdAt))
  return rows.map(({ id, fromDay, amount, currency, forKg }) => ({ id, fromDay, amount, currency, forKg }))
}

/** Adds one; the same id again is one price. */
export async function addPrice(db: Connection, of: Of, input: unknown): Promise<Outcome<PriceLine[]>> {
  const read = readRecord('thingId' in of ? PRICE_FIELDS : FUEL_PRICE_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { amount, currency, fromDay, forKg } = read.values
  const [owner] =
    'thingId' in of
      ? await db.select({ id: thing.id }).from(thing).where(eq(thing.id, of.thingId))
      : await db.select({ id: fuelBatch.id }).from(fuelBatch).where(eq(fuelBatch.id, of.fuelBatchId))
  if (owner === undefined) return notFound('thing')
  await db
    .insert(price)
    .values({
      id: read.typed.id,
      ...of,
      fromDay: fromDay as string,
      amount: amount as number,
      currency: (currency as string).toUpperCase(),
      forKg: (forKg as number | undefined) ?? null,
    })
    .onConflictDoNothing()
  return saved(await pricesOf(db, of))
}
