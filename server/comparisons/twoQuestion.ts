/** Two set-ups held against each other: what their runs show, run by run. */
import {
  asMeasured,
  lotIn,
  pairAnswer,
  pairLine,
  pairSentence,
  timeLine,
  togetherLine,
  usualUnit,
  type PairAnswer,
} from '../../core/compare/answerPair'
import { askedPairOf, candidatesOf, isPair, type PairCandidate } from '../../core/compare/candidates'
import type { ComparedFacts, ComparedMean } from '../../core/compare/facts'
import type { FoundQuestion } from '../../core/compare/found'
import { measuredBy, type NamedFacts } from '../../core/compare/lotSums'
import { litresOfBoil, measuredIn, type GramPrices } from '../../core/compare/measured'
import { armNamesOf, testWords } from '../../core/compare/words'
import type { AskedUnit } from '../../core/formats/comparison'
import { CALM_MS } from '../../core/reduce/uncertainInputs'
import { medianOf } from '../../core/statistics/arms'
import { priorScatter, type PriorScatter } from '../../core/statistics/scatter'
import { isUuid } from '../../shared/uuid'
import type { AskedView, ComparedLine, TwoAnswer } from '../../shared/comparison'
import type { Conventions } from '../../shared/runOptions'
import type { Connection } from '../database/connection'
import { repeatedMeans } from '../runs/repository/means'
import { armLine } from './armLine'
import { askedFacts } from './askedDocuments'
import { askedTest, isOfTest } from './askedTest'
import { atAskedWater, idsIn, unitOf, viewOf, type AskedQuery } from './askedView'
import { NO_PRICES, pricesOf, type Prices } from './prices'
import { conventionsOfMean } from './readAs'
import { runsBeside, versionsHeatedAlike } from './repository/besides'
import { comparedMeans } from './repository/comparisons'

/** @returns the answer, or why there is none, in words */
export async function twoQuestion(db: Connection, query: AskedQuery): Promise<TwoAnswer | string> {
  const means = await comparedMeans(db)
  const pair = await askedPair(db, query, means)
  if (pair === null) return NO_PAIR
  const [first, second] = pair.means.map(atAskedWater(query)) as [ComparedMean, ComparedMean]
  const candidate = { ...pair, means: [first, second] as const }
  const facts = await askedFacts(db, candidate.means, query)
  const out = new Set(idsIn(query.out))
  const prior = priorScatter(await repeatedMeans(db, [candidate.means[0].test.kind]))
  const unit = unitOf(query, usualUnit(candidate.kind))
  const prices = unit === 'money' ? await pricesOf(db, facts.values()) : NO_PRICES
  const from = typeof query.from === 'string' ? query.from : ''
  const counted = (key: string) =>
    (facts.get(key) ?? []).filter(({ id, startedAt }) => !out.has(id) && startedAt >= from)
  // What has no price is told in its own unit, and the price is asked for.
  const isPriced = prices.unpriced.length === 0
  const how = { prior, unit: isPriced ? unit : usualUnit(candidate.kind), prices: prices.perGram }
  const answer = pairAnswer(candidate, lotIn(how.unit, counted, how.prices), prior)
  if (answer === null) return NONE_LEFT
  return writtenDown(db, { candidate, answer, facts, out, how, query, counted, prices, all: means })
}
const NO_PAIR =
  'No runs answer this: one of the two was not burned so, or they do not differ. Choose from what your runs can answer, or burn each of them once by one method.'
