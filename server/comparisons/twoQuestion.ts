/** Two set-ups held against each other: what their runs show, run by run. */
import {
  pairAnswer,
  pairLine,
  asMeasured,
  pairSentence,
  togetherLine,
  type PairAnswer,
} from '../../core/compare/answerPair'
import { candidatesOf, isPair, type PairCandidate } from '../../core/compare/candidates'
import type { ComparedFacts, ComparedMean } from '../../core/compare/facts'
import { ratioOf } from '../../core/compare/twoArms'
import { testWords } from '../../core/compare/words'
import { CALM_MS } from '../../core/reduce/uncertainInputs'
import { priorScatter, type PriorScatter } from '../../core/statistics/scatter'
import { litresFromMass } from '../../core/water/liquid'
import { isUuid } from '../../shared/uuid'
import type { ComparedLine, TwoAnswer } from '../../shared/comparison'
import type { Connection } from '../database/connection'
import { repeatedMeans } from '../runs/repository/means'
import { armLine } from './armLine'
import { askedTest, isOfTest } from './askedTest'
import { runsBeside, versionsHeatedAlike } from './repository/besides'
import { comparedMeans, factsOfMeans } from './repository/comparisons'

/** @returns the answer, or why there is none, in words */
export async function twoQuestion(db: Connection, query: Record<string, unknown>): Promise<TwoAnswer | string> {
  const candidate = await askedPair(db, query)
  if (candidate === null) return NO_PAIR
  const facts = await factsOfMeans(
    db,
    candidate.means.map(({ key }) => key),
  )
  const out = new Set(typeof query.out === 'string' ? query.out.split(',') : [])
  const prior = priorScatter(await repeatedMeans(db, [candidate.means[0].test.kind]))
  const counted = (key: string) => (facts.get(key) ?? []).filter(({ id }) => !out.has(id))
  const answer = pairAnswer(candidate, counted, prior)
  return answer === null ? NONE_LEFT : writtenDown(db, { candidate, answer, facts, out, prior })
}
const NO_PAIR =
  'No runs answer this: one of the two was not burned so, or they differ in too much. Choose from what your runs can answer.'
const NONE_LEFT = 'One of the two has no run left that counts. Count one again, or burn one more.'

/** The pair that an address names; null: there is none. */
async function askedPair(db: Connection, query: Record<string, unknown>): Promise<PairCandidate | null> {
  const test = askedTest(query)
  const { a, b } = query
  if (test === null || typeof a !== 'string' || typeof b !== 'string' || !isUuid(a) || !isUuid(b)) return null
  const means = await comparedMeans(db)
  const alike = await versionsHeatedAlike(db, [a, b])
  const against = typeof query.against === 'string' ? query.against : test.fuel
  const first = means.filter((one) => alike.get(a)?.has(one.setupVersionId) && isOfTest(one, test, against))
  const second = means.filter((one) => alike.get(b)?.has(one.setupVersionId) && isOfTest(one, test))
  const keys = new Set([...first, ...second].map(({ key }) => key))
  const pairs = candidatesOf(
    means.filter(({ key }) => keys.has(key)),
    null,
  ).filter(isPair)
  return pairs[0] ?? null
}

interface Written {
  candidate: PairCandidate
  answer: PairAnswer
  facts: ReadonlyMap<string, ComparedFacts[]>
  out: ReadonlySet<string>
  prior: PriorScatter
}

async function writtenDown(db: Connection, { candidate, answer, facts, out, prior }: Written): Promise<TwoAnswer> {
  const { arms, verdict, like, effect, means } = answer
  const isTogether = candidate.kind === 'together' || like.grade === 'together'
  const [first, second] = means
  const all = means.map(({ key }) => facts.get(key) ?? [])
  return {
    sentence: pairSentence({ ...candidate, means }),
    of: testWords(first.test),
    line: isTogether
      ? togetherLine(candidate, like)
      : pairLine(verdict, { effect, kind: candidate.kind, arms, prior }, false),
    asMeasured: asMeasured(arms),
    grade: like.grade,
    differences: like.differences,
    arms: [armLine(first, arms[0]), armLine(second, arms[1])],
    effect: isTogether ? null : effect,
    withoutOne: isTogether ? null : withoutOne(answer, prior),
    by: BY_WORDS[verdict.by](verdict.freedom ?? 0),
    runs: all.flatMap((lot, arm) => lot.map((one) => runLine(one, { arm, test: means[arm]!.test, out }))).sort(byTime),
    notCounted: await notCounted(db, means, all),
  }
}

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
  one: ComparedFacts,
  { arm, test, out }: { arm: number; test: ComparedMean['test']; out: ReadonlySet<string> },
): ComparedLine {
  const litres = litresFromMass(test.volumeG / 1000)
  const wind = one.values.windMS
  return {
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
  }
}

/** Least and most of the ratio when any one run is not counted. */
function withoutOne({ arms }: PairAnswer, prior: PriorScatter): [number, number] | null {
  if (arms.some(({ facts }) => facts.length < 2)) return null
  const ratios = arms.flatMap((arm, i) =>
    arm.facts.flatMap(({ id }) => {
      const less = arms.map((one, k) => (k === i ? { ...one, facts: one.facts.filter((run) => run.id !== id) } : one))
      const ratio = ratioOf([less[0]!, less[1]!], prior)
      return ratio === null ? [] : [ratio]
    }),
  )
  return [Math.min(...ratios), Math.max(...ratios)]
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
