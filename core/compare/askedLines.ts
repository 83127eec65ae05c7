/** Lines of a question: fuel against burn rate, wind, air, height or volume, arm by arm. */
import type { RunAnswer, SetupAnswer } from '../formats/answer'
import type { AskedKind, LineAnswer } from '../formats/comparison'
import type { ReduceRequest } from '../formats/document'
import type { Reference } from '../normalise/reference'
import { reduceElsewhere } from '../reduceElsewhere'
import { crossings, flameLine, lineAt, thriftiestSetting, type FlameLine } from '../statistics/flameLine'
import { setupMean, type NormalisedRun } from '../statistics/setupMean'
import { NORMAL_95 } from '../statistics/student'
import { ALONG, ALONG_KINDS, type AlongKind } from './along'
import type { AskedArm, CountedRun } from './askedArms'

const CURVE_POINTS = 21
const SCANNED = 400
/** So many runs stand for all of an arm where a curve is worked out by the model. */
const MOST_MODELLED = 8

interface Asked {
  request: ReduceRequest
  /** Their flames say in which winds fuel doubles and a boil fails. */
  setups: readonly SetupAnswer[]
}

export function linesOf(kind: AskedKind, arms: readonly AskedArm[], { request, setups }: Asked): LineAnswer[] {
  if (kind === 'flameLine') return flameLines(arms)
  const along = ALONG_KINDS.find((one) => one === kind)
  if (along === undefined) return []
  const at = reduceElsewhere(request)
  return arms.map((arm) => alongOf(along, arm, { reference: request.reference, at, setups }))
}

const NO_LINE = { curve: [], crossings: [], thriftiest: null, doublingMS: null, stallMS: null, neverBoiled: [] }

function flameLines(arms: readonly AskedArm[]): LineAnswer[] {
  const lines = arms.map((arm) => flameLine(ownRatesOf(arm)))
  return arms.map((arm, i) =>
    flameOf(
      arm,
      lines[i]!,
      lines.filter((_, k) => k !== i),
    ),
  )
}

/** At its own burn rate: the flame rung would take out what is asked. */
const ownRatesOf = ({ runs }: AskedArm) =>
  runs
    .flatMap((run) => {
      const { burnRateGPerMin } = run.answer
      const without = withoutRung(run, 'flame')
      return without === null || burnRateGPerMin === null ? [] : [{ burnRateGPerMin, gPerL: without, run }]
    })
    .sort((a, b) => a.burnRateGPerMin - b.burnRateGPerMin)

/** Its figure as if one rung were not; null: what that rung does to it is not known. */
function withoutRung({ answer, gPerL }: CountedRun, rung: string): number | null {
  const of = answer.ladder.find((one) => one.rung === rung)
  if (of === undefined) return gPerL
  return of.factor === null ? null : gPerL / of.factor
}

function flameOf(arm: AskedArm, line: FlameLine | null, others: readonly (FlameLine | null)[]): LineAnswer {
  const points = ownRatesOf(arm).map(({ burnRateGPerMin, gPerL, run }): [number, number, number] => [
    burnRateGPerMin,
    gPerL,
    relativeU(run) * gPerL,
  ])
  if (line === null) return { arm: arm.name, points, ...NO_LINE }
  return {
    ...NO_LINE,
    arm: arm.name,
    points,
    curve: evenly(line.range, CURVE_POINTS).map((x) => {
      const { gPerL, band } = lineAt(line, x)
      return [x, gPerL, band?.[0] ?? gPerL, band?.[1] ?? gPerL]
    }),
    crossings: others.flatMap((other) => (other === null ? [] : crossingsOf(line, other))),
    thriftiest: thriftiestSetting(line),
  }
}

/** Where two lines cross, and as far as their bands overlap there. */
function crossingsOf(a: FlameLine, b: FlameLine): [number, number, number][] {
  const range: [number, number] = [Math.max(a.range[0], b.range[0]), Math.min(a.range[1], b.range[1])]
  const isClose = (x: number) => {
    const [one, other] = [lineAt(a, x), lineAt(b, x)]
    const half = ({ gPerL, band }: ReturnType<typeof lineAt>) => (band === null ? 0 : band[1] - gPerL)
    return Math.abs(one.gPerL - other.gPerL) <= Math.hypot(half(one), half(other))
  }
  const xs = evenly(range, SCANNED)
  return crossings(a, b).map((x) => {
    const below = xs.filter((one) => one <= x)
    const above = xs.filter((one) => one >= x)
    const low = below[below.findLastIndex((one) => !isClose(one)) + 1] ?? x
    const out = above.findIndex((one) => !isClose(one))
    return [x, low, (out < 0 ? above.at(-1) : above[out - 1]) ?? x]
  })
}

