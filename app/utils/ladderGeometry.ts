/** Where everything of a ladder is drawn: a log axis of g/L, and for each rung its bar, whisker, gap or diamond. */
import type { Rung, RunAnswer } from '#core/formats/answer'
import { formatNumber } from '#core/quantity/format'
import { BASIS_WORDS, factorText, rungSentence } from './ladderWords'
import { fuelWithU } from './words'

export interface RungShape {
  rung: Rung
  /**
   * bar: moves visibly; diamond: less than 3 px; level: moves nothing; open: a reading is missing; begins: no figure
   * before it; none: no figure at all.
   */
  shape: 'bar' | 'diamond' | 'level' | 'open' | 'begins' | 'none'
  fromX: number | null
  toX: number | null
  /** Cumulative uncertainty, k = 2, and this rung's own part of it. */
  whisker: [number, number] | null
  core: [number, number] | null
  ghost: [number, number] | null
  /** "tested 3…19, asked −14": beyond what the set-up was tried at. */
  beyond: string | null
}

/** So much further than tried is still as tried [°C, m/s, g/min]. */
const ABOUT: Partial<Record<Rung['rung'], number>> = { surroundings: 3, wind: 0.3, flame: 0.1 }

/**
 * What the set-up was tried at and what is asked of it, where that lies outside. Start and boiling point are physics,
 * and need no trying.
 */
function beyondReach({ rung, reach, moved, factor }: Rung): string | null {
  const about = ABOUT[rung]
  if (about === undefined || reach === null || factor === null || factor === 1) return null
  const [low, high] = reach.tested
  if (reach.asked >= low - about && reach.asked <= high + about) return null
  const figure = (value: number) => formatNumber(value, 1)
  return `tested ${low === high ? figure(low) : `${figure(low)}…${figure(high)}`}, asked ${figure(reach.asked)}\u202f${moved.unit}`
}

export interface LadderGeometry {
  measuredX: number | null
  normalisedX: number | null
  rungs: RungShape[]
  ticks: { x: number; value: number }[]
}

/** The axis spans at least this. */
const LEAST_SPAN = Math.log(1.1)
const SMALLEST_BAR_PX = 3
const NO_CHANGE = 0.0005
const EDGE_PX = 10

/** The figure the ladder starts from: as measured, or as the model predicts where it did not boil. */
export function ladderStart({ gPerL, ladder }: Pick<RunAnswer, 'gPerL' | 'ladder'>): number | null {
  const first = ladder[0]
  return gPerL ?? (first && first.factor !== null && first.gPerL !== null ? first.gPerL / first.factor : null)
}

export function ladderGeometry(
  answer: Pick<RunAnswer, 'gPerL' | 'ladder' | 'normalisedGPerL'>,
  widthPx: number,
): LadderGeometry {
  const start = ladderStart(answer)
  const x = axis(valuesOf(answer.ladder, start), widthPx)
  let before = start
  const rungs = answer.ladder.map((rung) => {
    const shape = shapeOf(rung, before, x)
    before = rung.gPerL
    return shape
  })
  return {
    measuredX: start === null ? null : x(start),
    normalisedX: answer.normalisedGPerL === null ? null : x(answer.normalisedGPerL),
    rungs,
    ticks: ticksOf(x, widthPx),
  }
}

type Axis = ((value: number) => number) & { low: number; high: number }

function valuesOf(ladder: readonly Rung[], start: number | null): number[] {
  const values = start === null ? [] : [start]
  for (const { gPerL, u, ghost } of ladder) {
    if (gPerL !== null) values.push(gPerL, gPerL + 2 * (u ?? 0), Math.max(gPerL * 0.5, gPerL - 2 * (u ?? 0)))
    if (ghost) values.push(...ghost)
  }
  return values
}

