/** What two lots of runs answer: a part that was changed, two fuels, two testers. */
import type { AskedUnit } from '../formats/comparison'
import { formatClock, formatNumber } from '../quantity/format'
import { brieflyOf, type Brief } from '../statistics/compareArms'
import { likeLots, type Compared, type LikeWithLike } from '../statistics/likeWithLike'
import type { PriorScatter } from '../statistics/scatter'
import { lineOf } from '../statistics/verdictText'
import { partOf, type PairCandidate } from './candidates'
import type { ComparedFacts, ComparedMean } from './facts'
import type { FactsOf, FoundQuestion, SumsOf } from './found'
import {
  comparedLot,
  lotSums,
  namedFacts,
  type AsMeasured,
  type LotSums,
  type NamedFacts,
  type NamedLot,
} from './lotSums'
import { measuredIn, type GramPrices } from './measured'
import { armNamesOf, burnerName, listed, testAsked, testWords } from './words'

/** null: too few runs have what it takes. */
export function answerPair(candidate: PairCandidate, sumsOf: SumsOf, prior: PriorScatter): FoundQuestion | null {
  const two = pairAnswer<NamedLot>(candidate, (key) => summedLot(sumsOf(key)), prior)
  if (two === null) return null
  const { verdict, like, effect, arms, means } = two
  const isTogether = candidate.kind === 'together' || like.grade === 'together'
  return {
    kind: isTogether ? 'together' : candidate.kind,
    sentence: pairSentence({ ...candidate, means }),
    line: isTogether
      ? togetherLine(candidate, like)
      : `${pairLine(verdict, { kind: candidate.kind, arms, prior })} ${asMeasured(arms.map(({ sums }) => sums.asMeasured))}`.trim(),
    effect: isTogether ? null : effect,
    p: isTogether ? null : verdict.p,
    of: testWords(means[0].test),
    runs: `${arms[0].sums.n} and ${arms[1].sums.n} runs`,
    grade: like.grade,
    isAssumed: verdict.isAssumed,
    testKind: means[0].test.kind,
    priorSd: prior.sd,
    means: means.map(({ key }) => key),
    asks: pairAsked(means),
  }
}

const summedLot = (sums: LotSums | null) => (sums === null ? { sums } : { sums })

/** How an address names two set-ups with one test of theirs. */
export const pairAsked = ([first, second]: PairCandidate['means']): Record<string, string> => ({
  a: first.setupVersionId,
  b: second.setupVersionId,
  ...testAsked(second),
  ...(first.fuelKind === second.fuelKind ? {} : { against: first.fuelKind }),
})

export interface PairAnswer<Lot extends NamedLot = NamedLot> {
  arms: readonly [Lot, Lot]
  means: PairCandidate['means']
  verdict: Brief & { ratio: number; ci95: [number, number] }
  like: LikeWithLike
  effect: NonNullable<FoundQuestion['effect']>
}

/** A lot, or what stands for one that has no run. */
type LotOf<Lot> = (key: string) => Omit<Lot, 'name'> | { sums: null }

/**
 * Where nobody added anything, the thriftier is held against the other.
 *
 * @param lotOf in the unit that is asked for @returns null: one of them has no run
 */
export function pairAnswer<Lot extends NamedLot>(
  candidate: PairCandidate,
  lotOf: LotOf<Lot>,
  prior: PriorScatter,
): PairAnswer<Lot> | null {
  const isEven = candidate.kind === 'asUsed' || candidate.kind === 'fuels'
  if (!isEven) return heldAgainst(candidate, lotOf, prior)
  const [first, second] = candidate.means
  const [a, b] = [first, second].map(({ key }) => lotOf(key).sums?.mean ?? NaN)
  return heldAgainst(b! > a! ? { ...candidate, means: [second, first] } : candidate, lotOf, prior)
}

/** Runs of a mean by a unit. */
export const lotIn =
  (unit: AskedUnit, factsOf: FactsOf, prices?: GramPrices): LotOf<NamedFacts> =>
  (key) => {
    // In grams a lot is what it is.
    const facts = unit === 'g' ? factsOf(key) : factsOf(key).flatMap((one) => measuredIn(unit, one, prices) ?? [])
    return facts.length === 0 ? { sums: null } : { facts, sums: lotSums(facts) }
  }

export const usualUnit = (kind: PairCandidate['kind']): AskedUnit => (kind === 'fuels' ? 'MJ' : 'g')

function heldAgainst<Lot extends NamedLot>(
  { kind, means, roles }: PairCandidate,
  lotOf: LotOf<Lot>,
  prior: PriorScatter,
): PairAnswer<Lot> | null {
  const names = armNamesOf(means)
  const [first, second] = means.map(({ key }, i) => ({ ...lotOf(key), name: names[i]! }))
  if (first!.sums === null || second!.sums === null) return null
  const arms = [first, second] as unknown as readonly [Lot, Lot]
  const asked = [...(roles as Compared[]), ...(means[0].fuelKind === means[1].fuelKind ? [] : FUEL)]
  const verdict = brieflyOf(arms, { prior })
  const { ratio, ci95 } = verdict
  if (ratio === null || ci95 === null) return null
  return {
    arms,
    means,
    verdict: { ...verdict, ratio, ci95 },
    like: likeLots(arms.map(comparedLot), asked, { asUsed: kind === 'asUsed' }),
    effect: { ratio, low: ci95[0], high: ci95[1] },
  }
}
const FUEL = ['fuelBatch', 'fuelAgeDays'] as const

