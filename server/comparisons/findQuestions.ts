/** Finds the questions that the runs answer, and answers them: those anew that rest on a series that changed. */
import { setImmediate } from 'node:timers/promises'
import { answerFlame, answerRanking, answerVolumes, answerWind } from '../../core/compare/answerGroup'
import { answerPair, answerPeople } from '../../core/compare/answerPair'
import { candidatesOf, isPair, type Candidate } from '../../core/compare/candidates'
import type { ComparedFacts, ComparedMean } from '../../core/compare/facts'
import { ALIKE_VOLUME } from '../../core/reduce/setupMeans'
import type { FoundQuestion, SumsOf } from '../../core/compare/found'
import { inHeat, lotSums, MOST_TOLD, type LotSums } from '../../core/compare/lotSums'
import { groupedBy } from '../../core/compare/oneTest'
import { priorScatter, type PriorScatter } from '../../core/statistics/scatter'
import type { Connection, Database } from '../database/connection'
import { hashOf } from '../database/hash'
import { repeatedMeans } from '../runs/repository/means'
import { claimQuestion } from './claims'
import { refreshKept } from './kept'
import { claimRows } from './repository/claims'
import {
  changedSeries,
  comparedMeans,
  factsOfMeans,
  flamesOf,
  standingSeries,
  sumsOfMeans,
} from './repository/comparisons'
import { priorsUsed, replaceQuestions, type AnsweredQuestion } from './repository/foundQuestions'

/** Series that are taken at once: what rests on two of them is answered with both. */
const AT_ONCE = 2000
/** Questions between which others have their turn: some milliseconds. */
const ANSWERED_AT_ONCE = 50

/** Answers anew what rests on the series that changed. False: none had. */
async function findQuestions(db: Database): Promise<boolean> {
  const some = await changedSeries(db, AT_ONCE)
  if (some.length === 0) return false
  const means = await comparedMeans(db)
  const priors = await priorsOf(db, means)
  // How a burn scatters on this bench is in every answer of few runs.
  const changed = (await isHelpedOtherwise(db, priors)) ? await standingSeries(db) : some
  // What changes meanwhile counts its series up, and is answered once more.
  const found = await questionsAbout(db, new Set(changed.map(({ key }) => key)), { means, priors })
  await db.transaction((tx) => replaceQuestions(tx, changed, found))
  await refreshKept(db)
  return true
}

const isHelpedOtherwise = async (db: Connection, priors: Priors): Promise<boolean> =>
  (await priorsUsed(db)).some(({ kind, sd }) => priors.get(kind)?.sd !== sd)

/** Until none is left to answer. */
export async function findAllQuestions(db: Database): Promise<void> {
  while (await findQuestions(db));
}

async function questionsAbout(
  db: Connection,
  about: ReadonlySet<string>,
  { means, priors }: { means: readonly ComparedMean[]; priors: Priors },
): Promise<AnsweredQuestion[]> {
  const candidates = candidatesOf(means, about)
  return [
    ...(await answeredBySums(db, candidates.filter(isSummed), priors)),
    ...(await answeredByFacts(
      db,
      candidates.filter((one) => !isSummed(one)),
      priors,
    )),
    ...(await windsOf(db, means, about)),
    ...(await claimsOf(db, means, about)),
  ]
}

type Priors = ReadonlyMap<string, PriorScatter>

/** What takes no more of runs than their sums. */
const isSummed = ({ kind }: Candidate): boolean => kind !== 'flame' && kind !== 'people'

const keysOf = (candidates: readonly Candidate[]): string[] => [
  ...new Set(candidates.flatMap(({ means }) => means.map(({ key }) => key))),
]

async function answeredBySums(
  db: Connection,
  candidates: readonly Candidate[],
  priors: Priors,
): Promise<AnsweredQuestion[]> {
  const on = { sums: await sumsOfMeans(db, keysOf(candidates)), facts: NO_FACTS, priors }
  const found: AnsweredQuestion[] = []
  for (let from = 0; from < candidates.length; from += ANSWERED_AT_ONCE) {
    await setImmediate()
    found.push(...candidates.slice(from, from + ANSWERED_AT_ONCE).flatMap((one) => keptAnswer(one, on)))
  }
  return found
}