function axis(values: number[], widthPx: number): Axis {
  const logs = values.length > 0 ? values.map(Math.log) : [0]
  const middle = (Math.min(...logs) + Math.max(...logs)) / 2
  const half = Math.max(LEAST_SPAN, (Math.max(...logs) - Math.min(...logs)) * 1.04) / 2
  // Rounded: a server's logarithm and a browser's may differ in the last place.
  const x = (value: number) =>
    Math.round(1e8 * (EDGE_PX + ((Math.log(value) - (middle - half)) / (2 * half)) * (widthPx - 2 * EDGE_PX))) / 1e8
  return Object.assign(x, { low: Math.exp(middle - half), high: Math.exp(middle + half) })
}

function shapeOf(rung: Rung, before: number | null, x: Axis): RungShape {
  const { gPerL, u, ownU, factor, ghost } = rung
  const toX = gPerL === null ? null : x(gPerL)
  const fromX = before === null ? null : x(before)
  const span = (half: number | null): [number, number] | null =>
    gPerL === null || half === null || half === 0
      ? null
      : [x(Math.max(gPerL * 0.5, gPerL - 2 * half)), x(gPerL + 2 * half)]
  return {
    rung,
    fromX,
    toX,
    whisker: span(u),
    core: span(ownU),
    ghost: ghost ? [x(ghost[0]), x(ghost[1])] : null,
    beyond: beyondReach(rung),
    shape: kindOf({ factor, fromX, toX }),
  }
}

function kindOf({
  factor,
  fromX,
  toX,
}: {
  factor: number | null
  fromX: number | null
  toX: number | null
}): RungShape['shape'] {
  if (toX === null) return 'none'
  if (fromX === null) return 'begins'
  if (factor === null) return 'open'
  if (Math.abs(factor - 1) < NO_CHANGE) return 'level'
  return Math.abs(toX - fromX) < SMALLEST_BAR_PX ? 'diamond' : 'bar'
}

/** Round figures along the axis, not closer than 50 px where two of them fit so: one alone tells no distance. */
function ticksOf(x: Axis, widthPx: number): { x: number; value: number }[] {
  const wanted = Math.max(2, Math.floor(widthPx / 60))
  const raw = (x.high - x.low) / wanted
  const decade = 10 ** Math.floor(Math.log10(raw))
  const steps = [10, 5, 2, 1, 0.5].map((one) => one * decade)
  const widest = steps.findLastIndex((one) => one >= raw)
  const some = steps.slice(widest).map((step) => roundBetween(x, step))
  return (some.find((values) => values.length > 1) ?? some[0]!).map((value) => ({ x: x(value), value }))
}

function roundBetween({ low, high }: Axis, step: number): number[] {
  const first = Math.ceil(low / step)
  return Array.from({ length: Math.max(0, Math.floor(high / step) - first + 1) }, (_, i) =>
    Number(((first + i) * step).toPrecision(6)),
  )
}

/** The ladder as plain text, for a forum or a letter. */
export function ladderText(answer: RunAnswer, title: string): string {
  const start = ladderStart(answer)
  const figure = (value: number, u: number | null) => fuelWithU(value, u).replaceAll('\u202f', ' ')
  const lines = answer.ladder.map((rung) => {
    const change = rung.factor === null ? 'open' : factorText(rung.factor).replaceAll('\u202f', ' ')
    const result = rung.gPerL === null ? 'no figure' : `${figure(rung.gPerL, rung.u)} g/L`
    return `${rungSentence(rung).replaceAll('\u202f', ' ').padEnd(36)} ${change.padEnd(20)} ${result}  (${rung.factor === null ? 'missing' : BASIS_WORDS[rung.basis]})`
  })
  const measured =
    start === null
      ? 'no figure'
      : `${figure(start, answer.gPerL === null ? null : answer.gPerLU)} g/L${answer.gPerL === null ? ', predicted' : ''}`
  const normalised =
    answer.normalisedGPerL === null
      ? 'not normalised'
      : `${figure(answer.normalisedGPerL, answer.normalisedU)} g/L${answer.status === 'partly' ? ', partly' : ''}`
  return [
    title,
    `As measured: ${measured}`,
    ...lines,
    `Normalised: ${normalised} (± is k = 2)`,
    'Factors multiply; percents do not add.',
  ].join('\n')
}
