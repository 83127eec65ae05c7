/** Where everything of a run's ribbon is drawn, on a time axis that a table's rows share. */
import type { EventKind } from '#core/run/events'
import type { Ribbon } from '#shared/runRecord'

export interface RibbonGeometry {
  flame: { x: number; width: number; warmUp: boolean }[]
  wedge: string
  marks: { kind: EventKind; s: number; x: number }[]
  boilX: number | null
  tornX: number | null
  endX: number
  unweighed: boolean
}

/** Longer than so many times the median does not set the axis: it runs on past the end, and says so by an arrow. */
const RUNS_ON = 3

/** What the full width of a table's ribbons stands for [s]. */
export function sharedSpan(endsS: readonly number[]): number {
  const sorted = [...endsS].sort((a, b) => a - b)
  const median = sorted[Math.floor(sorted.length / 2)] ?? 60
  return Math.max(60, ...sorted.filter((endS) => endS <= RUNS_ON * median)) * 1.02
}

const FLAME_ENDS: EventKind[] = ['shutOff', 'snuffed', 'flameOut', 'gaveUp', 'stopped']

/** `spanS` is what the full width stands for; the lower quarter is the flame, above it the water. */
export function ribbonGeometry(
  ribbon: Ribbon,
  { spanS, width, height }: { spanS: number; width: number; height: number },
): RibbonGeometry {
  const firstS = Math.min(0, ...ribbon.marks.map((mark) => mark.s))
  const x = (s: number) => ((s - firstS) / spanS) * (width - 6) + 2
  const at = (...kinds: EventKind[]) => ribbon.marks.find((mark) => kinds.includes(mark.kind))?.s ?? null
  const flameFrom = at('lit', 'potOn') ?? firstS
  const bloomed = at('bloomed')
  const flameTo = at(...FLAME_ENDS) ?? at('rollingBoil') ?? ribbon.endS
  const piece = (from: number, to: number, warmUp: boolean) => ({
    x: x(from),
    width: Math.max(1, x(to) - x(from)),
    warmUp,
  })
  const flame =
    bloomed === null
      ? [piece(flameFrom, flameTo, false)]
      : [piece(flameFrom, bloomed, true), piece(bloomed, flameTo, false)]
  const boil = at('rollingBoil')
  return {
    flame,
    wedge: wedgeOf(ribbon, x, height),
    marks: ribbon.marks.map((mark) => ({ ...mark, x: x(mark.s) })).sort((a, b) => a.s - b.s),
    boilX: boil === null ? null : x(boil),
    tornX: at('stopped') === null ? null : x(at('stopped')!),
    endX: x(ribbon.endS),
    unweighed: !ribbon.weighed,
  }
}

/** Water above the flame: its height is its temperature, from 0 °C to the boiling point. */
function wedgeOf({ water, boilingC }: Ribbon, x: (s: number) => number, height: number): string {
  if (water.length < 2) return ''
  const floor = height * 0.75
  const y = (tempC: number) => floor - Math.min(1, Math.max(0, tempC / (boilingC ?? 100))) * (floor - 1)
  const line = water.map(([s, tempC]) => `L${x(s).toFixed(1)},${y(tempC).toFixed(1)}`).join(' ')
  return `M${x(water[0]![0]).toFixed(1)},${floor} ${line} L${x(water.at(-1)![0]).toFixed(1)},${floor} Z`
}
