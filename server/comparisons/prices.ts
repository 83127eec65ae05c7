/** What fuels cost, for answers in money. */
import type { ComparedFacts } from '../../core/compare/facts'
import type { RunAnswer } from '../../core/formats/answer'
import { formatNumber } from '../../core/quantity/format'
import type { RunCost } from '../../shared/answers'
import type { GramPrices } from '../../core/compare/measured'
import type { AskedView } from '../../shared/comparison'
import type { PriceLine } from '../../shared/kitRecords'
import type { Connection } from '../database/connection'
import { newestPrices } from '../kit/repository/prices'
import { batchesOf } from './repository/besides'

type Money = Pick<AskedView, 'currency' | 'prices' | 'unpriced'>
export interface Prices extends Money {
  perGram: GramPrices
}
export const NOT_IN_MONEY: Money = { currency: null, prices: [], unpriced: [] }
export const NO_PRICES: Prices = { ...NOT_IN_MONEY, perGram: new Map() }

/** Of the batches that runs burned; one without a price has that of another batch of its fuel. */
export async function pricesOf(db: Connection, facts: Iterable<readonly ComparedFacts[]>): Promise<Prices> {
  const burned = new Set([...facts].flatMap((lot) => lot.flatMap(({ batchId }) => batchId ?? [])))
  const known = await knownPrices(db)
  const perGram = new Map<string, number>()
  const [prices, unpriced]: [Money['prices'], Money['unpriced']] = [[], []]
  for (const batchId of burned) {
    const { name, price } = known.of(batchId)
    if (price === null) unpriced.push({ batchId, name })
    else {
      perGram.set(batchId, perGramOf(price))
      prices.push({ batchId, name, words: paidWords(price) })
    }
  }
  return { currency: known.currency, prices, unpriced, perGram }
}

/** What a run cost by the newest price of its fuel, in words; its batch where no price is known of it. */
export async function runCost(
  db: Connection,
  { batchId, litres }: { batchId: string | null; litres: number | null },
  { gPerL, gPerLU }: Pick<RunAnswer, 'gPerL' | 'gPerLU'>,
): Promise<RunCost | null> {
  if (batchId === null || litres === null || gPerL === null) return null
  const { name, price } = (await knownPrices(db)).of(batchId)
  if (price === null) return { words: `no price is known of ${name}`, missing: batchId }
  const perGram = perGramOf(price)
  const [boil, u] = [gPerL * litres * perGram, gPerLU === null ? null : 2 * gPerLU * litres * perGram]
  const amount = u === null ? formatNumber(boil, 3) : `${formatNumber(boil, 3)} ± ${formatNumber(u, 3)}`
  const { currency } = price
  return {
    words: `${amount} ${currency} a boil, ${formatNumber(gPerL * perGram, 3)} ${currency}/L (${paidWords(price)})`,
    missing: null,
  }
}

interface KnownPrices {
  currency: string | null
  of: (batchId: string) => { name: string; price: PriceLine | null }
}
async function knownPrices(db: Connection): Promise<KnownPrices> {
  const newest = await newestPrices(db)
  const batches = await batchesOf(db)
  const currency = commonest([...newest.values()].map((one) => one.currency))
  return {
    currency,
    of: (batchId) => {
      const of = batches.get(batchId)
      const alike = [batchId, ...[...batches].flatMap(([other, one]) => (one.fuelId === of?.fuelId ? [other] : []))]
      const price = alike.map((one) => newest.get(one)).find((one) => one !== undefined && isOf(one, currency))
      return { name: of?.name ?? '', price: price ?? null }
    },
  }
}

const DAY = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: 'UTC' })
const perGramOf = ({ amount, forKg }: PriceLine): number => amount / (forKg! * 1000)
const paidWords = ({ amount, currency, forKg, fromDay }: PriceLine): string =>
  `${formatNumber(amount, 2)} ${currency} for ${formatNumber(forKg! * 1000, 0)}\u202fg since ${DAY.format(Date.parse(fromDay))}`

const isOf = (price: PriceLine, currency: string | null): boolean =>
  price.currency === currency && price.forKg !== null && price.forKg > 0

function commonest(currencies: readonly string[]): string | null {
  const count = (one: string) => currencies.filter((other) => other === one).length
  return [...new Set(currencies)].sort((a, b) => count(b) - count(a))[0] ?? null
}
