/** A question of whole runs: what the command line answers, answered for a page. */
import { compareAsked } from '../../core/compare/compareAsked'
import type { ComparedMean } from '../../core/compare/facts'
import { blocksOf } from '../../core/compare/lotSums'
import type { CompareAnswer, CompareRequest, Question } from '../../core/formats/comparison'
import type { Conventions } from '../../shared/runOptions'
import type { Connection } from '../database/connection'
import type { FoundRun } from '../runs/repository/findRuns'
import { documentsOf, type AskedDocuments } from './askedDocuments'
import { idsIn, unitOf, type AskedQuery } from './askedView'
import { blockDay } from './comparedFacts'

export interface AskedArmRuns {
  name: string
  /** Its set-up's series. */
  seriesKey: string
  /** Whether a run is one of it. */
  isOf: (run: FoundRun) => boolean
}

export interface DocumentAnswer extends AskedDocuments {
  asked: CompareRequest
  answer: CompareAnswer
}

export interface AskedOf {
  query: AskedQuery
  /** How the runs are read where the address names nothing else. */
  usual: Conventions
  question: Pick<Question, 'kind'> & Partial<Question>
}

export async function askDocuments(
  db: Connection,
  arms: readonly AskedArmRuns[],
  { query, usual, question }: AskedOf,
): Promise<DocumentAnswer> {
  const documents = await documentsOf(
    db,
    arms.map(({ seriesKey }) => seriesKey),
    { query, usual },
  )
  const out = new Set(idsIn(query.out))
  const runs = arms.map((arm) =>
    [...documents.found.values()].filter(
      (run) => run.seriesKey === arm.seriesKey && !run.apart && arm.isOf(run) && !out.has(run.record.id),
    ),
  )
  const asked: CompareRequest = {
    format: 'vulcanum-compare',
    version: 1,
    reduce: documents.request,
    question: {
      unit: unitOf(query),
      blocks: sharedBlocks(runs),
      volumeG: Number(query.water) > 0 ? Number(query.water) : null,
      as: 'used',
      claim: null,
      prices: {},
      containers: {},
      planned: null,
      scatter: null,
      ...question,
      arms: arms.map(({ name }, i) => ({ name, runs: runs[i]!.map(({ record }) => record.id) })),
    },
  }
  return { ...documents, asked, answer: compareAsked(asked) }
}

/** Runs of one person at one place on one day, one of each arm. */
function sharedBlocks(arms: readonly (readonly FoundRun[])[]): string[][] {
  const blockOf = blocksOf(
    arms.map((runs) => runs.map((run) => ({ id: run.record.id, startedAt: run.record.startedAt, day: blockDay(run) }))),
  )
  const blocks = new Map<string, string[]>()
  for (const [id, block] of blockOf) blocks.set(block, [...(blocks.get(block) ?? []), id])
  return [...blocks.values()].filter((ids) => ids.length > 1)
}

/** The series of a set-up with a fuel: that of the most runs. */
export function seriesOfSetup(
  means: readonly ComparedMean[],
  setupId: string,
  fuel: string | null,
): ComparedMean | null {
  const own = means.filter((one) => one.setupId === setupId && (fuel === null || one.fuelKind === fuel))
  const runsOf = (key: string) => own.reduce((sum, one) => (one.seriesKey === key ? sum + one.n : sum), 0)
  return own.reduce<ComparedMean | null>(
    (best, one) => (best === null || runsOf(one.seriesKey) > runsOf(best.seriesKey) ? one : best),
    null,
  )
}
