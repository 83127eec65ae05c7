/** Lines of Compare as charts: measured points, fitted curves, bands, and what stands at an upright. */
import { formatNumber } from '#core/quantity/format'
import type { LinesAnswer } from '#shared/answers'
import type { DrawnArm, DrawnChart, DrawnMark } from '../charts/compareChart'

export const LINE_AXES: Record<LinesAnswer['kind'], { title: string; table: string; decimals: number }> = {
  flameLine: { title: 'g/min', table: 'Burn rate [g/min]', decimals: 1 },
  wind: { title: 'm/s', table: 'Wind at the pot [m/s]', decimals: 1 },
  cold: { title: 'air °C', table: 'Air [°C]', decimals: 0 },
  height: { title: 'm', table: 'Height [m]', decimals: 0 },
  volume: { title: 'g of water', table: 'Water [g]', decimals: 0 },
}
export const LINE_KIND_WORDS: Record<LinesAnswer['kind'], string> = {
  flameLine: 'the flame',
  wind: 'wind',
  cold: 'cold',
  height: 'height',
  volume: 'volume',
}

/** Of a boil where all are of one volume, else of a litre. */
export const lineUnit = ({ litres }: LinesAnswer): string => (litres === null ? 'g a litre' : 'g a boil')

type Line = LinesAnswer['lines'][number]

function armOf({ arm, points, curve }: Line, scale: number): DrawnArm {
  const xs = points.map(([x]) => x)
  const [low, high] = [Math.min(...xs), Math.max(...xs)]
  const pick = (i: 1 | 2 | 3, isIn: (x: number) => boolean) =>
    curve.filter(([x]) => isIn(x)).map((one): [number, number] => [one[0], one[i] * scale])
  const inside = (x: number) => x >= low - 1e-9 && x <= high + 1e-9
  // A piece beyond begins where the tested one ends.
  const step = curve.length > 1 ? curve[1]![0] - curve[0]![0] : 0
  return {
    name: arm,
    points: points.map(([x, y, u]) => [x, y * scale, 2 * u * scale]),
    lines: [
      { kind: 'curve', data: pick(1, inside) },
      { kind: 'beyond', data: pick(1, (x) => x <= low + step) },
      { kind: 'beyond', data: pick(1, (x) => x >= high - step) },
      { kind: 'band', data: pick(2, () => true) },
      { kind: 'band', data: pick(3, () => true) },
    ].filter(({ data }) => data.length > 1) as DrawnArm['lines'],
  }
}

function marksOf({ crossings, doublingMS, stallMS }: Line, isFirst: boolean): DrawnMark[] {
  const metres = (value: number) => formatNumber(value, 1)
  return [
    ...(isFirst ? crossings.map(([x], i) => ({ x, words: `crossing ${String.fromCharCode(65 + i)}` })) : []),
    ...(doublingMS === null
      ? []
      : [{ x: doublingMS.value, words: `twice the fuel, ${metres(doublingMS.low)} to ${metres(doublingMS.high)}` }]),
    ...(stallMS === null ? [] : [{ x: stallMS.low, words: 'may fail to boil from here' }]),
  ]
}

export function lineDrawing(answer: LinesAnswer): DrawnChart {
  const scale = answer.litres ?? 1
  return {
    arms: answer.lines.map((line) => armOf(line, scale)),
    marks: answer.lines.flatMap((line, i) => marksOf(line, i === 0)),
    xTitle: LINE_AXES[answer.kind].title,
    yTitle: lineUnit(answer),
    ...(answer.kind === 'cold' ? {} : { xMin: 0 }),
  }
}

/** "Crossing A at 1.6 g/min (1.4 to 1.9): below it Fumarole with narrow pot takes less." */
export function crossingWords(answer: LinesAnswer): string[] {
  const [first, second] = answer.lines
  if (first === undefined || second === undefined) return []
  const decimals = LINE_AXES[answer.kind].decimals
  return first.crossings.map(([x, low, high], i) => {
    const below = valueAt(first, x - 0.05 * x) < valueAt(second, x - 0.05 * x) ? first.arm : second.arm
    return `Crossing ${String.fromCharCode(65 + i)} at ${formatNumber(x, decimals)} ${LINE_AXES[answer.kind].title} (${formatNumber(low, decimals)} to ${formatNumber(high, decimals)}): below it ${below} takes less.`
  })
}

/** Of the curve, at its nearest point. */
const valueAt = ({ curve }: Line, x: number): number =>
  curve.reduce((best, one) => (Math.abs(one[0] - x) < Math.abs(best[0] - x) ? one : best), curve[0] ?? [0, 0, 0, 0])[1]

/** "4 never came to the boil, from 3.4 m/s on." */
export function neverBoiledWords({ lines, kind }: LinesAnswer): string {
  const all = lines.flatMap(({ neverBoiled }) => neverBoiled)
  if (all.length === 0) return ''
  const least = formatNumber(Math.min(...all), LINE_AXES[kind].decimals)
  const runs = all.length === 1 ? '1 run never came' : `${all.length} runs never came`
  return kind === 'wind' ? `${runs} to the boil, from ${least} m/s on.` : `${runs} to the boil.`
}
