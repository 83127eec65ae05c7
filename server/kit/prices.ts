/** Prices: from a day on; outside versions, since price is not heat. */
import type { PriceLine } from '../../shared/kitRecords'
import { readRecord } from '../../shared/record'
import { FUEL_PRICE_FIELDS, PRICE_FIELDS } from '../../shared/thing'
import type { Connection } from '../database/connection'
import { invalid, notFound, saved, type Outcome } from './outcome'
import { insertPrice, isOwner, pricesOf, type PriceOf } from './repository/prices'

/** Adds one; the same id again is one price. */
export async function addPrice(db: Connection, of: PriceOf, input: unknown): Promise<Outcome<PriceLine[]>> {
  const read = readRecord('thingId' in of ? PRICE_FIELDS : FUEL_PRICE_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { amount, currency, fromDay, forKg } = read.values
  if (!(await isOwner(db, of))) return notFound('thing')
  await insertPrice(db, {
    id: read.typed.id,
    ...of,
    fromDay: fromDay as string,
    amount: amount as number,
    currency: (currency as string).toUpperCase(),
    forKg: (forKg as number | undefined) ?? null,
  })
  return saved(await pricesOf(db, of))
}
