/** One document in, one document out: the table of contents of the core. */
import type { ReduceAnswer, RunAnswer, SetupAnswer } from './formats/answer'
import type { ReduceRequest, UnreadableRun } from './formats/document'
import { reduceRun } from './reduce/reduceRun'
import { setupMean } from './statistics/setupMean'
import { CORE_VERSION } from './version'

/**
 * Reduces every run of a request, and each set-up's mean.
 * @param request checked against its schema; a run that could not be read stands in it with its error
 * @param options `workings`: each run's answer carries the working of its numbers
 */
export function reduce(request: ReduceRequest, { workings = false }: { workings?: boolean } = {}): ReduceAnswer {
  const runs = request.runs.map(run => ('error' in run ? run : reduceRun(run, request, workings)))
  return { format: 'vulcanum-reduced', version: 1, core: CORE_VERSION, reference: request.reference, runs, setups: setupsOf(runs) }
}

/** A series holds one origin; only fully normalised runs enter a mean. */
function setupsOf(runs: readonly (RunAnswer | UnreadableRun)[]): SetupAnswer[] {
  const series = new Map<string, RunAnswer[]>()
  for (const run of runs) {
    if ('error' in run || run.setup === null || run.status !== 'normalised') continue
    const key = JSON.stringify([run.setup, run.origin])
    series.set(key, [...(series.get(key) ?? []), run])
  }
  return [...series.values()].map(members => ({
    setup: members[0]!.setup!, origin: members[0]!.origin, wind: null,
    ...setupMean(members.map(run => ({ gPerL: run.normalisedGPerL!, uRandom: run.normalisedURandom ?? 0, uShared: run.normalisedUShared ?? 0 }))),
  }))
}
