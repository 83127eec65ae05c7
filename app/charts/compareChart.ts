/** Charts of Compare: points with their uncertainty, fitted curves with their bands, stairs; each arm by its shape and dash. */
import type { ChartConfiguration } from 'chart.js'
import type { AnnotationOptions } from 'chartjs-plugin-annotation'
import { formatNumber } from '#core/quantity/format'

/** Colours of the light. */
export interface ChartColours {
  ink: string
  edge: string
  water: string
  sheet: string
}
export const PAPER_COLOURS: ChartColours = { ink: '#000', edge: '#555', water: '#000', sheet: '#fff' }
export const SCREEN_COLOURS: ChartColours = {
  ink: 'var(--ink)',
  edge: 'var(--edge)',
  water: 'var(--water)',
  sheet: 'var(--sheet)',
}

/** What is drawn of one arm. */
export interface DrawnArm {
  name: string
  /** [x, y, half-width of the 95 % interval]; null: none is drawn. */
  points: readonly (readonly [number, number, number | null])[]
  /** Lines in pieces: a fitted curve, dashed where nothing was tested; the edges of its band, thin. */
  lines: readonly { data: readonly (readonly [number, number])[]; kind: 'curve' | 'beyond' | 'band' }[]
}
/** An upright line with its word: where two lines cross, where fuel doubles. */
export interface DrawnMark {
  x: number
  words: string
}
export interface DrawnChart {
  arms: readonly DrawnArm[]
  marks: readonly DrawnMark[]
  xTitle: string
  yTitle: string
  xMin?: number
  /** The step of its ticks, where round numbers are none. */
  xStep?: number
  /** How a value on the axis is said where it is not a plain number. */
  xWords?: (value: number) => string
  yWords?: (value: number) => string
}

/** Shapes by which points are told apart: no colour says it alone. */
type PointShape = 'circle' | 'rect' | 'triangle' | 'crossRot' | 'rectRot'

const at = (px: number) => px.toFixed(1)
const SHAPES: Record<PointShape, (x: number, y: number, r: number) => string> = {
  circle: (x, y, r) => `M${at(x - r)} ${at(y)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`,
  rect: (x, y, r) => `M${at(x - r)} ${at(y - r)}h${2 * r}v${2 * r}h${-2 * r}z`,
  triangle: (x, y, r) => `M${at(x)} ${at(y - r)}L${at(x + r)} ${at(y + r)}H${at(x - r)}z`,
  crossRot: (x, y, r) => `M${at(x - r)} ${at(y - r)}l${2 * r} ${2 * r}m0 ${-2 * r}l${-2 * r} ${2 * r}`,
  rectRot: (x, y, r) => `M${at(x)} ${at(y - r)}L${at(x + r)} ${at(y)}L${at(x)} ${at(y + r)}L${at(x - r)} ${at(y)}z`,
}

const ARM_SHAPES: readonly PointShape[] = ['circle', 'rect', 'triangle', 'rectRot', 'crossRot']
const DASHES: readonly (readonly number[])[] = [[], [10, 3], [2, 3], [10, 3, 2, 3], [5, 5]]
const FONT = { family: 'Atkinson Hyperlegible Mono Variable', size: 12 }

export const compareChart = (drawn: DrawnChart, colours: ChartColours): ChartConfiguration<'line'> => ({
  type: 'line',
  data: { datasets: drawn.arms.flatMap((arm, i) => datasetsOf(arm, i, colours)) },
  options: {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    interaction: { mode: 'nearest', intersect: false },
    scales: scalesOf(drawn, colours),
    plugins: {
      legend: { display: false },
      annotation: { annotations: annotationsOf(drawn, colours) },
      tooltip: tooltipOf(drawn, colours),
    },
  },
})

/** How far a point reaches from its middle. */
const POINT_PX = 5
const WIDTHS = { curve: 2.5, beyond: 2.5, band: 1 } as const

