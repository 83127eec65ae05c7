/** One document in, one document out: the table of contents of the core. */
import type { ReduceAnswer, RunAnswer, SetupAnswer } from './formats/answer'
import type { ReduceRequest, RunDocument, UnreadableRun } from './formats/document'
import { LOSS_ESTIMATE } from './heating/loss'
import { answerRun } from './reduce/answerRun'
import { figureRun, type Figured } from './reduce/figureRun'
import { setupSeries, type SetupSeries } from './reduce/setupSeries'
import { takeRun, type TakenRun } from './reduce/takeRun'
import { setupWorking } from './reduce/toldMore'
import { setupMean } from './statistics/setupMean'
import { isImpossible } from './plausibility/physicalLimit'
import { CORE_VERSION } from './version'

/**
 * Reduces every run of a request, and each set-up's mean. Runs of one set-up and origin are its own series.
 * @param request checked against its schema; a run that could not be read stands in it with its error
 * @param options `workings`: each run's answer carries the working of its numbers, or those of these ids alone
 */
export function reduce(request: ReduceRequest, { workings = false }: { workings?: Workings } = {}): ReduceAnswer {
  const answers = new Map<RunDocument | UnreadableRun, RunAnswer>()
  const setups = seriesOf(request, workings).flatMap(({ members, series }) => {
    for (const taken of members)
      answers.set(taken.document, answerRun(taken, figureRun(taken, request, series), request, series))
    const setup = setupOf(
      members.map(({ document }) => answers.get(document)!),
      series,
    )
    for (const { workings: kept } of members)
      if (kept !== null && setup[0] !== undefined) kept['setup.mean'] = setupWorking(setup[0])
    return setup
  })
  return {
    format: 'vulcanum-reduced',
    version: 1,
    core: CORE_VERSION,
    reference: request.reference,
    runs: request.runs.map((run) => ('error' in run ? run : answers.get(run)!)),
    setups,
  }
}

type Workings = boolean | ReadonlySet<string>

export interface RunInSeries {
  taken: TakenRun
  figured: Figured
}

/**
 * One run of a request with its set-up's series, as far as its uncertain inputs: for Monte Carlo. Null where it is not
 * in the request or cannot be read.
 */
export function runInSeries(request: ReduceRequest, runId: string): RunInSeries | null {
  for (const { members, series } of seriesOf(request, false)) {
    const taken = members.find(({ document }) => document.id === runId)
    if (taken !== undefined) return { taken, figured: figureRun(taken, request, series) }
  }
  return null
}

/** Every run read, in the set-ups that they are series of. */
function seriesOf(request: ReduceRequest, workings: Workings): { members: TakenRun[]; series: SetupSeries }[] {
  const readable = request.runs.flatMap((run) =>
    'error' in run ? [] : [takeRun(run, request, typeof workings === 'boolean' ? workings : workings.has(run.id))],
  )
  return groupsOf(readable).map((members) => {
    const film = ownFilm(members)
    if (film !== null)
      for (const { document, prepared } of members)
        if (document.lossWPerK === null) prepared.run.filmWPerM2K = film.value
    return { members, series: setupSeries(members, request, film) }
  })
}

/**
 * The set-up's own cool-downs as a film coefficient, K/(A·(1 + 0.55 v)): so they serve for other fillings and winds,
 * and for the part of the
 * wall that hot gas bathes while it burns [W/(m²·K)].
 */
function ownFilm(members: readonly TakenRun[]): SetupSeries['film'] {
  const films = members.flatMap(({ readings: { coolDown }, prepared: { run } }) => {
    if (coolDown === null) return []
    const areaM2 =
      (run.lidM2 + run.sideM2) *
      (1 + run.windSlopePerMS * run.windMS) *
      (run.closeCone ? LOSS_ESTIMATE.closeConeFactor : 1)
    return [{ value: coolDown.lossWPerK / areaM2, u: coolDown.u / areaM2 }]
  })
  if (films.length === 0) return null
  return {
    value: films.reduce((sum, one) => sum + one.value, 0) / films.length,
    u: Math.hypot(...films.map((one) => one.u)) / films.length,
  }
}

/** By set-up and origin, since a series holds one origin; a run without a set-up stands alone. */
function groupsOf(runs: readonly TakenRun[]): TakenRun[][] {
  const groups = new Map<string, TakenRun[]>()
  runs.forEach((run, i) => {
    const { setup, origin } = run.document
    const key = JSON.stringify(setup === null ? [i] : [setup, origin])
    const group = groups.get(key)
    if (group) group.push(run)
    else groups.set(key, [run])
  })
  // Sums run in one order whatever order the runs came in: the same figures to the last digit.
  return [...groups.values()].map((group) =>
    group.sort((a, b) => (a.document.id < b.document.id ? -1 : a.document.id > b.document.id ? 1 : 0)),
  )
}

/** Only fully normalised runs enter a mean, and none that is impossible. */
function setupOf(runs: readonly RunAnswer[], { wind, windLimits }: SetupSeries): SetupAnswer[] {
  const { setup, origin } = runs[0]!
  const possible = runs.filter((run) => !isImpossible(run.flags))
  const normalised = possible.filter((run) => run.status === 'normalised')
  if (setup === null || normalised.length === 0) return []
  return [
    {
      setup,
      origin,
      leftOut: runs.filter((run) => !possible.includes(run)).map((run) => run.id),
      ...setupMean(
        normalised.map((run) => ({
          gPerL: run.normalisedGPerL!,
          uRandom: run.normalisedURandom ?? 0,
          shared: run.normalisedSharedBy,
        })),
      ),
      wind:
        wind === null || windLimits === null
          ? null
          : { gamma: wind.gamma, gammaU: wind.gammaU, n: wind.exponent, ...windLimits, basis: wind.basis },
    },
  ]
}
