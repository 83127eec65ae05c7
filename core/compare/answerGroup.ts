/** What more than two lots of runs answer: a ranking, a flame, volumes, wind. */
import type { SetupFlameAnswer } from '../formats/answer'
import { formatNumber } from '../quantity/format'
import { flameLine, lineAt, thriftiestSetting } from '../statistics/flameLine'
import { orderArms, type Order } from '../statistics/manyArms'
import type { PriorScatter } from '../statistics/scatter'
import { studentFactor95, studentTwoSided } from '../statistics/student'
import type { ComparedMean } from './facts'
import type { FactsOf, FoundQuestion, SumsOf } from './found'
import { placesOf } from './places'
import { armNamesOf, listed, testAsked, testWords, volumeWords } from './words'

export function answerRanking(
  means: readonly ComparedMean[],
  sumsOf: SumsOf,
  prior: PriorScatter,
): FoundQuestion | null {
  const names = armNamesOf(means)
  const lots = means.flatMap((mean, i) => {
    const sums = sumsOf(mean.key)
    return sums === null ? [] : [{ name: names[i]!, sums }]
  })
  if (lots.length < 3) return null
  const order = orderArms(lots, { prior })
  const [{ test }] = means as [ComparedMean]
  return {
    kind: 'ranking',
    sentence: rankingSentence(means[0]!),
    line: leadersLine(order),
    effect: null,
    p: null,
    of: testWords(test),
    runs: `${lots.length} set-ups, ${lots.reduce((sum, { sums }) => sum + sums.n, 0)} runs`,
    grade: null,
    isAssumed: prior.isAssumed,
    testKind: test.kind,
    priorSd: prior.sd,
    means: means.map(({ key }) => key),
    asks: testAsked(means[0]!),
  }
}

export const rankingSentence = ({ test, fuel }: ComparedMean): string =>
  `Which set-up boils ${volumeWords(test.volumeG)} on least ${fuel.toLowerCase()}${test.setting === null ? '' : `, at ${test.setting}`}?`

/** Who leads, and whether that is shown. */
export function leadersLine(order: Order): string {
  const places = placesOf(order)
  const leaders = places.filter(({ from }) => from === 1)
  if (leaders.length === places.length) return 'Too close to call between all of them.'
  const names = listed(leaders.map(({ name }) => name))
  if (leaders.length > 1) return `${names}, too close to call.`
  const [first, second] = order.arms
  const less = 1 - first!.geometricMeanGPerL / second!.geometricMeanGPerL
  return `${names}: ${formatNumber(100 * less, 0)} % less than ${second!.name}, the next.`
}

/** Burn rates that differ by less are one flame. */
const APART = 1.25

export function answerFlame(means: readonly ComparedMean[], factsOf: FactsOf): FoundQuestion | null {
  const points = means.flatMap(({ key }) =>
    factsOf(key).flatMap(({ ownRateGPerL, burnRateGPerMin }) =>
      ownRateGPerL === null || burnRateGPerMin === null ? [] : [{ gPerL: ownRateGPerL, burnRateGPerMin }],
    ),
  )
  const line = flameLine(points)
  if (line === null || line.range[1] < APART * line.range[0]) return null
  const thrifty = thriftiestSetting(line)
  const [best, full] = [lineAt(line, thrifty), lineAt(line, line.range[1])]
  const ratio = best.gPerL / full.gPerL
  const u = Math.hypot(best.u / best.gPerL, full.u / full.gPerL)
  const half = studentFactor95(line.fit.freedom) * u
  const isFull = thrifty > 0.97 * line.range[1]
  const rate = (value: number) => `${formatNumber(value, 1)}\u202fg/min`
  return {
    kind: 'flame',
    sentence: `Which flame is thriftiest on ${means[0]!.setup}?`,
    line: isFull
      ? `Full flame, ${rate(line.range[1])}: none that was tried takes less.`
      : `About ${rate(thrifty)}: ${formatNumber(100 * (1 - ratio), 0)} % less than at ${rate(line.range[1])}.`,
    effect: isFull ? null : { ratio, low: ratio * Math.exp(-half), high: ratio * Math.exp(half) },
    p: isFull || !(u > 0) ? null : studentTwoSided(Math.log(ratio) / u, line.fit.freedom),
    of: volumeWords(means[0]!.test.volumeG),
    runs: `${points.length} runs`,
    grade: null,
    isAssumed: false,
    testKind: means[0]!.test.kind,
    priorSd: null,
    means: means.map(({ key }) => key),
    asks: { setup: means[0]!.setupId, fuel: means[0]!.fuelKind },
  }
}

export function answerVolumes(means: readonly ComparedMean[], sumsOf: SumsOf): FoundQuestion | null {
  const filled = means.filter(({ key }) => sumsOf(key) !== null)
  if (filled.length < 2) return null
  const each = filled.map(({ test, meanGPerL }) => `${volumeWords(test.volumeG)} ${formatNumber(meanGPerL, 1)}`)
  return {
    kind: 'volumes',
    sentence: `What does ${filled[0]!.setup} burn for each volume?`,
    line: `${each.join(', ')}\u202fg/L.`,
    effect: null,
    p: null,
    of: filled[0]!.test.setting === null ? '' : `at ${filled[0]!.test.setting}`,
    runs: `${filled.reduce((sum, { key }) => sum + (sumsOf(key)?.n ?? 0), 0)} runs`,
    grade: null,
    isAssumed: false,
    testKind: filled[0]!.test.kind,
    priorSd: null,
    means: filled.map(({ key }) => key),
    asks: { setup: filled[0]!.setupId, fuel: filled[0]!.fuelKind },
  }
}

/** Of a series whose own runs say what wind does to it; null: they do not. */
export function answerWind(mean: ComparedMean, flame: SetupFlameAnswer | null, runs: number): FoundQuestion | null {
  if (flame === null || flame.v0.basis !== 'ownSeries') return null
  const { stallMS, doublingMS } = flame
  const metres = (value: number) => formatNumber(value, 1)
  const stall = stallMS === null ? '' : `May fail to boil from ${metres(stallMS.low)}\u202fm/s on. `
  const doubling =
    doublingMS === null
      ? 'Its fuel does not double below 40\u202fm/s.'
      : `Twice the fuel at ${metres(doublingMS.value)}\u202fm/s (${metres(doublingMS.low)} to ${metres(doublingMS.high)}).`
  return {
    kind: 'wind',
    sentence: `How does ${mean.setup} stand wind?`,
    line: `${stall}${doubling}`,
    effect: null,
    p: null,
    of: '',
    runs: `${runs} runs`,
    grade: null,
    isAssumed: false,
    testKind: mean.test.kind,
    priorSd: null,
    means: [mean.key],
    asks: { setup: mean.setupId, fuel: mean.fuelKind },
  }
}
