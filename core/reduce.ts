/** One document in, one document out: the table of contents of the core. */
import type { ReduceAnswer, RunAnswer, SetupAnswer } from './formats/answer'
import { fuelOfKind } from './constants/fuels'
import type { ReduceOptions, ReduceRequest, RunDocument, UnreadableRun } from './formats/document'
import type { TraceReading } from './formats/traceReading'
import { LOSS_ESTIMATE } from './heating/loss'
import { answerRun } from './reduce/answerRun'
import { figureRun, type Figured } from './reduce/figureRun'
import { flameAnswer } from './reduce/flameAnswer'
import { meanOf } from './reduce/sameMean'
import { meanInput, meansOf } from './reduce/setupMeans'
import { setupSeries, type SetupSeries } from './reduce/setupSeries'
import { takeRun, traceReadingOf, type TakenRun } from './reduce/takeRun'
import { setupMeanWorking } from './reduce/workings/setupMean'
import { isImpossible } from './plausibility/physicalLimit'
import type { RunInput } from './run/runInput'
import { CORE_VERSION } from './version'

/**
 * Reduces every run of a request, and each set-up's means. Runs of one set-up, fuel and origin are its own series.
 * @param request checked against its schema; a run that could not be read stands in it with its error
 * @param options `workings`: each run's answer carries the working of its numbers, or those of these ids alone
 */
export const reduce = (request: ReduceRequest, { workings = false }: { workings?: Workings } = {}): ReduceAnswer =>
  answerOf(request, seriesOf(request, workings))

/**
 * As `reduce`, for more runs than may be held with all their samples.
 * @param request runs without samples that say nothing to their series
 * @returns the answer, and `again`, which answers one of its runs once more with the samples it has now, and says what
 * they said
 */
export function reduceLight(request: ReduceRequest): {
  answer: ReduceAnswer
  again: (document: RunDocument) => { answer: RunAnswer; traceReading: TraceReading }
} {
  const all = seriesOf(request, false)
  const groupOf = new Map(all.groups.flatMap((group) => group.members.map(({ input }) => [input.id, group] as const)))
  const answer = answerOf(request, all)
  const means = new Map(answer.runs.map((run) => [run.id, 'error' in run ? null : run.mean]))
  return {
    answer,
    again(document) {
      const { series, film } = groupOf.get(document.id)!
      const taken = takeRun(document, request, false)
      takeFilm(taken, film)
      const again = answerRun(taken, figureRun(taken, request, series), request, series)
      again.mean = means.get(document.id) ?? null
      return { answer: again, traceReading: traceReadingOf(taken) }
    },
  }
}