interface PairSaid {
  kind: PairCandidate['kind']
  arms: readonly NamedLot[]
  prior: PriorScatter
}
export function pairLine(verdict: PairAnswer['verdict'], { kind, arms, prior }: PairSaid): string {
  const fewest = Math.min(...arms.map(({ sums }) => sums.n))
  const says = verdict.says === 'less' || verdict.says === 'more' ? verdict.says : 'none'
  const said = lineOf({ ...verdict, says, fewest, prior })
  const named = (kind === 'asUsed' || kind === 'fuels') && says !== 'none' ? `${arms[1]!.name}: ${said}` : said
  return `${named}${kind === 'fuels' ? ' By the heat in them.' : ''}`
}

/** "As measured 7.9 g and 2:58 a boil against 11.2 g and 4:12." The second first: it is what is asked for. */
export function asMeasured(arms: readonly AsMeasured[]): string {
  const [first, second] = arms.map(({ fuelG, boilS }) =>
    fuelG === null ? null : `${formatNumber(fuelG, 1)}\u202fg${boilS === null ? '' : ` and ${formatClock(boilS)}`}`,
  )
  return first == null || second == null ? '' : `As measured ${second} a boil against ${first}.`
}

/** "1:14 sooner; 1:02 to 1:26 fits."; '': no time is known, or none is shown to differ. */
export function timeLine(candidate: PairCandidate, factsOf: FactsOf, prior: PriorScatter): string {
  const answer = heldAgainst(candidate, lotIn('s', factsOf), prior)
  if (answer === null || (answer.verdict.says !== 'less' && answer.verdict.says !== 'more')) return ''
  const { ratio, low, high } = answer.effect
  const meanS = Math.exp(answer.arms[0].sums.mean)
  const [near, far] = [low, high].map((edge) => Math.abs(edge - 1) * meanS).sort((a, b) => a - b) as [number, number]
  const word = ratio < 1 ? 'sooner' : 'later'
  return `${formatClock(Math.abs(ratio - 1) * meanS)} ${word}; ${formatClock(near)} to ${formatClock(far)} fits.`
}

export function pairSentence({ kind, roles, means: [first, second] }: PairCandidate): string {
  if (kind === 'fuels') return `${first.fuel} or ${second.fuel} in ${first.setup}: which takes less heat?`
  if (kind === 'asUsed') {
    const isByBurner = roles.every((role) => role === 'burner' || role === 'stand')
    const [a, b] = isByBurner ? [burnerName(first), burnerName(second)] : armNamesOf([first, second])
    return `${a} or ${b}, as used: which takes less fuel?`
  }
  const added = roles.flatMap((role) => partOf(second, role) ?? [])
  const what = added.length === 0 ? 'what was changed' : listed(added.map(({ name }) => name))
  return `${added.length > 1 ? 'Do' : 'Does'} ${what} save fuel on ${burnerName(second)}?`
}

/** What changed with the question, so that nobody can say which of them it was. */
export const togetherLine = ({ kind, roles }: PairCandidate, like: LikeWithLike): string =>
  kind === 'together' && roles.length > 1 ? `Cannot say: the ${listed(roles)} changed together.` : changedLine(like)

const changedLine = ({ differences }: LikeWithLike): string =>
  differences
    .filter(({ grade }) => grade === 'together')
    .map(({ text }) => text)
    .join(' ')

/** Testers of one mean, the two who burned most of it. */
export function answerPeople(
  [mean]: readonly ComparedMean[],
  factsOf: FactsOf,
  prior: PriorScatter,
): FoundQuestion | null {
  const byPerson = new Map<string, ComparedFacts[]>()
  for (const one of factsOf(mean!.key))
    if (one.person !== null) byPerson.set(one.person, [...(byPerson.get(one.person) ?? []), one])
  const [first, second] = [...byPerson]
    .filter(([, facts]) => facts.length > 1)
    .sort(([a, x], [b, y]) => y.length - x.length || a.localeCompare(b, 'en'))
    .map(([name, facts]) => namedFacts(name, facts))
  if (first === undefined || second === undefined) return null
  const arms = [first, second] as const
  const verdict = brieflyOf(arms, { prior })
  const like = likeLots(arms.map(comparedLot), ['observer'])
  if (verdict.ratio === null || verdict.ci95 === null) return null
  const [low, high] = verdict.ci95
  const isTogether = like.grade === 'together'
  const effect = { ratio: verdict.ratio, low, high }
  return {
    kind: isTogether ? 'together' : 'people',
    sentence: `Do ${first.name} and ${second.name} read ${mean!.setup} alike?`,
    line: isTogether
      ? changedLine(like)
      : `${pairLine({ ...verdict, ratio: effect.ratio, ci95: verdict.ci95 }, { kind: 'asUsed', arms, prior })} ${asMeasured(arms.map(({ sums }) => sums.asMeasured))}`.trim(),
    effect: isTogether ? null : effect,
    p: isTogether ? null : verdict.p,
    of: `${testWords(mean!.test)}, ${mean!.fuel.toLowerCase()}`,
    runs: `${first.facts.length} and ${second.facts.length} runs`,
    grade: like.grade,
    isAssumed: verdict.isAssumed,
    testKind: mean!.test.kind,
    priorSd: prior.sd,
    means: [mean!.key],
    asks: { setup: mean!.setupId, ...testAsked(mean!) },
  }
}
