/** What two lots of runs answer: a part that was changed, two fuels, two testers. */
import { fuelOfKind } from '../constants/fuels'
import { formatNumber } from '../quantity/format'
import type { Verdict } from '../statistics/compareArms'
import type { Compared, LikeWithLike } from '../statistics/likeWithLike'
import type { PriorScatter } from '../statistics/scatter'
import { lineOf } from '../statistics/verdictText'
import { partOf, type PairCandidate } from './candidates'
import type { ComparedFacts, ComparedMean } from './facts'
import type { FactsOf, FoundQuestion } from './found'
import { twoArms, type NamedFacts } from './twoArms'
import { armNamesOf, burnerName, listed, testAsked, testWords } from './words'

/** null: too few runs have what it takes. */
export function answerPair(candidate: PairCandidate, factsOf: FactsOf, prior: PriorScatter): FoundQuestion | null {
  const two = pairAnswer(candidate, factsOf, prior)
  if (two === null) return null
  const { verdict, like, effect, arms, means } = two
  const isTogether = candidate.kind === 'together' || like.grade === 'together'
  return {
    kind: isTogether ? 'together' : candidate.kind,
    sentence: pairSentence({ ...candidate, means }),
    line: isTogether ? togetherLine(candidate, like) : pairLine(verdict, { effect, kind: candidate.kind, arms, prior }),
    effect: isTogether ? null : effect,
    p: isTogether || candidate.kind === 'fuels' ? null : verdict.p,
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
const pairAsked = ([first, second]: PairCandidate['means']): Record<string, string> => ({
  a: first.setupVersionId,
  b: second.setupVersionId,
  ...testAsked(second),
  ...(first.fuelKind === second.fuelKind ? {} : { against: first.fuelKind }),
})

export interface PairAnswer {
  arms: readonly [NamedFacts, NamedFacts]
  means: PairCandidate['means']
  verdict: Verdict & { ratio: number; ci95: [number, number] }
  like: LikeWithLike
  effect: NonNullable<FoundQuestion['effect']>
}

/** Where nobody added anything, the thriftier is held against the other. */
export function pairAnswer(candidate: PairCandidate, factsOf: FactsOf, prior: PriorScatter): PairAnswer | null {
  const answer = heldAgainst(candidate, factsOf, prior)
  const isEven = candidate.kind === 'asUsed' || candidate.kind === 'fuels'
  if (answer === null || !isEven || answer.effect.ratio <= 1) return answer
  const [first, second] = candidate.means
  return heldAgainst({ ...candidate, means: [second, first] }, factsOf, prior)
}

function heldAgainst({ kind, means, roles }: PairCandidate, factsOf: FactsOf, prior: PriorScatter): PairAnswer | null {
  const names = armNamesOf(means)
  const [a, b] = means
  const arms: [NamedFacts, NamedFacts] = [
    { name: names[0]!, facts: factsOf(a.key) },
    { name: names[1]!, facts: factsOf(b.key) },
  ]
  const byHeat = kind === 'fuels' ? heatRatio(means) : 1
  if (byHeat === null || arms.some(({ facts }) => facts.length === 0)) return null
  const asked = kind === 'fuels' ? (['fuelBatch'] as const) : (roles as Compared[])
  const { verdict, like } = twoArms(arms, { asked, prior, asUsed: kind === 'asUsed' })
  const { ratio, ci95 } = verdict
  if (ratio === null || ci95 === null) return null
  const effect = { ratio: ratio * byHeat, low: ci95[0] * byHeat, high: ci95[1] * byHeat }
  return { arms, means, verdict: { ...verdict, ratio, ci95 }, like, effect }
}

interface PairSaid {
  effect: NonNullable<FoundQuestion['effect']>
  kind: PairCandidate['kind']
  arms: readonly NamedFacts[]
  prior: PriorScatter
}
/** @param isWhole with what a tester would quote */
export function pairLine(verdict: Verdict, { effect, kind, arms, prior }: PairSaid, isWhole = true): string {
  const fewest = Math.min(...arms.map(({ facts }) => facts.length))
  const ci95: [number, number] = [effect.low, effect.high]
  const says =
    kind === 'fuels' ? saysOf(ci95) : verdict.says === 'less' || verdict.says === 'more' ? verdict.says : 'none'
  const needed = kind === 'fuels' ? null : verdict.needed
  const said = lineOf({ ...verdict, ratio: effect.ratio, ci95, says, fewest, prior, needed })
  const named = (kind === 'asUsed' || kind === 'fuels') && says !== 'none' ? `${arms[1]!.name}: ${said}` : said
  return `${named}${kind === 'fuels' ? ' By the heat in them.' : ''}${isWhole ? ` ${asMeasured(arms)}` : ''}`.trim()
}

const saysOf = ([low, high]: [number, number]): 'less' | 'more' | 'none' =>
  high < 1 ? 'less' : low > 1 ? 'more' : 'none'

/** "As measured 7.9 g a boil against 11.2." The second first: it is what is asked for. */
export function asMeasured(arms: readonly Pick<NamedFacts, 'facts'>[]): string {
  const [first, second] = arms.map(({ facts }) => average(facts.flatMap(({ fuelG }) => fuelG ?? [])))
  return first == null || second == null
    ? ''
    : `As measured ${formatNumber(second, 1)}\u202fg a boil against ${formatNumber(first, 1)}.`
}
const average = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, one) => sum + one, 0) / values.length

/** Heat in a gram of the second's fuel over that of the first's; null: not known. */
function heatRatio([first, second]: PairCandidate['means']): number | null {
  const [a, b] = [first, second].map(({ fuelKind }) => fuelOfKind(fuelKind)?.lowerHeatingValue.value)
  return a === undefined || b === undefined ? null : b / a
}

export function pairSentence({ kind, roles, means: [first, second] }: PairCandidate): string {
  if (kind === 'fuels') return `${first.fuel} or ${second.fuel} in ${first.setup}: which takes less heat?`
  if (kind === 'asUsed') return `${burnerName(first)} or ${burnerName(second)}, as used: which takes less fuel?`
  const added = roles.flatMap((role) => partOf(second, role) ?? [])
  const what = added.length === 0 ? 'what was changed' : listed(added.map(({ name }) => name))
  return `Does ${what} save fuel on ${burnerName(second)}?`
}

/** What changed with the question, so that nobody can say which of them it was. */
export const togetherLine = ({ kind, roles }: PairCandidate, like: LikeWithLike): string =>
  kind === 'together' ? `Cannot say: the ${listed(roles)} changed together.` : changedLine(like)

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
    line: isTogether ? changedLine(like) : pairLine(verdict, { effect, kind: 'part', arms, prior }),
    effect: isTogether ? null : effect,
    p: isTogether ? null : verdict.p,
    of: testWords(mean!.test),
    runs: `${first.facts.length} and ${second.facts.length} runs`,
    grade: like.grade,
    isAssumed: verdict.isAssumed,
    testKind: mean!.test.kind,
    priorSd: prior.sd,
    means: [mean!.key],
    asks: { setup: mean!.setupId },
  }
}
