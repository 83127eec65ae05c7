/** The chart of a run's trace: temperatures, marks, the fitted model and, below, what it leaves. */
import type { ChartConfiguration, ScaleOptionsByType } from 'chart.js'
import type { AnnotationOptions } from 'chartjs-plugin-annotation'
import { formatClock } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/kinds'
import { fromSI, unitOf } from '#core/quantity/units'
import { EVENT_NAMES, type EventKind } from '#core/run/events'
import { fittedTemperature, type BurnFit } from '#core/trace/fitHeating'
import { clockStep } from '../utils/intervalAxis'

/** Times in s on the run's clock, temperatures in °C. */
export interface TraceShown {
  trace: readonly (readonly [number, number])[]
  marks: readonly { kind: EventKind; s: number }[]
  boilingC: number | null
  fit: readonly BurnFit[] | null
  /** The boil, by the trace. */
  foundS: number | null
}
/** Colours of the light. */
export interface Colours {
  ink: string
  edge: string
  water: string
  sheet: string
}
/** With the width it is drawn in, and the unit that temperatures are shown in. */
export interface ChartLook extends Colours {
  widthPx: number
  unitLabel: string
  inUnit: (tempC: number) => number
}

/** @param widthPx how wide it is drawn */
export function lookOf(colours: Colours, units: UnitSystem, widthPx: number): ChartLook {
  const unit = unitOf(units === 'trail' ? 'degF' : 'degC')
  return { ...colours, widthPx, unitLabel: unit.label, inUnit: (tempC) => fromSI(tempC, unit) }
}

const FONT = { family: 'Atkinson Hyperlegible Mono Variable', size: 12 }

export const runTraceChart = (shown: TraceShown, look: ChartLook): ChartConfiguration<'line'> => ({
  type: 'line',
  data: { datasets: datasets(shown, look) },
  options: {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    interaction: { mode: 'index', intersect: false },
    scales: scales(shown, look),
    plugins: {
      legend: { display: false },
      decimation: { enabled: true, algorithm: 'lttb', samples: 600 },
      annotation: { annotations: annotations(shown, look) },
      tooltip: tooltip(look),
    },
  },
})

function datasets({ trace, fit }: TraceShown, { ink, water, inUnit }: ChartLook) {
  const thin = { pointRadius: 0, pointHitRadius: 0, parsing: false as const, borderWidth: 1.5, borderColor: ink }
  const measured = {
    data: trace.map(([s, tempC]) => ({ x: s, y: inUnit(tempC) })),
    borderColor: water,
    borderWidth: 2,
    pointRadius: 0,
    pointHitRadius: 8,
    parsing: false as const,
    yAxisID: 'y',
  }
  const fitted = (fit ?? []).flatMap((burn) => {
    const inside = trace.filter(([s]) => s >= burn.fromS && s <= burn.toS)
    const curve = inside.map(([s]) => ({ x: s, y: inUnit(fittedTemperature(burn, s)) }))
    const left = inside.map(([s, tempC], i) => ({ x: s, y: inUnit(tempC) - curve[i]!.y }))
    return [
      { ...thin, data: curve, borderDash: [5, 3], yAxisID: 'y' },
      { ...thin, data: left, borderWidth: 1, yAxisID: 'left' },
    ]
  })
  return [measured, ...fitted]
}

function annotations(
  { trace, marks, boilingC, foundS }: TraceShown,
  look: ChartLook,
): Record<string, AnnotationOptions> {
  const { ink, edge, water, inUnit } = look
  const upright = (s: number) => ({ type: 'line' as const, yScaleID: 'y', xMin: s, xMax: s })
  const label = labelled(look)
  const all: Record<string, AnnotationOptions> = {}
  const spanS = Math.max(60, ...trace.map(([s]) => s))
  for (const [i, { kind, s, row }] of inRows(marks, spanS, look.widthPx).entries()) {
    const name = { ...label(EVENT_NAMES[kind], 'start'), yAdjust: -row * ROW_PX }
    all[`mark${i}`] = { ...upright(s), borderColor: ink, borderWidth: 1.5, label: name }
  }
  if (boilingC !== null) {
    const y = inUnit(boilingC)
    const line = { borderColor: edge, borderDash: [6, 4], borderWidth: 1 }
    all.boiling = { type: 'line', yScaleID: 'y', yMin: y, yMax: y, ...line }
  }
  if (foundS !== null) {
    const line = { borderColor: water, borderDash: [3, 3], borderWidth: 2 }
    all.found = { ...upright(foundS), ...line, label: label('Boil, by the trace', 'center') }
  }
  return all
}

const ROW_PX = 18
/** A letter of its font, with what the axis takes of the width. */
const LETTER_PX = 8.8
/** Marks with the row their name stands in, one above another where they are near. */
function inRows(marks: TraceShown['marks'], spanS: number, widthPx: number) {
  const endsS: number[] = []
  const secondsOf = (letters: number) => ((letters * LETTER_PX) / widthPx) * spanS
  return [...marks]
    .sort((a, b) => a.s - b.s)
    .map((mark) => {
      const halfS = secondsOf(EVENT_NAMES[mark.kind].length / 2 + 1)
      const free = endsS.findIndex((endS) => endS <= mark.s - halfS)
      const row = free === -1 ? endsS.length : free
      endsS[row] = mark.s + halfS
      return { ...mark, row }
    })
}

const labelled =
  ({ ink, sheet }: ChartLook) =>
  (content: string, position: 'start' | 'center') => ({
    display: true,
    content,
    position,
    backgroundColor: sheet,
    color: ink,
    font: FONT,
    padding: 2,
  })

function scales({ trace, fit }: TraceShown, { ink, edge, unitLabel }: ChartLook) {
  const grid = { color: edge, lineWidth: 0.3 }
  const ticks = { color: ink, font: FONT }
  const upright = (text: string, stackWeight: number, weight: number) => ({
    type: 'linear' as const,
    stack: 'trace',
    stackWeight,
    weight,
    title: { display: true, text, color: ink, font: FONT },
    grid,
  })
  const x = {
    type: 'linear' as const,
    min: 0,
    ticks: {
      ...ticks,
      stepSize: clockStep(trace.at(-1)?.[0] ?? 60),
      callback: (value: string | number) => formatClock(Number(value)),
    },
    grid,
  }
  const y = { ...upright(unitLabel, 3, 1), ticks }
  if (fit === null || fit.length === 0) return { x, y }
  // Its topmost number would stand on the lowest of the temperatures.
  const callback: ScaleOptionsByType<'linear'>['ticks']['callback'] = (value, i, all) =>
    i === all.length - 1 ? '' : value
  const left = {
    ...upright('left over', 1, 0),
    position: 'left' as const,
    ticks: { ...ticks, maxTicksLimit: 3, callback },
  }
  return { x, y, left }
}

const tooltip = ({ ink, sheet, unitLabel }: ChartLook) => ({
  backgroundColor: ink,
  titleColor: sheet,
  bodyColor: sheet,
  titleFont: FONT,
  bodyFont: FONT,
  callbacks: {
    title: (items: { parsed: { x: number | null } }[]) => formatClock(items[0]?.parsed.x ?? 0),
    label: (item: { parsed: { y: number | null } }) => `${item.parsed.y?.toFixed(1)} ${unitLabel}`,
  },
})
