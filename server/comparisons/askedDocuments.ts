/** The runs of some series as one request, as screen, API and command line ask it alike. */
import { reduce } from '../../core/reduce'
import type { RunAnswer } from '../../core/formats/answer'
import type { ReduceRequest } from '../../core/formats/document'
import { toRunDocument } from '../../core/formats/toRunDocument'
import type { ComparedFacts, ComparedMean } from '../../core/compare/facts'
import type { Conventions, RunView } from '../../shared/runOptions'
import { optionsFor } from '../../shared/reduceOptions'
import type { Connection } from '../database/connection'
import { findNeeded, isCall } from '../runs/answerRun'
import type { FoundRun } from '../runs/repository/findRuns'
import { membersOf } from '../runs/repository/series'
import { isOtherView, viewOf, type AskedQuery } from './askedView'
import { comparedFacts } from './comparedFacts'
import { conventionsOfMean } from './readAs'
import { factsOfMeans } from './repository/comparisons'

export interface AskedDocuments {
  request: ReduceRequest
  view: RunView
  found: ReadonlyMap<string, FoundRun>
}

/** Each series is one set-up of the request, by its key. All are read alike, unless the address names another way. */
export async function documentsOf(
  db: Connection,
  seriesKeys: readonly string[],
  { query, usual }: { query: AskedQuery; usual: Conventions },
): Promise<AskedDocuments> {
  const ids = await membersOf(db, [...new Set(seriesKeys)])
  const view = viewOf(query, usual)
  const options = optionsFor(view)
  const runs = await findNeeded(db, ids, isCall(options))
  return {
    view,
    found: new Map(runs.map((run) => [run.record.id, run])),
    request: { ...options, runs: runs.map((run) => ({ ...toRunDocument(run.stored), setup: run.seriesKey })) },
  }
}

/** What of the runs of means is compared, by the mean: as they are listed, or as the address reads them. */
export async function askedFacts(
  db: Connection,
  means: readonly ComparedMean[],
  query: AskedQuery,
): Promise<Map<string, ComparedFacts[]>> {
  const listed = await factsOfMeans(
    db,
    means.map(({ key }) => key),
  )
  if (!isOtherView(query)) return listed
  const { request, found } = await documentsOf(
    db,
    means.map(({ seriesKey }) => seriesKey),
    { query, usual: await conventionsOfMean(db, means[0]!) },
  )
  const answers = new Map(reduce(request).runs.flatMap((run) => ('error' in run ? [] : [[run.id, run] as const])))
  const readAnew = ({ id }: ComparedFacts): ComparedFacts[] => {
    const [run, answer] = [found.get(id), answers.get(id)]
    return run === undefined || answer === undefined ? [] : (wholeFacts(run, answer) ?? [])
  }
  return new Map([...listed].map(([key, facts]) => [key, facts.flatMap(readAnew)]))
}

/** Null: at these conditions it is corrected in part only. */
function wholeFacts(run: FoundRun, answer: RunAnswer): ComparedFacts[] | null {
  const facts = answer.status === 'normalised' ? comparedFacts(run, answer) : null
  return facts === null ? null : [facts]
}
