/** What the other schools would have made of the newest run of a method: the same marks, read otherwise. */
import { BOILS, CLOCKS, LITRES, type ReduceOptions, type RunDocument } from '../../core/formats/document'
import { toRunDocument } from '../../core/formats/toRunDocument'
import type { MethodBody } from '../../core/method/method'
import type { SchoolKey } from '../../core/method/schools'
import { TARGET, USUAL_TARGET_C } from '../../core/method/target'
import { reduce } from '../../core/reduce'
import type { MethodPage, SchoolFigure } from '../../shared/method'
import { listedOptions } from '../../shared/reduceOptions'
import type { Connection } from '../database/connection'
import { findRuns, type FoundRun } from '../runs/repository/findRuns'
import { newestRunsBy } from './repository/methods'

/** Read each way; a fixed target is the one the run was called by, where it was. */
const otherwise = (targetC: number): { key: SchoolKey; value: string; change: Partial<ReduceOptions> }[] => [
  ...CLOCKS.map((clock) => ({ key: 'clock' as const, value: clock, change: { clock } })),
  ...BOILS.map((boil) => ({ key: 'boil' as const, value: boil as string, change: { boil } })),
  { key: 'boil', value: TARGET, change: { boil: { targetC } } },
  ...LITRES.map((litre) => ({ key: 'litre' as const, value: litre, change: { litre } })),
  ...(['ratio', 'energy', 'loss'] as const).map((model) => ({
    key: 'correction' as const,
    value: model,
    change: { model },
  })),
]

/** How far back to look for a run that has a figure: a stopped or given-up one has none to compare. */
const LOOK_BACK = 8

export async function schoolFigures(
  db: Connection,
  methodId: string,
  body: MethodBody,
): Promise<MethodPage['figures']> {
  const newest = await newestRunsBy(db, methodId, LOOK_BACK)
  const found = await findRuns(
    db,
    newest.map((one) => one.id),
  )
  const lines = newest.flatMap((line) =>
    found
      .filter((one) => one.stored.id === line.id)
      .map((one) => ({ line, found: one, document: toRunDocument(one.stored) })),
  )
  const telling = lines.find(({ document }) => hasFigure(document, listedOptions(body))) ?? lines[0]
  return telling === undefined
    ? null
    : {
        run: { ...telling.line, startedAt: telling.line.startedAt.toISOString() },
        schools: readOtherwise(telling.document, telling.found.method, body),
      }
}

const hasFigure = (document: RunDocument, options: ReturnType<typeof listedOptions>): boolean => {
  const [answer] = reduce({ ...options, runs: [document] }).runs
  return answer !== undefined && !('error' in answer) && (answer.timeToBoilS !== null || answer.gPerL !== null)
}

function readOtherwise(document: RunDocument, method: FoundRun['method'], body: MethodBody): SchoolFigure[] {
  const targetC = typeof method?.boil === 'object' ? method.boil.targetC : USUAL_TARGET_C
  return otherwise(targetC).map(({ key, value, change }): SchoolFigure => {
    const [answer] = reduce({ ...listedOptions(body), ...change, runs: [document] }).runs
    const figures = answer === undefined || 'error' in answer ? null : answer
    return {
      key,
      value,
      timeToBoilS: figures?.timeToBoilS ?? null,
      gPerL: figures?.gPerL ?? null,
      normalisedGPerL: figures?.normalisedGPerL ?? null,
    }
  })
}