const NONE_LEFT = 'One of the two has no run left that counts. Count one again, or burn one more.'
/** The pair that an address names; null: there is none. */
export async function askedPair(
  db: Connection,
  query: AskedQuery,
  means: readonly ComparedMean[],
): Promise<PairCandidate | null> {
  const test = askedTest(query)
  const { a, b } = query
  if (test === null || typeof a !== 'string' || typeof b !== 'string' || !isUuid(a) || !isUuid(b)) return null
  const alike = await versionsHeatedAlike(db, [a, b])
  const against = typeof query.against === 'string' ? query.against : test.fuel
  const first = means.filter((one) => alike.get(a)?.has(one.setupVersionId) && isOfTest(one, test, against))
  const second = means.filter((one) => alike.get(b)?.has(one.setupVersionId) && isOfTest(one, test))
  const keys = new Set([...first, ...second].map(({ key }) => key))
  const found = candidatesOf(
    means.filter(({ key }) => keys.has(key)),
    null,
  ).find(isPair)
  const pair = found ?? alikeRead(first, second)
  return pair !== null && query.as === 'alone' && pair.roles.length > 1 ? { ...pair, kind: 'together' } : pair
}

/** The means of the most runs that are read by one convention. */
function alikeRead(first: readonly ComparedMean[], second: readonly ComparedMean[]): PairCandidate | null {
  const pairs = first.flatMap((one) =>
    second.flatMap((other) => (one.conventions === other.conventions ? [[one, other] as const] : [])),
  )
  const best = pairs.sort((a, b) => b[0].n + b[1].n - a[0].n - a[1].n)[0]
  return best === undefined ? null : askedPairOf(...best)
}

/** How two lots of runs are held against each other. */
interface How {
  prior: PriorScatter
  unit: AskedUnit
  prices: GramPrices
}

interface Written {
  all: readonly ComparedMean[]
  candidate: PairCandidate
  answer: PairAnswer<NamedFacts>
  facts: ReadonlyMap<string, ComparedFacts[]>
  counted: (key: string) => ComparedFacts[]
  out: ReadonlySet<string>
  how: How
  query: AskedQuery
  prices: Prices
}

async function writtenDown(db: Connection, written: Written): Promise<TwoAnswer> {
  const { candidate, answer, facts, how, query, counted } = written
  const { arms, verdict, like, effect, means } = answer
  const isTogether = candidate.kind === 'together' || like.grade === 'together'
  const [first, second] = means
  const measuredAs = ({ facts: own }: NamedFacts) => measuredBy(own, query.quote === 'medians' ? medianOf : undefined)
  const all = means.map(({ key }) => facts.get(key) ?? [])
  return {
    ...viewSaid(written, await conventionsOfMean(db, first)),
    sentence: pairSentence({ ...candidate, means }),
    versions: [first.setupVersionId, second.setupVersionId],
    choices: choicesOf(written),
    isAlone: query.as === 'alone',
    mayBeAlone: candidate.roles.length > 1 && candidate.roles.includes('burner'),
    of: testWords(first.test),
    line: isTogether
      ? togetherLine(candidate, like)
      : pairLine(verdict, { kind: candidate.kind, arms, prior: how.prior }),
    timeLine: isTogether ? '' : timeLine({ ...candidate, means }, counted, how.prior),
    asMeasured: asMeasured(arms.map(measuredAs)),
    grade: like.grade,
    differences: like.differences,
    arms: [armLine(first, arms[0], how.unit), armLine(second, arms[1], how.unit)],
    effect: isTogether ? null : effect,
    withAll: isTogether || written.out.size === 0 ? null : withAll(written),
    withoutOne: isTogether ? null : withoutOne(answer),
    by: BY_WORDS[verdict.by](verdict.freedom ?? 0),
    runs: all
      .flatMap((lot, arm) => lot.flatMap((one) => runLine(one, { ...written, arm, test: means[arm]!.test })))
      .sort(byTime),
    notCounted: await notCounted(db, means, all),
  }
}

/** Set-ups that were burned as these were. */
function choicesOf({ answer: { means }, query, all: known }: Written): TwoAnswer['choices'] {
  const test = askedTest(query)!
  const like = known.filter((one) => means.some(({ fuelKind }) => isOfTest(one, test, fuelKind)))
  const best = new Map<string, ComparedMean>(means.map((one) => [one.seriesKey, one]))
  for (const one of like) if (!best.has(one.seriesKey)) best.set(one.seriesKey, one)
  const all = [...best.values()]
  const names = armNamesOf(all)
  return all
    .map(({ setupVersionId }, i) => ({ value: setupVersionId, label: names[i]! }))
    .sort((a, b) => a.label.localeCompare(b.label, 'en'))
}

