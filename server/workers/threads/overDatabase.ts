/** In a thread of its own, over connections of its own: work on what is kept here that would hold up all others. */
import '../afterOthers'
import { monteCarloRun } from '../../../core/reduce/monteCarloRun'
import type { ReduceAnswer } from '../../../core/formats/answer'
import type { ImportPreview } from '../../../shared/tableImport/imports'
import { ask, type AskedPage } from '../../comparisons/ask'
import { openDatabase, type Database } from '../../database/connection'
import { findRun, type FoundRun } from '../../runs/repository/findRuns'
import { previewImport } from '../../import/imports'
import { storeStaged } from '../../import/store'
import type { StoreOptions } from '../../import/storeRows'
import { undoImport } from '../../import/undo'
import type { Outcome } from '../../kit/outcome'
import { answerRun, requestFor, type Options } from '../../runs/answerRun'

const CONNECTIONS = 3
const databases = new Map<string, Database>()
function databaseAt(url: string): Database {
  const db = databases.get(url) ?? openDatabase(url, CONNECTIONS).db
  databases.set(url, db)
  return db
}

interface Over {
  url: string
}
interface OfRun extends Over {
  runId: string
  options: Options
}

async function runOf({ url, runId }: OfRun): Promise<FoundRun> {
  const found = await findRun(databaseAt(url), runId)
  if (found === null) throw new Error(`There is no run ${runId}`)
  return found
}

export const answer = async (of: OfRun): Promise<ReduceAnswer> =>
  answerRun(databaseAt(of.url), await runOf(of), of.options)
/** As JSON: a series of ten thousand is written here too. */
export const requestJson = async (of: OfRun): Promise<string> =>
  JSON.stringify(await requestFor(databaseAt(of.url), await runOf(of), of.options))
export async function drawMonteCarlo({
  draws,
  seed,
  ...of
}: OfRun & { draws: number; seed: number }): Promise<ReturnType<typeof monteCarloRun>> {
  return monteCarloRun(await requestFor(databaseAt(of.url), await runOf(of), of.options), of.runId, { draws, seed })
}

export const question = ({
  url,
  page,
  query,
}: Over & { page: AskedPage; query: Record<string, unknown> }): ReturnType<typeof ask> =>
  ask(databaseAt(url), page, query)

export const preview = ({
  url,
  id,
  input,
  nowMs,
}: Over & { id: string; input: unknown; nowMs: number }): Promise<Outcome<ImportPreview>> =>
  previewImport(databaseAt(url), id, input, nowMs)
export const store = ({
  url,
  id,
  options,
  nowMs,
}: Over & { id: string; options: StoreOptions; nowMs: number }): Promise<void> =>
  storeStaged(databaseAt(url), id, options, nowMs)
export const undo = ({
  url,
  id,
  by,
}: Over & { id: string; by: Parameters<typeof undoImport>[2] }): Promise<Outcome<null>> =>
  undoImport(databaseAt(url), id, by)
