/**
 * A line chart as a vector drawing, from the same description that Chart.js draws on the screen: for paper, and for who
 * takes it along. What it knows: lines, upright and level lines with their names, scales one above another.
 */
import type { ChartConfiguration } from 'chart.js'
import { formatNumber } from '#core/quantity/format'
import { intervalAxis, type IntervalAxis } from '../utils/intervalAxis'

interface Line {
  data: readonly { x: number; y: number }[]
  borderColor: string
  borderWidth: number
  borderDash?: readonly number[]
  yAxisID: string
  /** Of points without a line between them: how one is drawn. */
  pathOf?: (x: number, y: number) => string
}
interface Named {
  yScaleID: string
  xMin?: number
  yMin?: number
  borderColor: string
  borderWidth: number
  borderDash?: readonly number[]
  label?: { content: string; position: string; yAdjust?: number; color: string; backgroundColor: string }
}
interface Scale {
  min?: number
  stackWeight?: number
  title?: { text: string; color: string }
  ticks?: { color: string; callback?: unknown; stepSize?: number }
  grid: { color: string; lineWidth: number }
}
/** Where a scale stands in the drawing. */
interface Panel {
  scale: Scale
  axis: IntervalAxis
  top: number
  bottom: number
  yOf: (value: number) => number
}
interface Sheet {
  width: number
  height: number
}

