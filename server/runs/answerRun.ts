/**
 * A stored run's answer, with its set-up's series behind it: from the cache where its input has not changed, else
 * worked out and kept.
 */
import { isMainThread } from 'node:worker_threads'
import { reduce } from '../../core/reduce'
import type { ReduceAnswer } from '../../core/formats/answer'
import type { ReduceRequest, RunDocument } from '../../core/formats/document'
import { toRunDocument, type StoredRun } from '../../core/formats/toRunDocument'
import { CORE_VERSION } from '../../core/version'
import { defaultOptions } from '../../shared/reduceRequest'
import { listedOptions } from '../../shared/reduceOptions'
import { urlOf, type Connection } from '../database/connection'
import { hashOf, hashOfSamples } from '../database/hash'
import { cachedResult, keepResult } from '../database/repositories/results'
import { findRuns, type FoundRun } from './repository/findRuns'
import { inThread } from '../workers/pool'
import { membersOf, seriesAt } from './repository/series'

export type Options = ReturnType<typeof defaultOptions>
type Asked = Pick<FoundRun, 'stored' | 'apart' | 'seriesKey'>

/** The request that screen, CSV, JSON and command line share: the run first, then the rest of its series. */
export async function requestFor(db: Connection, run: Asked, options = defaultOptions()): Promise<ReduceRequest> {
  if (run.apart || run.seriesKey === null) return requestOf(run, [], options)
  const others = (await membersOf(db, [run.seriesKey])).filter((id) => id !== run.stored.id)
  const besides = await findNeeded(db, others, isCall(options))
  return requestOf(
    run,
    besides.map((one) => one.stored),
    options,
  )
}

/** @param byCall boils are read as they were called: without the traces, then, that say nothing */
export async function findNeeded(db: Connection, ids: readonly string[], byCall: boolean): Promise<FoundRun[]> {
  if (!byCall) return findRuns(db, [...ids])
  const light = await findRuns(db, [...ids], { traces: false })
  const needed = light.filter(needsTrace).map((one) => one.record.id)
  const traced = new Map((await findRuns(db, needed)).map((one) => [one.record.id, one]))
  return light.map((one) => traced.get(one.record.id) ?? one)
}

/**
 * A trace says something to its series only where the convention or a decision reads it, or it is a cool-down; a
 * scale's, where it gives the fuel to the boil.
 */
export const needsTrace = ({ stored, scaled }: Pick<FoundRun, 'stored' | 'scaled'>): boolean =>
  scaled || readsTrace(stored)
const readsTrace = ({ kind, boilBy }: StoredRun): boolean => kind === 'coolDown' || boilBy === 'trace'
export const isCall = ({ boil }: Options): boolean => boil === 'rollingBoil' || boil === 'firstBubbles'
/** Whether its method reads boils that are called. */
export const readsCalls = ({ method }: FoundRun): boolean => isCall(listedOptions(method))

/** Runs of one series, whatever their set-ups are called. A void run or a break-in is in none. */
export function requestOf(
  { stored, apart }: Pick<Asked, 'stored' | 'apart'>,
  others: readonly StoredRun[],
  options: Options,
  documentOf: (stored: StoredRun) => RunDocument = toRunDocument,
): ReduceRequest {
  if (apart) return { ...options, runs: [{ ...documentOf(stored), setup: null }] }
  const series = [...others]
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .map((other) => ({
      ...documentOf(other),
      setup: stored.setup,
      trace: !isCall(options) || readsTrace(other) ? other.trace : [],
    }))
  return { ...options, runs: [documentOf(stored), ...series] }
}

const inputHash = (
  { trace, scaleTrace, ...rest }: RunDocument,
  series: [key: string | null, revision: number],
): string => hashOf([rest, hashOfSamples(trace), hashOfSamples(scaleTrace), series])

/** A series of more runs is not worked out where others wait for their answers. */
const MOST_HERE = 100

/** @param asked options other than the contract's defaults. The answer holds this run alone, and its set-up. */
export async function answerRun(db: Connection, run: Asked, asked = defaultOptions()): Promise<ReduceAnswer> {
  const { stored, apart, seriesKey } = run
  const series = apart || seriesKey === null ? { revision: 0, runs: 1 } : await seriesAt(db, seriesKey)
  const key = {
    runId: stored.id,
    optionsHash: hashOf(asked),
    inputHash: inputHash(toRunDocument(stored), [seriesKey, series.revision]),
    coreVersion: CORE_VERSION,
  }
  const kept = await cachedResult(db, key)
  if (kept) return kept
  const url = urlOf(db)
  if (isMainThread && series.runs > MOST_HERE && url !== null)
    return inThread('overDatabase', { url, runId: stored.id, options: asked }, { name: 'answer' })
  const whole = reduce(await requestFor(db, run, asked), { workings: new Set([stored.id]) })
  const answer = { ...whole, runs: whole.runs.slice(0, 1) }
  await keepResult(db, key, answer)
  return answer
}
