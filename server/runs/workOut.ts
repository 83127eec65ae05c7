/**
 * Works out the rows of a series, and its means: each run read by the conventions of its method, with the whole series
 * behind it.
 */
import { reduceLight, reduce } from '../../core/reduce'
import type { RunAnswer } from '../../core/formats/answer'
import type { RunDocument } from '../../core/formats/document'
import { toRunDocument, type StoredRun } from '../../core/formats/toRunDocument'
import { listedOptions } from '../../shared/reduceOptions'
import type { Connection } from '../database/connection'
import { findRuns, type FoundRun } from './repository/findRuns'
import { traceChunks, type TraceChunks } from '../database/repositories/traces'
import { needsTrace, readsCalls, requestOf, type Options } from './answerRun'
import { keepSummaries, type KeptSummary } from './repository/keepSummaries'
import { keptReadings } from './keptReadings'
import { tellLong } from './longAnswers'
import { summaryOf, type RunSummary } from './runLine'
import { comparedFacts } from '../comparisons/comparedFacts'
import { dropMeans, keepFlame, keepMeans } from './repository/setupSummaries'
import { isApart, lockSeries, membersOf } from './repository/series'
import { markedUntil, markFresh } from './repository/stale'

/** Chunks of trace held at a time, of at most 4 096 samples each. */
const CHUNKS_AT_A_TIME = 100
const ROWS_AT_A_TIME = 500

/** In a transaction of its own, which locks the series. */
export async function workOutAlone(tx: Connection, key: string): Promise<void> {
  await lockSeries(tx, [key])
  await workOutSeries(tx, key)
}

/** What became stale meanwhile stays so. The series is locked. */
export async function workOutSeries(tx: Connection, key: string): Promise<void> {
  const until = await markedUntil(tx, [key])
  const ids = await membersOf(tx, [key])
  if (isApart(key)) await workOutApart(tx, ids)
  else await workOutTogether(tx, key, ids)
  await markFresh(tx, [key], until)
}

async function workOutTogether(tx: Connection, key: string, ids: readonly string[]): Promise<void> {
  const chunks = await traceChunks(tx, [...ids])
  const members = await membersAsNeeded(tx, ids)
  await dropMeans(tx, key)
  for (const { options, own } of byConventions(members)) await workOutAlike(tx, { key, options, own, members, chunks })
}

/** Runs that stand apart, each by its own readings; so stand, for a while, those that are new in a large series. */
export async function workOutApart(tx: Connection, ids: readonly string[]): Promise<void> {
  for (const part of inParts(ids, await traceChunks(tx, [...ids])))
    await keepSummaries(tx, (await findRuns(tx, part)).map(rowAlone))
}

function rowAlone(found: FoundRun): RunSummary {
  const [answer] = reduce(requestOf({ ...found, apart: true }, [], listedOptions(found.method))).runs
  return summaryFrom(found, answer as RunAnswer)
}
const summaryFrom = ({ record, stored }: FoundRun, answer: RunAnswer | undefined): RunSummary => {
  if (answer === undefined || 'error' in answer) throw new Error(`Run ${record.id} was not reduced`)
  return summaryOf(record, stored, answer)
}

/** With the traces alone that say something to the series. */
async function membersAsNeeded(tx: Connection, ids: readonly string[]): Promise<FoundRun[]> {
  const light = await findRuns(tx, [...ids], { traces: false })
  const needed = light.some((one) => !readsCalls(one)) ? ids : light.filter(needsTrace).map((one) => one.record.id)
  const whole = new Map((needed.length === 0 ? [] : await findRuns(tx, [...needed])).map((one) => [one.record.id, one]))
  return light.map((one) => whole.get(one.record.id) ?? one)
}

interface Alike {
  options: Options
  own: FoundRun[]
}
function byConventions(members: readonly FoundRun[]): Alike[] {
  const groups = new Map<string, Alike>()
  for (const one of members) {
    const options = listedOptions(one.method)
    const key = JSON.stringify(options)
    const group = groups.get(key)
    if (group) group.own.push(one)
    else groups.set(key, { options, own: [one] })
  }
  return [...groups.values()]
}

interface Work extends Alike {
  key: string
  members: readonly FoundRun[]
  chunks: ReadonlyMap<string, TraceChunks>
}