const EDGE = { left: 64, right: 24, top: 16, bottom: 28 }
const GAP = 14
const FONT = `font-family="'Atkinson Hyperlegible Mono Variable', monospace" font-size="12"`
const LETTER_PX = 7.3
const TICK_PX = 52
const at = (px: number) => px.toFixed(1)
const escaped = (text: string) => text.replace(/[&<>"]/g, (letter) => `&#${letter.charCodeAt(0)};`)
const dashes = (dash?: readonly number[]) => (dash ? ` stroke-dasharray="${dash.join(' ')}"` : '')

/** How a line is drawn; a colour may be one of the light's (`var(--ink)`). */
const pen = (colour: string, px: number, dash?: readonly number[]) =>
  `fill="none" style="stroke:${colour}" stroke-width="${px}"${dashes(dash)}`

/** @param size in px @returns the drawing as SVG text */
export function lineChartSvg(config: ChartConfiguration<'line'>, { width, height }: Sheet): string {
  const lines = config.data.datasets as unknown as Line[]
  const named = Object.values(config.options!.plugins!.annotation!.annotations!) as unknown as Named[]
  const { x: across, ...upright } = config.options!.scales as unknown as Record<string, Scale>
  const axis = intervalAxis(
    [
      ...(across!.min === undefined ? [] : [across!.min]),
      ...lines.flatMap(({ data }) => data.map(({ x }) => x)),
      ...named.flatMap(({ xMin }) => xMin ?? []),
    ],
    8,
    across!.ticks?.stepSize,
  )
  const from = across!.min ?? axis.from
  const xOf = (x: number) => EDGE.left + ((x - from) / (axis.to - from)) * (width - EDGE.left - EDGE.right)
  const panels = panelsOf(upright, lines, named, height)
  const ticks = axis.ticks.filter((tick) => tick >= from)
  // On a phone's width not every one has room for its words.
  const each = Math.ceil((ticks.length * TICK_PX) / (width - EDGE.left - EDGE.right))
  const said = ticks.filter((_, i) => i % each === 0)
  const all = [
    ...Object.values(panels).flatMap((panel) => panelGrid(panel, { width, xOf, ticks })),
    ...said.map((tick) => text(xOf(tick), height - 8, wordsOf(across!, tick, axis), across!.ticks!.color, 'middle')),
    across!.title ? text(width - EDGE.right, height - 30, across!.title.text, across!.title.color, 'end') : '',
    ...lines.map((line) => lineOf(line, xOf, panels[line.yAxisID]!)),
    ...named.flatMap((one) => namedOf(one, { width, xOf, panel: panels[one.yScaleID]! })),
  ]
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}">${all.join('')}</svg>`
}

function panelsOf(scales: Record<string, Scale>, lines: Line[], named: Named[], height: number): Record<string, Panel> {
  const keys = Object.keys(scales)
  const shares = keys.map((key) => scales[key]!.stackWeight ?? 1)
  const room = height - EDGE.top - EDGE.bottom - GAP * (keys.length - 1)
  const sum = shares.reduce((a, b) => a + b, 0)
  let top = EDGE.top
  return Object.fromEntries(
    keys.map((key, i) => {
      const own = lines.filter((line) => line.yAxisID === key).flatMap(({ data }) => data.map(({ y }) => y))
      const levels = named.flatMap((one) => (one.yScaleID === key && one.yMin !== undefined ? [one.yMin] : []))
      const axis = intervalAxis([...own, ...levels], i === 0 ? 5 : 2)
      const [from, to] = [top, top + (room * shares[i]!) / sum]
      top = to + GAP
      const yOf = (value: number) => to - ((value - axis.from) / (axis.to - axis.from)) * (to - from)
      return [key, { scale: scales[key]!, axis, top: from, bottom: to, yOf }]
    }),
  )
}

function wordsOf(scale: Scale, tick: number, axis: IntervalAxis): string {
  const say = scale.ticks?.callback as ((value: number, i: number, all: unknown[]) => unknown) | undefined
  // Of a scale's own words those count that hang on the number alone.
  return say && say.length < 2 ? String(say(tick, 0, [])) : formatNumber(tick, axis.decimals)
}

const text = (x: number, y: number, words: string, colour: string, anchor: 'start' | 'middle' | 'end') =>
  `<text x="${at(x)}" y="${at(y)}" style="fill:${colour}" text-anchor="${anchor}" ${FONT}>${escaped(words)}</text>`

function panelGrid(
  panel: Panel,
  { width, xOf, ticks }: { width: number; xOf: (x: number) => number; ticks: number[] },
) {
  const { scale, axis, top, bottom, yOf } = panel
  const levels = axis.ticks.map((tick) => `M${EDGE.left} ${at(yOf(tick))}H${width - EDGE.right}`)
  const uprights = ticks.map((tick) => `M${at(xOf(tick))} ${at(top)}V${at(bottom)}`)
  const { text: title, color } = scale.title!
  return [
    `<path d="${[...levels, ...uprights].join('')}" ${pen(scale.grid.color, scale.grid.lineWidth)}/>`,
    ...axis.ticks.map((tick) => text(EDGE.left - 8, yOf(tick) + 4, wordsOf(scale, tick, axis), color, 'end')),
    `<g transform="translate(14 ${at((top + bottom) / 2)}) rotate(-90)">${text(0, 0, title, color, 'middle')}</g>`,
  ]
}

function lineOf(line: Line, xOf: (x: number) => number, panel: Panel) {
  const { data, borderColor, borderWidth, borderDash, pathOf } = line
  const points = data.map(({ x, y }) => [xOf(x), panel.yOf(y)] as const)
  const d = pathOf
    ? points.map((one) => pathOf(...one)).join('')
    : `M${points.map(([x, y]) => `${at(x)} ${at(y)}`).join('L')}`
  return `<path d="${d}" ${pen(borderColor, borderWidth, borderDash)}/>`
}

function namedOf(one: Named, { width, xOf, panel }: { width: number; xOf: (x: number) => number; panel: Panel }) {
  const own = pen(one.borderColor, one.borderWidth, one.borderDash)
  if (one.xMin === undefined)
    return [`<path d="M${EDGE.left} ${at(panel.yOf(one.yMin!))}H${width - EDGE.right}" ${own}/>`]
  const x = xOf(one.xMin)
  const line = `<path d="M${at(x)} ${at(panel.top)}V${at(panel.bottom)}" ${own}/>`
  if (one.label === undefined) return [line]
  const { content, position, yAdjust = 0, color, backgroundColor } = one.label
  const y = (position === 'center' ? (panel.top + panel.bottom) / 2 : panel.bottom - 4) + yAdjust
  const half = (content.length * LETTER_PX) / 2
  const middle = Math.min(width - EDGE.right - half, Math.max(EDGE.left + half, x))
  const ground = `<rect x="${at(middle - half)}" y="${at(y - 11)}" width="${at(2 * half)}" height="15" style="fill:${backgroundColor}"/>`
  return [line, ground, text(middle, y, content, color, 'middle')]
}