/** From the one end of an interval to the other. */
const barsOf = (points: DrawnArm['points']): { x: number; y: number }[][] =>
  points.flatMap(([x, y, half]) =>
    half === null
      ? []
      : [
          [
            { x, y: y - half },
            { x, y: y + half },
          ],
        ],
  )

function datasetsOf({ points, lines }: DrawnArm, i: number, { ink, water }: ChartColours) {
  const common = { parsing: false as const, yAxisID: 'y' }
  const colour = i === 0 ? water : ink
  const shape = ARM_SHAPES[i % ARM_SHAPES.length]!
  return [
    ...lines.map(({ data, kind }) => ({
      ...common,
      data: data.map(([x, y]) => ({ x, y })),
      borderColor: colour,
      borderWidth: WIDTHS[kind],
      borderDash: kind === 'beyond' ? [3, 4] : [...DASHES[i % DASHES.length]!],
      pointRadius: 0,
      pointHitRadius: 0,
    })),
    ...barsOf(points).map((data) => ({
      ...common,
      data,
      borderColor: colour,
      borderWidth: 1,
      pointRadius: 0,
      pointHitRadius: 0,
    })),
    {
      ...common,
      data: points.map(([x, y]) => ({ x, y })),
      showLine: false,
      pathOf: (x: number, y: number) => SHAPES[shape](x, y, POINT_PX),
      borderColor: colour,
      backgroundColor: 'transparent',
      borderWidth: 2,
      pointStyle: shape,
      pointRadius: POINT_PX,
      pointHitRadius: 12,
    },
  ]
}

const labelled = (content: string, row: number, { ink, sheet }: Pick<ChartColours, 'ink' | 'sheet'>) => ({
  display: true,
  content,
  position: 'start' as const,
  yAdjust: -18 * row,
  backgroundColor: sheet,
  color: ink,
  font: FONT,
  padding: 2,
})

function annotationsOf({ marks }: DrawnChart, { ink, edge, sheet }: ChartColours) {
  const all: Record<string, AnnotationOptions> = {}
  marks.forEach(({ x, words }, i) => {
    all[`mark${i}`] = {
      type: 'line',
      yScaleID: 'y',
      xMin: x,
      xMax: x,
      borderColor: edge,
      borderWidth: 1.5,
      borderDash: [6, 4],
      label: labelled(words, i, { ink, sheet }),
    }
  })
  return all
}

function scalesOf({ xTitle, yTitle, xMin, xStep, xWords, yWords }: DrawnChart, { ink, edge }: ChartColours) {
  const grid = { color: edge, lineWidth: 0.3 }
  const ticks = (words: ((value: number) => string) | undefined) => ({
    color: ink,
    font: FONT,
    ...(words === undefined ? {} : { callback: (value: string | number) => words(Number(value)) }),
  })
  const title = (text: string) => ({ display: true, text, color: ink, font: FONT })
  return {
    x: {
      type: 'linear' as const,
      ...(xMin === undefined ? {} : { min: xMin }),
      ticks: { ...ticks(xWords), ...(xStep === undefined ? {} : { stepSize: xStep }) },
      title: title(xTitle),
      grid,
    },
    y: { type: 'linear' as const, ticks: ticks(yWords), title: title(yTitle), grid },
  }
}

const tooltipOf = ({ arms, xWords, yWords }: DrawnChart, { ink, sheet }: ChartColours) => {
  const names = arms.flatMap(({ name, lines, points }) => [...lines, ...barsOf(points), null].map(() => name))
  const shown = (words: ((value: number) => string) | undefined, value: number | null) =>
    value === null ? '' : (words?.(value) ?? formatNumber(value, 1))
  return {
    backgroundColor: ink,
    titleColor: sheet,
    bodyColor: sheet,
    titleFont: FONT,
    bodyFont: FONT,
    displayColors: false,
    callbacks: {
      title: (items: { datasetIndex: number }[]) => names[items[0]?.datasetIndex ?? 0] ?? '',
      label: ({ parsed }: { parsed: { x: number | null; y: number | null } }) =>
        `${shown(xWords, parsed.x)}, ${shown(yWords, parsed.y)}`,
    },
  }
}