/** The runs of a series are read for all that is asked of them, and let go. */
async function answeredByFacts(
  db: Connection,
  candidates: readonly Candidate[],
  priors: Priors,
): Promise<AnsweredQuestion[]> {
  const found: AnsweredQuestion[] = []
  for (const some of groupedBy(candidates, ({ means }) => means[0]!.seriesKey)) {
    const on = { facts: await factsOfMeans(db, keysOf(some)), sums: NO_SUMS, priors }
    found.push(...some.flatMap((one) => keptAnswer(one, on)))
  }
  return found
}

const NO_FACTS: ReadonlyMap<string, ComparedFacts[]> = new Map()
const NO_SUMS: ReadonlyMap<string, LotSums> = new Map()

interface RestsOn {
  facts: ReadonlyMap<string, ComparedFacts[]>
  sums: ReadonlyMap<string, LotSums>
  priors: Priors
}
function keptAnswer(one: Candidate, on: RestsOn): AnsweredQuestion[] {
  const question = answerOf(one, on)
  if (question === null) return []
  const sums = question.means.map((key) => sumsIn(on, key))
  const isFew = sums.reduce((sum, lot) => sum + (lot?.n ?? 0), 0) <= MOST_TOLD
  return [keptOf(question, one.means, isFew ? sums.flatMap((lot) => lot?.ids ?? []) : [])]
}

const sumsIn = ({ facts, sums }: RestsOn, key: string): LotSums | null => {
  const read = facts.get(key)
  return sums.get(key) ?? (read === undefined || read.length === 0 ? null : lotSums(read))
}

/** How a burn scatters on this bench, by the kind of test. */
async function priorsOf(db: Connection, means: readonly ComparedMean[]): Promise<Map<string, PriorScatter>> {
  const priors = new Map<string, PriorScatter>()
  for (const kind of new Set(means.map(({ test }) => test.kind)))
    priors.set(kind, priorScatter(await repeatedMeans(db, [kind])))
  return priors
}

function answerOf(one: Candidate, on: RestsOn): FoundQuestion | null {
  const prior = on.priors.get(one.means[0]!.test.kind)!
  const factsOf = (key: string) => on.facts.get(key) ?? []
  const sumsOf = (key: string) => sumsIn(on, key)
  if (isPair(one)) return answerPair(one, one.kind === 'fuels' ? heatOf(sumsOf) : sumsOf, prior)
  if (one.kind === 'ranking') return answerRanking(one.means, sumsOf, prior)
  if (one.kind === 'flame') return answerFlame(one.means, factsOf)
  if (one.kind === 'volumes') return answerVolumes(one.means, sumsOf)
  return answerPeople(one.means, factsOf, prior)
}

const heatOf =
  (sumsOf: SumsOf): SumsOf =>
  (key) => {
    const sums = sumsOf(key)
    return sums === null ? null : inHeat(sums)
  }

/** One for each series whose own runs say what wind does to it. */
async function windsOf(
  db: Connection,
  means: readonly ComparedMean[],
  about: ReadonlySet<string>,
): Promise<AnsweredQuestion[]> {
  const flames = await flamesOf(db, [...about])
  return [...about].flatMap((key) => {
    const own = means.filter(({ seriesKey }) => seriesKey === key)
    if (own.length === 0) return []
    const runs = own.reduce((sum, { n }) => sum + n, 0)
    const question = answerWind(own[0]!, flames.get(key) ?? null, runs)
    return question === null ? [] : [keptOf(question, own)]
  })
}

/** One for each claim on a set-up of these series. */
async function claimsOf(
  db: Connection,
  means: readonly ComparedMean[],
  about: ReadonlySet<string>,
): Promise<AnsweredQuestion[]> {
  const found: AnsweredQuestion[] = []
  for (const row of await claimRows(db, null)) {
    if (!means.some((one) => one.setupId === row.setupId && about.has(one.seriesKey))) continue
    const one = await claimQuestion(db, row, means)
    if (one !== null) found.push(keptOf(one.question, one.means))
  }
  return found
}

const keptOf = (
  question: FoundQuestion,
  means: readonly ComparedMean[],
  runIds: readonly string[] = [],
): AnsweredQuestion => ({
  key: hashOf([question.kind, question.means, question.sentence]),
  series: [...new Set(means.map(({ seriesKey }) => seriesKey))],
  sameAs: sameAs(question),
  runIds: [...runIds],
  question,
})

/** A mean's volume moves with its runs. */
function sameAs({ kind, sentence, asks: { water, ...asks } }: FoundQuestion): string {
  const volume = water === undefined ? null : Math.round(Math.log(Number(water)) / Math.log(ALIKE_VOLUME))
  return hashOf([kind, sentence, volume, asks])
}
