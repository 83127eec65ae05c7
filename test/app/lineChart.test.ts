/** The chart of a trace as lines on paper: drawn from what the screen draws, everything where its value says. */
import { describe, expect, it } from 'vitest'
import { lineChartSvg } from '../../app/charts/lineChartSvg'
import { runTraceChart } from '../../app/charts/runTraceChart'
import { clockStep, intervalAxis, placeOn } from '../../app/utils/intervalAxis'

const LOOK = {
  ink: '#000',
  edge: '#555',
  water: '#06f',
  sheet: '#fff',
  widthPx: 780,
  unitLabel: '°C',
  inUnit: (c: number) => c,
}
const SHOWN = {
  trace: [
    [0, 20],
    [120, 60],
    [240, 100],
  ] as [number, number][],
  marks: [{ kind: 'rollingBoil' as const, s: 240 }],
  boilingC: 100,
  fit: null,
  foundS: null,
}
const SIZE = { width: 720, height: 300 }
const svg = lineChartSvg(runTraceChart(SHOWN, LOOK), SIZE)
/** The points of the path drawn in a colour. */
const pathIn = (colour: string) =>
  svg
    .match(new RegExp(`<path d="M([^"]*)" fill="none" style="stroke:${colour}" stroke-width="2"`))![1]!
    .split('L')
    .map((point) => point.split(' ').map(Number) as [number, number])

describe('a trace on paper', () => {
  it('rises to the line at which water boils, evenly in time', () => {
    const [[x0, y0], [x1, y1], [x2, y2]] = pathIn('#06f') as [[number, number], [number, number], [number, number]]
    expect(x1 - x0).toBeCloseTo(x2 - x1, 0)
    expect(y0 - y1).toBeCloseTo(y1 - y2, 0)
    const level = svg.match(
      /<path d="M64 ([\d.]+)H696" fill="none" style="stroke:#555" stroke-width="1" stroke-dasharray/,
    )![1]
    expect(y2).toBeCloseTo(Number(level), 1)
  })
  it('names its marks and its clock, and nothing in it leaves the sheet', () => {
    expect(svg).toContain('>Rolling boil</text>')
    expect(svg).toContain('>2:00</text>')
    for (const [, x] of svg.matchAll(/ x="([\d.-]+)"/g)) expect(Number(x)).toBeLessThanOrEqual(SIZE.width)
  })
})

describe('an axis', () => {
  it('has round ticks that hold every value', () => {
    const axis = intervalAxis([-33.2, -18.4, 4.1])
    expect(axis.ticks).toEqual([-40, -30, -20, -10, 0, 10])
    expect(placeOn(axis, -15)).toBe(50)
    expect(intervalAxis([21.3, 21.8]).ticks).toEqual([21.2, 21.3, 21.4, 21.5, 21.6, 21.7, 21.8, 21.9])
    expect(intervalAxis([5]).ticks.length).toBeGreaterThan(2)
  })
  it('of a clock has steps as clocks have them', () => {
    expect([55, 400, 900, 5000].map((spanS) => clockStep(spanS))).toEqual([10, 60, 120, 1200])
  })
})
