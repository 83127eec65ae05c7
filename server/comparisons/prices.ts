/** What fuels cost, for answers in money. */
import type { ComparedFacts } from '../../core/compare/facts'
import type { GramPrices } from '../../core/compare/measured'
import type { AskedView } from '../../shared/comparison'
import type { PriceLine } from '../../shared/kitRecords'
import type { Connection } from '../database/connection'
import { newestPrices } from '../kit/repository/prices'
import { batchesOf } from './repository/besides'

export interface Prices extends Pick<AskedView, 'currency' | 'unpriced'> {
  perGram: GramPrices
}
export const NO_PRICES: Prices = { currency: null, unpriced: [], perGram: new Map() }

/** Of the batches that runs burned; one without a price has that of another batch of its fuel. */
export async function pricesOf(db: Connection, facts: Iterable<readonly ComparedFacts[]>): Promise<Prices> {
  const burned = new Set([...facts].flatMap((lot) => lot.flatMap(({ batchId }) => batchId ?? [])))
  const newest = await newestPrices(db)
  const batches = await batchesOf(db)
  const currency = commonest([...newest.values()].map((one) => one.currency))
  const perGram = new Map<string, number>()
  const unpriced: Prices['unpriced'] = []
  for (const id of burned) {
    const of = batches.get(id)
    const alike = [id, ...[...batches].flatMap(([other, one]) => (one.fuelId === of?.fuelId ? [other] : []))]
    const price = alike.map((one) => newest.get(one)).find((one) => one !== undefined && isOf(one, currency))
    if (price === undefined) unpriced.push({ batchId: id, name: of?.name ?? '' })
    else perGram.set(id, price.amount / (price.forKg! * 1000))
  }
  return { currency, unpriced, perGram }
}

const isOf = (price: PriceLine, currency: string | null): boolean =>
  price.currency === currency && price.forKg !== null && price.forKg > 0

function commonest(currencies: readonly string[]): string | null {
  const count = (one: string) => currencies.filter((other) => other === one).length
  return [...new Set(currencies)].sort((a, b) => count(b) - count(a))[0] ?? null
}
