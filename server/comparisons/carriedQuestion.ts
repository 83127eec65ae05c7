/** What is carried for so many boils, of all fuels: stove, pot and whole containers; and what a boil costs. */
import { namedFacts } from '../../core/compare/lotSums'
import { carriedFor, crossingBoils, usualContainer, type ContainerSize } from '../../core/compare/carried'
import type { ComparedFacts, ComparedMean } from '../../core/compare/facts'
import { armNamesOf, listed } from '../../core/compare/words'
import { formatNumber } from '../../core/quantity/format'
import { litresFromMass } from '../../core/water/liquid'
import type { CarriedAnswer, CarriedRow } from '../../shared/answers'
import type { Connection } from '../database/connection'
import { listSetups } from '../kit/setups'
import { armLine } from './armLine'
import { askedFacts } from './askedDocuments'
import { meansAcross } from './acrossFuels'
import { askedTest } from './askedTest'
import { atAskedWater, type AskedQuery } from './askedView'
import { pricesOf } from './prices'
import { fullContainers } from './repository/besides'
import { comparedMeans } from './repository/comparisons'

const USUAL_BOILS = 20
const MOST_BOILS = 200
/** More stairs in one drawing are told apart by nobody. */
const MOST_ROWS = 6

/** @returns what is carried, or why it cannot be said, in words */
export async function carriedQuestion(db: Connection, query: AskedQuery): Promise<CarriedAnswer | string> {
  const test = askedTest(query)
  if (test === null) return NONE
  const means = meansAcross(await comparedMeans(db), test).map(atAskedWater(query))
  const [first] = means
  if (first === undefined) return NONE
  const asked = Number(query.boils)
  const boils = asked >= 1 ? Math.min(MOST_BOILS, Math.round(asked)) : USUAL_BOILS
  const { rows, notDrawn, currency } = await rowsOf(db, means, { boils, query })
  const lightest = [...rows].sort((a, b) => a.carriedG.at(-1)! - b.carriedG.at(-1)!)
  const drawn = drawnOf(lightest)
  return {
    sentence: `What is carried for ${boils} boils of ${formatNumber(first.test.volumeG, 0)}\u202fg?`,
    line: lineOf(lightest, boils),
    boils,
    litres: litresFromMass(first.test.volumeG / 1000),
    currency,
    rows: drawn,
    crossings: crossingBoils(drawn),
    notDrawn: [
      ...notDrawn,
      ...lightest
        .filter((one) => !drawn.includes(one))
        .map(({ name, setupId }) => ({ name, setupId, why: 'another of its fuel is lighter' })),
    ],
  }
}
const NONE = 'No set-up has a corrected figure for this. Burn one in calm, its fuel weighed.'

/** The lightest of each fuel, then the next ones. */
function drawnOf(lightest: readonly CarriedRow[]): CarriedRow[] {
  const firsts = lightest.filter((one) => lightest.find(({ fuel }) => fuel === one.fuel) === one)
  const taken = [...firsts, ...lightest.filter((one) => !firsts.includes(one))].slice(0, MOST_ROWS)
  return lightest.filter((one) => taken.includes(one))
}

interface Rows {
  rows: CarriedRow[]
  notDrawn: CarriedAnswer['notDrawn']
  currency: string | null
}
async function rowsOf(
  db: Connection,
  means: readonly ComparedMean[],
  { boils, query }: { boils: number; query: AskedQuery },
): Promise<Rows> {
  const facts = await askedFacts(db, means, query)
  const prices = await pricesOf(db, facts.values())
  const masses = new Map((await listSetups(db)).map(({ id, version: { massKg } }) => [id, massKg]))
  const sold = await fullContainers(db)
  const names = armNamesOf(means)
  const rows: CarriedRow[] = []
  const notDrawn: CarriedAnswer['notDrawn'] = []
  means.forEach((mean, i) => {
    const named = { name: names[i]!, setupId: mean.setupId }
    const own = facts.get(mean.key) ?? []
    const massKg = masses.get(mean.setupId)
    const container = containerOf(mean.fuelKind, sold, query)
    const why = whyNot(own, { massKg, container: container.size })
    if (why !== null) return void notDrawn.push({ ...named, why })
    const { boilG } = armLine(mean, namedFacts(named.name, own))
    const stoveG = massKg!.total * 1000
    rows.push({
      ...named,
      fuel: mean.fuel,
      fuelKind: mean.fuelKind,
      stoveG,
      boilG,
      ...container.size!,
      isAssumed: container.isAssumed,
      carriedG: carriedFor(boils, { stoveG, boilG, container: container.size! }),
      price: priceOf(own, boilG, prices.perGram),
      timeS: meanTime(own),
    })
  })
  return { rows, notDrawn, currency: prices.currency }
}

function whyNot(
  facts: readonly ComparedFacts[],
  { massKg, container }: { massKg: { unweighed: string[] } | undefined; container: ContainerSize | null },
): string | null {
  if (facts.length === 0) return 'no run counts'
  if (massKg === undefined || massKg.unweighed.length > 0)
    return `${listed(massKg?.unweighed ?? ['it'])} ${massKg?.unweighed.length === 1 ? 'is' : 'are'} not weighed`
  return container === null ? 'its fuel is found where it is burned' : null
}

/** "230,150": content and shell in grams, as the address has it; else as the kit's containers are; else as usual. */
function containerOf(
  fuelKind: string,
  sold: ReadonlyMap<string, ContainerSize>,
  query: AskedQuery,
): { size: ContainerSize | null; isAssumed: boolean } {
  const text = query[`can.${fuelKind}`]
  const [contentG, shellG] = typeof text === 'string' ? text.split(',').map(Number) : []
  if (contentG !== undefined && shellG !== undefined && contentG > 0 && shellG >= 0)
    return { size: { contentG, shellG }, isAssumed: false }
  const own = sold.get(fuelKind)
  return own === undefined ? { size: usualContainer(fuelKind), isAssumed: true } : { size: own, isAssumed: false }
}

const priceOf = (
  facts: readonly ComparedFacts[],
  boilG: number,
  perGram: ReadonlyMap<string, number>,
): number | null => {
  const price = facts.flatMap(({ batchId }) => (batchId === null ? [] : (perGram.get(batchId) ?? []))).at(-1)
  return price === undefined ? null : price * boilG
}

function meanTime(facts: readonly ComparedFacts[]): number | null {
  const times = facts.flatMap(({ timeS }) => timeS ?? [])
  return times.length === 0 ? null : times.reduce((sum, one) => sum + one, 0) / times.length
}

function lineOf([first, second]: readonly CarriedRow[], boils: number): string {
  if (first === undefined) return 'Nothing can be weighed up: no set-up is weighed part for part.'
  const grams = (row: CarriedRow) => `${formatNumber(row.carriedG.at(-1)!, 0)}\u202fg`
  if (second === undefined) return `${first.name}: ${grams(first)} for ${boils} boils.`
  const next = `before ${second.name} with ${grams(second)}`
  return `${first.name} is lightest for ${boils} boils: ${grams(first)}, ${next}. Fuel as the mean says, none to spare.`
}
