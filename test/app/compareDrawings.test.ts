/** Drawings of Compare: from an answer to what stands on paper, everything where its value says. */
import { describe, expect, it } from 'vitest'
import type { LineAnswer } from '../../core/formats/comparison'
import { compareChart, PAPER_COLOURS, type DrawnChart } from '../../app/charts/compareChart'
import { intervalRowsSvg } from '../../app/charts/intervalRowsSvg'
import { lineChartSvg } from '../../app/charts/lineChartSvg'
import { pageOfQuestion } from '../../app/utils/comparePages'
import { onAxis, rangeOfBoil, shownOfBoil, unitOfBoil } from '../../app/utils/compareUnits'
import { crossingWords, lineDrawing, neverBoiledWords } from '../../app/utils/lineDrawing'
import type { LinesAnswer } from '../../shared/answers'

const line = (arm: string, more: Partial<LineAnswer> = {}): LineAnswer => ({
  arm,
  points: [
    [1, 20, 0.5],
    [2, 24, 0.5],
  ],
  curve: [0, 1, 2, 3].map((x) => [x, 16 + 4 * x, 15 + 4 * x, 17 + 4 * x]),
  crossings: [],
  thriftiest: null,
  doublingMS: null,
  stallMS: null,
  neverBoiled: [],
  ...more,
})
const answer = (lines: LineAnswer[], more: Partial<LinesAnswer> = {}) =>
  ({ kind: 'wind', litres: 0.5, lines, ...more }) as LinesAnswer

describe('lines', () => {
  it('are of a boil; solid where tested, dotted beyond, with the band all along', () => {
    const { arms, yTitle, xMin } = lineDrawing(answer([line('A')]))
    expect(yTitle).toBe('g a boil')
    expect(xMin).toBe(0)
    expect(arms[0]!.points).toEqual([
      [1, 10, 0.5],
      [2, 12, 0.5],
    ])
    const of = (kind: string) =>
      arms[0]!.lines.filter((one) => one.kind === kind).map(({ data }) => data.map(([x]) => x))
    expect(of('curve')).toEqual([[1, 2]])
    expect(of('beyond')).toEqual([
      [0, 1, 2],
      [1, 2, 3],
    ])
    expect(of('band')).toEqual([
      [0, 1, 2, 3],
      [0, 1, 2, 3],
    ])
    expect(lineDrawing(answer([line('A')], { kind: 'volume', litres: null })).yTitle).toBe('g a litre')
    expect(lineDrawing(answer([line('A')], { kind: 'cold' })).xMin).toBeUndefined()
  })

  it('say where they cross, who takes less below, and who never boiled', () => {
    const steep = line('steep', { curve: [0, 1, 2, 3].map((x) => [x, 10 + 8 * x, 0, 0]), crossings: [[1.5, 1.2, 1.8]] })
    const flat = line('flat', { curve: [0, 1, 2, 3].map((x) => [x, 22, 0, 0]), neverBoiled: [3.4, 5] })
    expect(crossingWords(answer([steep, flat], { kind: 'flameLine' }))).toEqual([
      'Crossing A at 1.5 g/min (1.2 to 1.8): below it steep takes less.',
    ])
    expect(crossingWords(answer([steep]))).toEqual([])
    expect(neverBoiledWords(answer([steep, flat]))).toBe('2 runs never came to the boil, from 3.4 m/s on.')
    expect(neverBoiledWords(answer([steep, { ...flat, neverBoiled: [20] }], { kind: 'cold' }))).toBe(
      '1 run never came to the boil.',
    )
    expect(neverBoiledWords(answer([steep]))).toBe('')
    const doubling = { value: 2.5, u: 0.2, low: 2.1, high: 2.9, basis: 'ownSeries' as const }
    expect(lineDrawing(answer([line('A', { doublingMS: doubling, stallMS: { ...doubling, low: 5 } })])).marks).toEqual([
      { x: 2.5, words: 'twice the fuel, 2.1 to 2.9' },
      { x: 5, words: 'may fail to boil from here' },
    ])
  })
})