const evenly = ([from, to]: readonly [number, number], n: number): number[] =>
  Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1))

const relativeU = ({ answer }: CountedRun): number => (answer.normalisedU ?? 0) / answer.normalisedGPerL!

interface Elsewhere {
  reference: Reference
  at: ReturnType<typeof reduceElsewhere>
  setups: readonly SetupAnswer[]
}

/** Corrected for all but what it is drawn against; the curve is the mean of the runs as the model carries it there. */
function alongOf(kind: AlongKind, arm: AskedArm, elsewhere: Elsewhere): LineAnswer {
  const placed = [...arm.runs, ...(kind === 'wind' ? arm.byClass : [])]
    .flatMap((run) => {
      const [x, y] = [ALONG[kind].xOf(run), withoutRung(run, ALONG[kind].rung)]
      return x === null || y === null ? [] : [{ run, point: [x, y, relativeU(run) * y] as [number, number, number] }]
    })
    .sort((a, b) => a.point[0] - b.point[0])
  const first = arm.reduced[0]
  const flame = elsewhere.setups.find(
    ({ setup, fuel }) => setup === first?.document.setup && fuel === first?.document.fuel.kind,
  )?.flame
  return {
    ...NO_LINE,
    arm: arm.name,
    points: placed.map(({ point }) => point),
    curve: curveOf(
      kind,
      placed.map(({ run, point }) => ({ id: run.id, x: point[0], scale: run.gPerL / run.answer.normalisedGPerL! })),
      elsewhere,
    ),
    ...(kind === 'wind' ? { doublingMS: flame?.doublingMS ?? null, stallMS: flame?.stallMS ?? null } : {}),
    neverBoiled: neverBoiled(kind, arm),
  }
}

/** Where a boil never came, though nobody stopped it. */
const neverBoiled = (kind: AlongKind, { reduced, runs }: AskedArm): number[] =>
  reduced
    .filter(({ answer }) => answer.kind === (runs[0]?.answer.kind ?? 'boil'))
    .filter(({ answer: { ended } }) => ended === 'gaveUp' || ended === 'outOfFuel')
    .flatMap((one) => ALONG[kind].xOf(one) ?? [])
    .sort((a, b) => a - b)

interface Modelled {
  id: string
  x: number
  /** The question's unit in a gram. */
  scale: number
}
function curveOf(kind: AlongKind, runs: readonly Modelled[], { reference, at }: Elsewhere): LineAnswer['curve'] {
  if (runs.length === 0) return []
  const stands = evenlyTaken(runs)
  const span = ALONG[kind].spanOf([runs[0]!.x, runs.at(-1)!.x])
  if (!(span[0] < span[1])) return []
  const curve: LineAnswer['curve'] = []
  for (const x of evenly(span, CURVE_POINTS)) {
    const there = ALONG[kind].referenceAt(reference, x)
    const figures = stands.map(({ id, scale }) => figureThere(at(id, there), scale))
    if (figures.some((one) => one === null)) {
      // From a stall on there is nothing to draw.
      if (curve.length > 0) break
      continue
    }
    curve.push(pointOf(x, figures as NormalisedRun[]))
  }
  return curve
}

function pointOf(x: number, figures: readonly NormalisedRun[]): [number, number, number, number] {
  const { meanGPerL, meanU, ci95 } = setupMean(figures)
  const half = (NORMAL_95 * meanU) / meanGPerL
  return [x, meanGPerL, ci95?.[0] ?? meanGPerL * Math.exp(-half), ci95?.[1] ?? meanGPerL * Math.exp(half)]
}

function figureThere(answer: RunAnswer | null, scale: number): NormalisedRun | null {
  if (answer?.normalisedGPerL == null) return null
  return {
    gPerL: answer.normalisedGPerL * scale,
    uRandom: (answer.normalisedURandom ?? 0) * scale,
    uReadingRandom: (answer.normalisedUReadingRandom ?? 0) * scale,
    shared: Object.fromEntries(Object.entries(answer.normalisedSharedBy).map(([cause, one]) => [cause, one * scale])),
  }
}

/** From the first to the last, so many of them. */
const evenlyTaken = <T>(all: readonly T[]): T[] =>
  all.length <= MOST_MODELLED ? [...all] : evenly([0, all.length - 1], MOST_MODELLED).map((at) => all[Math.round(at)]!)
