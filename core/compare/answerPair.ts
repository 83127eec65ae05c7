/** What two lots of runs answer: a part that was changed, two fuels, two testers. */
import type { AskedUnit } from '../formats/comparison'
import { formatClock, formatNumber } from '../quantity/format'
import { meanOf } from '../statistics/arms'
import type { Brief } from '../statistics/compareArms'
import type { Compared, LikeWithLike } from '../statistics/likeWithLike'
import type { PriorScatter } from '../statistics/scatter'
import { lineOf } from '../statistics/verdictText'
import { partOf, type PairCandidate } from './candidates'
import type { ComparedFacts, ComparedMean } from './facts'
import type { FactsOf, FoundQuestion } from './found'
import { measuredIn, type GramPrices } from './measured'
import { twoArms, type NamedFacts } from './twoArms'
import { armNamesOf, burnerName, listed, testAsked, testWords } from './words'

/** null: too few runs have what it takes. */
export function answerPair(candidate: PairCandidate, factsOf: FactsOf, prior: PriorScatter): FoundQuestion | null {
  const two = pairAnswer(candidate, factsOf, { prior })
  if (two === null) return null
  const { verdict, like, effect, arms, means } = two
  const isTogether = candidate.kind === 'together' || like.grade === 'together'
  return {
    kind: isTogether ? 'together' : candidate.kind,
    sentence: pairSentence({ ...candidate, means }),
    line: isTogether
      ? togetherLine(candidate, like)
      : `${pairLine(verdict, { kind: candidate.kind, arms, prior })} ${asMeasured(arms)}`.trim(),
    effect: isTogether ? null : effect,
    p: isTogether ? null : verdict.p,
    of: testWords(means[0].test),
    runs: `${arms[0].facts.length} and ${arms[1].facts.length} runs`,
    grade: like.grade,
    isAssumed: verdict.isAssumed,
    testKind: means[0].test.kind,
    priorSd: prior.sd,
    means: means.map(({ key }) => key),
    asks: pairAsked(means),
  }
}

/** How an address names two set-ups with one test of theirs. */
export const pairAsked = ([first, second]: PairCandidate['means']): Record<string, string> => ({
  a: first.setupVersionId,
  b: second.setupVersionId,
  ...testAsked(second),
  ...(first.fuelKind === second.fuelKind ? {} : { against: first.fuelKind }),
})

export interface PairAnswer {
  arms: readonly [NamedFacts, NamedFacts]
  means: PairCandidate['means']
  verdict: Brief & { ratio: number; ci95: [number, number] }
  like: LikeWithLike
  effect: NonNullable<FoundQuestion['effect']>
}

/** How two lots of runs are held against each other. */
export interface HowHeld {
  prior: PriorScatter
  /** Two fuels by their heat, all else by grams, where nobody asks for another. */
  unit?: AskedUnit
  prices?: GramPrices
}

/** Where nobody added anything, the thriftier is held against the other. */
export function pairAnswer(candidate: PairCandidate, factsOf: FactsOf, how: HowHeld): PairAnswer | null {
  const isEven = candidate.kind === 'asUsed' || candidate.kind === 'fuels'
  if (!isEven) return heldAgainst(candidate, factsOf, how)
  const [first, second] = candidate.means
  const unit = how.unit ?? usualUnit(candidate.kind)
  const [a, b] = [first, second].map(({ key }) => lnMean(lotIn(unit, factsOf(key), how.prices)))
  return heldAgainst(b! > a! ? { ...candidate, means: [second, first] } : candidate, factsOf, how)
}

const lnMean = (facts: readonly ComparedFacts[]): number => meanOf(facts.map(({ gPerL }) => Math.log(gPerL)))

/** In grams a lot is what it is. */
const lotIn = (unit: AskedUnit, facts: readonly ComparedFacts[], prices?: GramPrices): readonly ComparedFacts[] =>
  unit === 'g' ? facts : facts.flatMap((one) => measuredIn(unit, one, prices) ?? [])

export const usualUnit = (kind: PairCandidate['kind']): AskedUnit => (kind === 'fuels' ? 'MJ' : 'g')