describe('a chart as lines', () => {
  const drawn: DrawnChart = {
    arms: [
      {
        name: 'A',
        points: [[1, 10, 2]],
        lines: [
          {
            kind: 'curve',
            data: [
              [0, 8],
              [4, 16],
            ],
          },
        ],
      },
      { name: '<B>', points: [[3, 12, null]], lines: [] },
    ],
    marks: [{ x: 2, words: 'a < b' }],
    xTitle: 'm/s',
    yTitle: 'g a boil',
    xMin: 0,
  }
  const svg = lineChartSvg(compareChart(drawn, PAPER_COLOURS), { width: 720, height: 400 })

  it('holds curve, points, their intervals and marks; what is a name is no mark-up', () => {
    expect(svg).toContain('a &#60; b')
    expect(svg).not.toContain('a < b')
    // A circle for the first arm, a square for the second, and one upright stroke for the interval that is known.
    expect(svg.match(/a5 5 0 1 0 10 0/g)).toHaveLength(1)
    expect(svg.match(/h10v10h-10z/g)).toHaveLength(1)
    const strokes = [...svg.matchAll(/d="M([\d.]+) [\d.]+L([\d.]+) [\d.]+"/g)]
    expect(strokes.filter(([, from, to]) => from === to)).toHaveLength(1)
  })

  it('asks Chart.js for the same: a dataset for each line and interval, names for the tooltip', () => {
    const { data, options } = compareChart(drawn, PAPER_COLOURS)
    // Of A its curve, its interval and its points; of B its points.
    expect(data.datasets).toHaveLength(4)
    const title = options!.plugins!.tooltip!.callbacks!.title as unknown as (items: object[]) => string
    expect(data.datasets.map((_, datasetIndex) => title([{ datasetIndex }]))).toEqual(['A', 'A', 'A', '<B>'])
  })
})

describe('estimates under one another, for paper', () => {
  const rows = [
    { label: 'plain & simple', mark: 10, interval: [9, 11] as const, words: '10 (9 to 11)', strokes: [9.5, 10.5] },
    { label: 'said', mark: 12, interval: null, words: '12', said: 8, beside: 'missed' },
  ]
  const svg = intervalRowsSvg([{ rows, unit: 'g a boil', nought: 10 }], ['One bench, 6 runs.'])

  it('have label, mark, line, strokes, what is said and the notes; all inside the sheet', () => {
    expect(svg).toContain('plain &#38; simple')
    expect(svg).toContain('12 · missed')
    expect(svg).toContain('One bench, 6 runs.')
    expect(svg.match(/r="5"/g)).toHaveLength(2)
    expect(svg.match(/r="6"/g)).toHaveLength(1)
    const across = [...svg.matchAll(/cx="([\d.]+)"/g)].map(([, x]) => Number(x))
    expect(Math.max(...across)).toBeLessThan(860 - 230)
    expect(Math.min(...across)).toBeGreaterThan(220)
    // The smaller value stands further left.
    expect(across[0]!).toBeLessThan(across.at(-1)!)
  })
})

describe('units and addresses', () => {
  it('grams, kilojoules, money and minutes, each as one reads them', () => {
    const boil = { boilG: 0.275, low: 0.26, high: 0.29 }
    expect(rangeOfBoil({ unit: 'MJ', currency: null }, boil)).toBe('275 (260 to 290)')
    expect(onAxis('MJ', 0.275)).toBeCloseTo(275, 9)
    expect(onAxis('g', 7.5)).toBe(7.5)
    expect(shownOfBoil({ unit: 's', currency: null }, 215.4)).toBe('3:35')
    expect(shownOfBoil({ unit: 'money', currency: 'EUR' }, 0.2461)).toBe('0.246')
    expect(unitOfBoil({ unit: 'money', currency: 'EUR' })).toBe('EUR a boil')
    expect(unitOfBoil({ unit: 's', currency: null })).toBe('to the boil')
  })

  it('every kind of question has its page', () => {
    const to = (kind: Parameters<typeof pageOfQuestion>[0]['kind'], asks: Record<string, string>) =>
      pageOfQuestion({ kind, asks }).path
    expect(to('part', { a: '1', b: '2' })).toBe('/compare/two')
    expect(to('together', { a: '1', b: '2' })).toBe('/compare/two')
    expect(to('together', { setup: '1' })).toBe('/compare/people')
    expect(to('people', { setup: '1' })).toBe('/compare/people')
    expect(to('ranking', {})).toBe('/compare/ranking')
    expect(pageOfQuestion({ kind: 'wind', asks: { setup: 's', fuel: 'f' } })).toEqual({
      path: '/compare/lines',
      query: { kind: 'wind', setups: 's', fuel: 'f' },
    })
    expect(pageOfQuestion({ kind: 'claim', asks: { claim: 'c' } })).toEqual({
      path: '/compare/claims',
      hash: '#claim-c',
    })
  })
})