/** Runs of one series that are read by the same conventions: their rows, and the means that they enter. */
async function workOutAlike(tx: Connection, work: Work): Promise<void> {
  const documentOf = madeOnce(toRunDocument)
  const kept = await keptReadings(tx, { ...work, documentOf })
  const own = work.own.map((one) => kept.take(one))
  const { answer, again } = reduceLight(requestOf(own[0]!, othersOf(work.members, own), work.options, documentOf))
  const rowOf = await rowsOf(tx, work, own, answer)
  const stands = (found: FoundRun) => kept.stands(found.record.id)
  const hasTrace = (found: FoundRun) => work.chunks.has(found.record.id)
  await keepUntraced(
    tx,
    own.filter((one) => stands(one) || !hasTrace(one)),
    { kept, rowOf, answer },
  )
  const traced = own.filter((one) => !stands(one) && hasTrace(one)).map((one) => one.record.id)
  for (const part of inParts(traced, work.chunks)) {
    const whole = await findRuns(tx, part)
    const setup = own[0]!.stored.setup
    const said = whole.map((one) => again(toRunDocument({ ...one.stored, setup })))
    await keepSummaries(
      tx,
      whole.map((one, i) => rowOf(one, said[i]!.answer)),
    )
    await kept.keep(whole.map((one, i) => ({ id: one.record.id, reading: said[i]!.traceReading })))
    await tellLong(tx, whole)
  }
}

type Light = ReturnType<typeof reduceLight>['answer']
type RowOf = (found: FoundRun, said: RunAnswer | undefined) => RunSummary & KeptSummary

/** The rest of the series: what stands behind a run beside those of its conventions. */
function othersOf(members: readonly FoundRun[], own: readonly FoundRun[]): StoredRun[] {
  const ownIds = new Set(own.map((one) => one.record.id))
  return [...own.slice(1), ...members.filter((one) => !ownIds.has(one.record.id))].map((one) => one.stored)
}

/** Keeps the means. @returns a run's row with the mean it enters */
async function rowsOf(
  tx: Connection,
  { key, options, members }: Work,
  own: readonly FoundRun[],
  answer: Light,
): Promise<RowOf> {
  const byId = new Map(members.map((one) => [one.record.id, one]))
  await keepFlame(tx, key, answer.setups[0]?.flame ?? null)
  const meanKeyOf = await keepMeans(tx, {
    key,
    options,
    means: answer.setups[0]?.means ?? [],
    answers: oldestFirst(answer.runs, byId),
    own: own.map((one) => one.stored),
    factsOf: (one) => comparedFacts(byId.get(one.id)!, one),
  })
  return (found, said) => ({ ...summaryFrom(found, said), meanKey: said?.mean ? meanKeyOf(said.mean) : null })
}

/** In one order, whatever order they were found in: facts add up to the same digit, and the last is the newest. */
function oldestFirst(answers: Light['runs'], byId: ReadonlyMap<string, FoundRun>): Light['runs'] {
  const at = ({ id }: { id: string }) => `${byId.get(id)?.record.startedAt} ${id}`
  return [...answers].sort((a, b) => (at(a) < at(b) ? -1 : 1))
}

interface Kept {
  kept: Awaited<ReturnType<typeof keptReadings>>
  rowOf: RowOf
  answer: Light
}
/** Runs without a trace, and those whose traces' readings stand: these keep their ribbon. */
async function keepUntraced(tx: Connection, runs: readonly FoundRun[], { kept, rowOf, answer }: Kept): Promise<void> {
  const answers = new Map(answer.runs.flatMap((one) => ('error' in one ? [] : [[one.id, one] as const])))
  const stands = (found: FoundRun) => kept.stands(found.record.id)
  for (const part of inHundreds(runs)) {
    const rows = part.map((one) => {
      const { ribbon, ...figures } = rowOf(one, answers.get(one.record.id))
      return stands(one) ? figures : { ...figures, ribbon }
    })
    await keepSummaries(tx, rows)
    await kept.keep(part.filter((one) => !stands(one)).map((one) => ({ id: one.record.id, reading: null })))
  }
}

/** A run's document is asked for by its key and by its request. */
function madeOnce(make: (stored: StoredRun) => RunDocument): (stored: StoredRun) => RunDocument {
  const made = new Map<string, RunDocument>()
  return (stored) => {
    const document = made.get(stored.id) ?? make(stored)
    made.set(stored.id, document)
    return stored.traceReading === undefined ? document : { ...document, traceReading: stored.traceReading }
  }
}

function* inHundreds(runs: readonly FoundRun[]): Generator<FoundRun[]> {
  for (let from = 0; from < runs.length; from += ROWS_AT_A_TIME) yield runs.slice(from, from + ROWS_AT_A_TIME)
}

/** As many runs at a time as their traces allow. */
function inParts(ids: readonly string[], chunks: ReadonlyMap<string, TraceChunks>): string[][] {
  const parts: string[][] = []
  let held = Infinity
  for (const id of ids) {
    const own = chunks.get(id)?.n ?? 0
    if (held + own > CHUNKS_AT_A_TIME || parts.at(-1)!.length >= ROWS_AT_A_TIME) {
      parts.push([])
      held = 0
    }
    parts.at(-1)!.push(id)
    held += own
  }
  return parts
}