function heldAgainst(
  { kind, means, roles }: PairCandidate,
  factsOf: FactsOf,
  { prior, unit = usualUnit(kind), prices }: HowHeld,
): PairAnswer | null {
  const names = armNamesOf(means)
  const armOf = (i: 0 | 1): NamedFacts => ({
    name: names[i]!,
    facts: lotIn(unit, factsOf(means[i].key), prices),
  })
  const arms = [armOf(0), armOf(1)] as const
  if (arms.some(({ facts }) => facts.length === 0)) return null
  const asked = [...(roles as Compared[]), ...(means[0].fuelKind === means[1].fuelKind ? [] : FUEL)]
  const { verdict, like } = twoArms(arms, { asked, prior, asUsed: kind === 'asUsed' })
  const { ratio, ci95 } = verdict
  if (ratio === null || ci95 === null) return null
  return {
    arms,
    means,
    verdict: { ...verdict, ratio, ci95 },
    like,
    effect: { ratio, low: ci95[0], high: ci95[1] },
  }
}
const FUEL = ['fuelBatch', 'fuelAgeDays'] as const

interface PairSaid {
  kind: PairCandidate['kind']
  arms: readonly NamedFacts[]
  prior: PriorScatter
}
export function pairLine(verdict: PairAnswer['verdict'], { kind, arms, prior }: PairSaid): string {
  const fewest = Math.min(...arms.map(({ facts }) => facts.length))
  const says = verdict.says === 'less' || verdict.says === 'more' ? verdict.says : 'none'
  const said = lineOf({ ...verdict, says, fewest, prior })
  const named = (kind === 'asUsed' || kind === 'fuels') && says !== 'none' ? `${arms[1]!.name}: ${said}` : said
  return `${named}${kind === 'fuels' ? ' By the heat in them.' : ''}`
}

/** "As measured 7.9 g and 2:58 a boil against 11.2 g and 4:12." The second first: it is what is asked for. */
export function asMeasured(arms: readonly Pick<NamedFacts, 'facts'>[], middle = meanOf): string {
  const of = (values: readonly number[]) => (values.length === 0 ? null : middle(values))
  const [first, second] = arms.map(({ facts }) => {
    const [fuelG, boilS] = [of(facts.flatMap((one) => one.fuelG ?? [])), of(facts.flatMap((one) => one.boilS ?? []))]
    if (fuelG === null) return null
    return `${formatNumber(fuelG, 1)}\u202fg${boilS === null ? '' : ` and ${formatClock(boilS)}`}`
  })
  return first == null || second == null ? '' : `As measured ${second} a boil against ${first}.`
}

/** "1:14 sooner; 1:02 to 1:26 fits."; '': no time is known, or none is shown to differ. */
export function timeLine(candidate: PairCandidate, factsOf: FactsOf, prior: PriorScatter): string {
  const answer = heldAgainst(candidate, factsOf, { prior, unit: 's' })
  if (answer === null || (answer.verdict.says !== 'less' && answer.verdict.says !== 'more')) return ''
  const { ratio, low, high } = answer.effect
  const meanS = Math.exp(meanOf(answer.arms[0].facts.map(({ gPerL }) => Math.log(gPerL))))
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
    .map(([name, facts]): NamedFacts => ({ name, facts }))
  if (first === undefined || second === undefined) return null
  const arms = [first, second] as const
  const { verdict, like } = twoArms(arms, { asked: ['observer'], prior })
  if (verdict.ratio === null || verdict.ci95 === null) return null
  const [low, high] = verdict.ci95
  const isTogether = like.grade === 'together'
  const effect = { ratio: verdict.ratio, low, high }
  return {
    kind: isTogether ? 'together' : 'people',
    sentence: `Do ${first.name} and ${second.name} read ${mean!.setup} alike?`,
    line: isTogether
      ? changedLine(like)
      : `${pairLine({ ...verdict, ratio: effect.ratio, ci95: verdict.ci95 }, { kind: 'asUsed', arms, prior })} ${asMeasured(arms)}`.trim(),
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