const viewSaid = ({ query, how, prices: { perGram: _, ...money } }: Written, usual: Conventions): AskedView => ({
  view: viewOf(query, usual),
  unit: how.unit,
  ...money,
})

/** The ratio when all runs count that were left out by hand. */
const withAll = ({ candidate, facts, how }: Written): FoundQuestion['effect'] =>
  pairAnswer(
    candidate,
    lotIn(how.unit, (key) => facts.get(key) ?? [], how.prices),
    how.prior,
  )?.effect ?? null

const byTime = (a: { startedAt: string }, b: { startedAt: string }): number => b.startedAt.localeCompare(a.startedAt)
const freedomText = (freedom: number): string =>
  freedom < 100 ? `${freedom.toFixed(1)} degrees of freedom` : 'many degrees of freedom'
const BY_WORDS: Record<PairAnswer['verdict']['by'], (freedom: number) => string> = {
  welch: (freedom) => `Welch’s test on logarithms, ${freedomText(freedom)}.`,
  paired: (freedom) => `In pairs of one person, place and day, ${freedomText(freedom)}.`,
  pooled: (freedom) => `On logarithms, the usual scatter helping, ${freedomText(freedom)}.`,
  tooFew: () => 'Too few runs.',
}

function runLine(
  facts: ComparedFacts,
  { arm, test, out, how }: Pick<Written, 'out' | 'how'> & { arm: number; test: ComparedMean['test'] },
): ComparedLine[] {
  const one = measuredIn(how.unit, facts, how.prices)
  if (one === null) return []
  const litres = litresOfBoil(how.unit, test.volumeG)
  const wind = one.values.windMS
  return [
    {
      id: one.id,
      startedAt: one.startedAt,
      zone: one.zone,
      person: one.person,
      arm,
      boilG: one.gPerL * litres,
      u: one.u * litres,
      asMeasuredG: one.fuelG,
      isCounted: !out.has(one.id),
      note: typeof wind === 'number' && wind > CALM_MS ? `wind ${wind.toFixed(1)} m/s, from its own wind tests` : '',
    },
  ]
}

/** Least and most of the ratio when any one run is not counted: in pairs or not, it is that of the means. */
function withoutOne({ arms: [first, second] }: PairAnswer<NamedFacts>): [number, number] | null {
  if (first.sums.n < 2 || second.sums.n < 2) return null
  const meansLess = ({ facts, sums: { n, mean } }: NamedFacts) =>
    facts.map(({ gPerL }) => (n * mean - Math.log(gPerL)) / (n - 1))
  const ratios = [
    ...meansLess(first).map((mean) => Math.exp(second.sums.mean - mean)),
    ...meansLess(second).map((mean) => Math.exp(mean - first.sums.mean)),
  ]
  return [ratios.reduce((a, b) => Math.min(a, b)), ratios.reduce((a, b) => Math.max(a, b))]
}

/** Runs of the same set-ups and kind of test that no mean took in. */
async function notCounted(
  db: Connection,
  means: readonly ComparedMean[],
  facts: readonly (readonly ComparedFacts[])[],
): Promise<TwoAnswer['notCounted']> {
  const lots = await Promise.all(
    means.map(async ({ seriesKey, setupId, test }, arm) => {
      const taken = new Set(facts[arm]!.map(({ id }) => id))
      return (await runsBeside(db, { seriesKey, setupId, kind: test.kind }))
        .filter(({ id }) => !taken.has(id))
        .flatMap((one) => (one.why === null ? [] : [{ ...one, why: one.why, arm }]))
    }),
  )
  return lots.flat().sort(byTime)
}
