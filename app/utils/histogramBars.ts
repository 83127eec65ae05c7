/** Where a histogram's bars stand, and the normal curve that first order would draw over them. */
import { SOURCES, type SourceKey } from '#core/constants/sources'
import type { Distribution } from '#core/uncertainty/monteCarlo'

const WIDTH = 400
const HEIGHT = 120

export function histogramBars(
  { from, to, counts }: Distribution['histogram'],
  { gPerL, u }: { gPerL: number; u: number },
) {
  const draws = counts.reduce((sum, count) => sum + count, 0)
  const binWidth = (to - from) / counts.length
  const normal = (value: number) =>
    (draws * binWidth * Math.exp(-0.5 * ((value - gPerL) / u) ** 2)) / (u * Math.sqrt(2 * Math.PI))
  const top = Math.max(...counts, normal(gPerL)) * 1.05
  const y = (count: number) => HEIGHT - (count / top) * HEIGHT
  const each = WIDTH / counts.length
  const curve = Array.from(
    { length: 81 },
    (_, i) =>
      `${i === 0 ? 'M' : 'L'}${((i / 80) * WIDTH).toFixed(1)},${y(normal(from + ((to - from) * i) / 80)).toFixed(1)}`,
  ).join(' ')
  return {
    width: WIDTH,
    height: HEIGHT,
    curve,
    bars: counts.map((count, i) => ({
      x: i * each,
      width: Math.max(0.5, each - 1),
      y: y(count),
      height: HEIGHT - y(count),
    })),
  }
}

export const sourceWords = (key: SourceKey): string => SOURCES[key]
