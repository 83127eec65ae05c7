/** Finds the questions that the runs answer, and answers them: those anew that rest on a series that changed. */
import { answerFlame, answerRanking, answerVolumes, answerWind } from '../../core/compare/answerGroup'
import { answerPair, answerPeople } from '../../core/compare/answerPair'
import { candidatesOf, isPair, type Candidate } from '../../core/compare/candidates'
import type { ComparedFacts, ComparedMean } from '../../core/compare/facts'
import { ALIKE_VOLUME } from '../../core/reduce/setupMeans'
import type { FoundQuestion } from '../../core/compare/found'
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
  priorsUsed,
  replaceQuestions,
  standingSeries,
  type AnsweredQuestion,
} from './repository/comparisons'

/** Means of one tile are held against those of another before the next: each is read a few times only. */
const TILE = 40

function besideEachOther(candidates: readonly Candidate[], means: readonly ComparedMean[]): Candidate[] {
  const tileOf = new Map(means.map(({ key }, i) => [key, Math.floor(i / TILE)]))
  const tiles = means.length / TILE + 1
  const order = ({ means: of }: Candidate): number => {
    const [first, last] = [tileOf.get(of[0]!.key)!, tileOf.get(of.at(-1)!.key)!]
    return Math.min(first, last) * tiles + Math.max(first, last)
  }
  return [...candidates].sort((a, b) => order(a) - order(b))
}

/** So many facts are held at once. */
const MOST_HELD = 40_000

/** Facts of means, each read once as long as there is room for them. */
class FactsRead {
  private readonly held = new Map<string, ComparedFacts[]>()
  private runs = 0

  constructor(private readonly db: Connection) {}

  async read(keys: readonly string[]): Promise<ReadonlyMap<string, ComparedFacts[]>> {
    const missing = [...new Set(keys)].filter((key) => !this.held.has(key))
    for (const [key, facts] of await factsOfMeans(this.db, missing)) {
      this.held.set(key, facts)
      this.runs += facts.length
    }
    const now = new Map([...new Set(keys)].map((key) => [key, this.held.get(key) ?? []]))
    for (const [key, facts] of this.held) {
      if (this.runs <= MOST_HELD) break
      this.held.delete(key)
      this.runs -= facts.length
    }
    return now
  }
}

/** Series that are taken at once: what rests on two of them is answered with both. */
const AT_ONCE = 2000
/** Questions between which others have their turn: a few milliseconds each. */
const ANSWERED_AT_ONCE = 4

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

const isHelpedOtherwise = async (db: Connection, priors: ReadonlyMap<string, PriorScatter>): Promise<boolean> =>
  (await priorsUsed(db)).some(({ kind, sd }) => priors.get(kind)?.sd !== sd)

/** Until none is left to answer. */
export async function findAllQuestions(db: Database): Promise<void> {
  while (await findQuestions(db));
}

async function questionsAbout(
  db: Connection,
  about: ReadonlySet<string>,
  { means, priors }: { means: readonly ComparedMean[]; priors: ReadonlyMap<string, PriorScatter> },
): Promise<AnsweredQuestion[]> {
  const candidates = besideEachOther(candidatesOf(means, about), means)
  const reader = new FactsRead(db)
  const found: AnsweredQuestion[] = []
  for (let from = 0; from < candidates.length; from += ANSWERED_AT_ONCE) {
    const some = candidates.slice(from, from + ANSWERED_AT_ONCE)
    const facts = await reader.read(some.flatMap((one) => one.means.map(({ key }) => key)))
    found.push(...some.flatMap((one) => keptAnswer(one, facts, priors)))
  }
  return [...found, ...(await windsOf(db, means, about)), ...(await claimsOf(db, means, about))]
}

function keptAnswer(
  one: Candidate,
  facts: ReadonlyMap<string, ComparedFacts[]>,
  priors: ReadonlyMap<string, PriorScatter>,
): AnsweredQuestion[] {
  const question = answerOf(one, facts, priors.get(one.means[0]!.test.kind)!)
  if (question === null) return []
  return [
    keptOf(
      question,
      one.means,
      question.means.flatMap((key) => (facts.get(key) ?? []).map(({ id }) => id)),
    ),
  ]
}

/** How a burn scatters on this bench, by the kind of test. */
async function priorsOf(db: Connection, means: readonly ComparedMean[]): Promise<Map<string, PriorScatter>> {
  const priors = new Map<string, PriorScatter>()
  for (const kind of new Set(means.map(({ test }) => test.kind)))
    priors.set(kind, priorScatter(await repeatedMeans(db, [kind])))
  return priors
}

function answerOf(
  one: Candidate,
  facts: ReadonlyMap<string, ComparedFacts[]>,
  prior: PriorScatter,
): FoundQuestion | null {
  const factsOf = (key: string) => facts.get(key) ?? []
  if (isPair(one)) return answerPair(one, factsOf, prior)
  if (one.kind === 'ranking') return answerRanking(one.means, factsOf, prior)
  if (one.kind === 'flame') return answerFlame(one.means, factsOf)
  if (one.kind === 'volumes') return answerVolumes(one.means, factsOf)
  return answerPeople(one.means, factsOf, prior)
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

/** A question of more runs does not say which of them moved it. */
const MOST_TOLD = 200

const keptOf = (
  question: FoundQuestion,
  means: readonly ComparedMean[],
  runIds: readonly string[] = [],
): AnsweredQuestion => ({
  key: hashOf([question.kind, question.means, question.sentence]),
  series: [...new Set(means.map(({ seriesKey }) => seriesKey))],
  sameAs: sameAs(question),
  runIds: runIds.length > MOST_TOLD ? [] : [...runIds],
  question,
})

/** A mean's volume moves with its runs. */
function sameAs({ kind, sentence, asks: { water, ...asks } }: FoundQuestion): string {
  const volume = water === undefined ? null : Math.round(Math.log(Number(water)) / Math.log(ALIKE_VOLUME))
  return hashOf([kind, sentence, volume, asks])
}