function answerOf(request: ReduceRequest, { groups, asAsked }: AllSeries): ReduceAnswer {
  const answers = new Map<TakenRun, RunAnswer>()
  const setups = groups.flatMap(({ members, series }) => {
    for (const taken of members)
      answers.set(taken, answerRun(taken, figureRun(taken, request, series), request, series))
    return setupOf(
      members.map((taken) => ({ input: taken.input, answer: answers.get(taken)! })),
      series,
      request,
    )
  })
  return {
    format: 'vulcanum-reduced',
    version: 1,
    core: CORE_VERSION,
    reference: request.reference,
    runs: asAsked.map((run) => ('error' in run ? run : answers.get(run)!)),
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
  for (const { members, series } of seriesOf(request, false).groups) {
    const taken = members.find(({ input }) => input.id === runId)
    if (taken !== undefined) return { taken, figured: figureRun(taken, request, series) }
  }
  return null
}

interface SeriesGroup {
  members: TakenRun[]
  series: SetupSeries
  film: SetupSeries['film']
}

interface AllSeries {
  groups: SeriesGroup[]
  /** As the runs stand in the request. */
  asAsked: (TakenRun | UnreadableRun)[]
}

/** Every run read, in the set-ups that they are series of. */
export function seriesOf(request: ReduceRequest, workings: Workings): AllSeries {
  const asAsked = request.runs.map((run) =>
    'error' in run ? run : takeRun(run, request, typeof workings === 'boolean' ? workings : workings.has(run.id)),
  )
  const groups = groupsOf(asAsked.flatMap((run) => ('error' in run ? [] : [run]))).map(({ members, besides }) => {
    const film = ownFilm([...members, ...besides])
    for (const taken of members) takeFilm(taken, film)
    return { members, series: setupSeries(members, request, film), film }
  })
  return { groups, asAsked }
}

function takeFilm({ input, prepared }: TakenRun, film: SetupSeries['film']): void {
  if (film !== null && input.lossWPerK === null) prepared.run.filmWPerM2K = film.value
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

/**
 * By set-up, fuel and origin, since a series holds one of each; a run without a set-up stands alone. A run without a
 * fuel (a cool-down) says something to the series of every fuel, and stands with the first by name.
 */
function groupsOf(runs: readonly TakenRun[]): { members: TakenRun[]; besides: TakenRun[] }[] {
  const setups = grouped(runs, ({ input: { setup, origin } }, i) =>
    JSON.stringify(setup === null ? [i] : [setup, origin]),
  )
  return setups.flatMap((alike) => {
    const unfuelled = alike.filter(({ input }) => input.fuel.kind === null)
    const fuelled = alike.filter(({ input }) => input.fuel.kind !== null)
    if (fuelled.length === 0) return [{ members: inOrder(alike), besides: [] }]
    const fuels = grouped(fuelled, ({ input }) => fuelHeat(input.fuel))
    return fuels
      .sort(([a], [b]) => compared(fuelHeat(a!.input.fuel), fuelHeat(b!.input.fuel)))
      .map((members, i) =>
        i === 0
          ? { members: inOrder([...members, ...unfuelled]), besides: [] }
          : { members: inOrder(members), besides: inOrder(unfuelled) },
      )
  })
}

const compared = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)
/** Sums run in one order whatever order the runs came in: the same figures to the last digit. */
const inOrder = (runs: readonly TakenRun[]): TakenRun[] => [...runs].sort((a, b) => compared(a.input.id, b.input.id))

function grouped(runs: readonly TakenRun[], keyOf: (run: TakenRun, i: number) => string): TakenRun[][] {
  const groups = new Map<string, TakenRun[]>()
  runs.forEach((run, i) => {
    const key = keyOf(run, i)
    const group = groups.get(key)
    if (group) group.push(run)
    else groups.set(key, [run])
  })
  return [...groups.values()]
}

const builtInLhv = (kind: string): number | null => {
  const fuel = fuelOfKind(kind)
  return fuel === null ? null : fuel.lowerHeatingValue.value * 1e6
}

/** What a fuel is as far as heat goes: two kinds, or two heating values, are two fuels. */
const fuelHeat = ({ kind, lhvJPerKg }: RunInput['fuel']): string =>
  JSON.stringify([kind, lhvJPerKg ?? (kind === null ? null : builtInLhv(kind))])

/** The means of a set-up; each run is told which it enters, and, where its workings are asked for, how that was made. */
function setupOf(
  runs: readonly { input: RunInput; answer: RunAnswer }[],
  series: SetupSeries,
  options: ReduceOptions,
): SetupAnswer[] {
  const [{ input }] = runs as [{ input: RunInput; answer: RunAnswer }]
  const inputs = runs.flatMap(({ input: own, answer }) => meanInput(own, answer, options.reference) ?? [])
  if (input.setup === null || inputs.length === 0) return []
  const means = meansOf(inputs, options.boil)
  const leftOut = runs.filter(({ answer }) => isImpossible(answer.flags)).map(({ answer }) => answer.id)
  tellMeans(runs, means, leftOut.length)
  const { meanGPerL, meanU, sdGPerL, ci95 } = means.length === 1 ? means[0]!.mean : NO_SINGLE_MEAN
  return [
    {
      setup: input.setup,
      origin: input.origin,
      fuel: input.fuel.kind,
      leftOut,
      n: inputs.length,
      means: means.map(({ mean }) => mean),
      meanGPerL,
      meanU,
      sdGPerL,
      ci95,
      flame: flameAnswer(series, options),
    },
  ]
}
const NO_SINGLE_MEAN = { meanGPerL: null, meanU: null, sdGPerL: null, ci95: null }

function tellMeans(runs: readonly { answer: RunAnswer }[], means: ReturnType<typeof meansOf>, leftOut: number): void {
  const byId = new Map(means.flatMap(({ mean, ids }) => ids.map((id) => [id, mean] as const)))
  for (const { answer } of runs) {
    const mean = byId.get(answer.id)
    if (mean === undefined) continue
    answer.mean = meanOf(mean)
    if (answer.workings !== undefined) answer.workings['setup.mean'] = setupMeanWorking(mean, leftOut)
  }
}
