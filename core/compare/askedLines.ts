/** Lines of a question: fuel against burn rate, wind or volume, arm by arm. */
import type { SetupAnswer } from '../formats/answer'
import type { AskedKind, LineAnswer } from '../formats/comparison'
import { crossings, flameLine, lineAt, thriftiestSetting, type FlameLine } from '../statistics/flameLine'
import type { AskedArm, CountedRun } from './askedArms'

const CURVE_POINTS = 21
const SCANNED = 400

/** @param setups whose flames say in which winds fuel doubles and a boil fails */
export function linesOf(kind: AskedKind, arms: readonly AskedArm[], setups: readonly SetupAnswer[]): LineAnswer[] {
  if (kind === 'wind' || kind === 'volume') return arms.map((arm) => pointsOnly(kind, arm, setups))
  if (kind !== 'flameLine') return []
  const lines = arms.map((arm) => flameLine(pointsOf(arm)))
  return arms.map((arm, i) =>
    flameOf(
      arm,
      lines[i]!,
      lines.filter((_, k) => k !== i),
    ),
  )
}

/** At its own burn rate: the flame rung would take out what is asked. */
const pointsOf = ({ runs }: AskedArm) =>
  runs.flatMap(({ answer, gPerL }) => {
    const own = answer.ladder.find(({ rung }) => rung === 'wind')?.gPerL
    return own == null || answer.burnRateGPerMin === null
      ? []
      : [{ burnRateGPerMin: answer.burnRateGPerMin, gPerL: (own * gPerL) / answer.normalisedGPerL! }]
  })

const NO_LINE = { curve: [], crossings: [], thriftiest: null, doublingMS: null, stallMS: null }

function flameOf(arm: AskedArm, line: FlameLine | null, others: readonly (FlameLine | null)[]): LineAnswer {
  const points = pointsOf(arm).map(({ burnRateGPerMin, gPerL }, i): [number, number, number] => [
    burnRateGPerMin,
    gPerL,
    relativeU(arm.runs[i]!) * gPerL,
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

/** As measured against wind, whatever else stands in the way of a corrected figure; as corrected against volume. */
function pointsOnly(kind: 'wind' | 'volume', arm: AskedArm, setups: readonly SetupAnswer[]): LineAnswer {
  if (kind === 'volume') return { ...NO_LINE, arm: arm.name, points: arm.runs.map(volumePoint) }
  const points = arm.reduced.flatMap(({ answer, document }): [number, number, number][] =>
    document.place.windMS === null || answer.gPerL === null
      ? []
      : [[document.place.windMS, answer.gPerL, answer.gPerLU ?? 0]],
  )
  const flame = setups.find(({ setup }) => setup === arm.reduced[0]?.document.setup)?.flame ?? null
  const { doublingMS, stallMS } = flame ?? NO_LINE
  return { ...NO_LINE, arm: arm.name, points, doublingMS, stallMS }
}

const volumePoint = (run: CountedRun): [number, number, number] => [
  (run.answer.litres ?? 0) * 1000,
  run.gPerL,
  relativeU(run) * run.gPerL,
]
