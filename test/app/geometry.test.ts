/**
 * What the drawings of a run may never do: lie about a figure, lose a mark, or leave their frame. Common practice, no
 * source, except where one is named.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runTraceChart } from '../../app/charts/runTraceChart'
import { ageOf, ageWords } from '../../app/utils/ages'
import { histogramBars } from '../../app/utils/histogramBars'
import { ladderGeometry, ladderStart } from '../../app/utils/ladderGeometry'
import { ribbonGeometry, sharedSpan } from '../../app/utils/ribbonGeometry'
import type { Rung } from '../../core/formats/answer'
import type { RungName } from '../../core/normalise/reference'
import type { EventKind } from '../../core/run/events'
import type { Ribbon } from '../../shared/runRecord'

const rung = (name: RungName, gPerL: number | null, more: Partial<Rung> = {}): Rung => ({
  rung: name,
  factor: 1,
  gPerL,
  u: 0.2,
  ownU: 0.1,
  basis: 'measured',
  reach: null,
  ghost: null,
  moved: { from: null, to: null, unit: '' },
  ...more,
})

describe('a ladder', () => {
  const WIDTH = 600
  const geometryOf = (gPerL: number | null, ladder: Rung[]) =>
    ladderGeometry({ gPerL, ladder, normalisedGPerL: ladder.at(-1)?.gPerL ?? null }, WIDTH)

  it('draws equal factors as equal lengths, wherever on the axis they stand', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 1.05, max: 1.6, noNaN: true }),
        (g, f) => {
          const { rungs } = geometryOf(g, [
            rung('start', g * f, { factor: f }),
            rung('boilingPoint', g * f * f, { factor: f }),
          ])
          const [first, second] = rungs.map(({ fromX, toX }) => toX! - fromX!)
          expect(first).toBeCloseTo(second!, 6)
        },
      ),
    )
  })

  it('has two round figures on its axis at least, however narrow it is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 80, noNaN: true }),
        fc.double({ min: 0.4, max: 2.5, noNaN: true }),
        fc.integer({ min: 120, max: 900 }),
        (g, factor, widthPx) => {
          const ladder = [rung('start', g * factor, { factor, u: g * 0.01 })]
          const { ticks } = ladderGeometry({ gPerL: g, ladder, normalisedGPerL: g * factor }, widthPx)
          expect(ticks.length).toBeGreaterThanOrEqual(2)
          for (const { x, value } of ticks) {
            expect(x >= 0 && x <= widthPx).toBe(true)
            expect(value).toBe(Number(value.toPrecision(3)))
          }
        },
      ),
    )
  })

  it('keeps everything within its frame, uncertainty too', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 0.5, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        (g, factor, share) => {
          const ghost: [number, number] = [g * 0.8, g * 1.3]
          const shown = geometryOf(g, [rung('wind', g * factor, { factor, u: g * factor * share, ghost })])
          const [{ fromX, toX, whisker, ghost: ghostX }] = shown.rungs as [(typeof shown.rungs)[number]]
          for (const x of [fromX, toX, ...(whisker ?? []), ...ghostX!]) {
            expect(x).toBeGreaterThanOrEqual(0)
            expect(x).toBeLessThanOrEqual(WIDTH)
          }
        },
      ),
    )
  })

  it('tells a step from none, from a tiny one, from a missing one, and from none to begin at', () => {
    const shapes = (gPerL: number | null, ladder: Rung[]) => geometryOf(gPerL, ladder).rungs.map((one) => one.shape)
    expect(
      shapes(15, [
        rung('start', 18, { factor: 1.2 }),
        rung('boilingPoint', 18.0126, { factor: 1.0007 }),
        rung('surroundings', 18.0126, { factor: 1.0001 }),
        rung('wind', 18.0126, { factor: null }),
        rung('flame', null, { factor: null }),
      ]),
    ).toEqual(['bar', 'diamond', 'level', 'open', 'none'])
    expect(shapes(null, [rung('start', 18, { factor: null })])).toEqual(['begins'])
  })

  it('begins where the model says, for a run that did not boil', () => {
    expect(ladderStart({ gPerL: null, ladder: [rung('start', 18, { factor: 1.2 })] })).toBeCloseTo(15, 9)
  })

  it('says beyond what was tried, and keeps quiet about what is as good as tried', () => {
    const beyond = (asked: number, factor: number | null = 1.1) =>
      geometryOf(15, [rung('wind', 16, { factor, reach: { tested: [0.5, 2], asked } })]).rungs[0]!.beyond
    expect(beyond(5)).toMatch(/^tested 0\.5…2\.0, asked 5\.0/)
    expect([beyond(2.2), beyond(1), beyond(5, 1), beyond(5, null)]).toEqual([null, null, null, null])
  })
})

const ribbon = (marks: [EventKind, number][], endS: number, more: Partial<Ribbon> = {}): Ribbon => ({
  marks: marks.map(([kind, s]) => ({ kind, s })),
  water: [],
  boilingC: 97,
  endS,
  weighed: true,
  ...more,
})

describe('a ribbon', () => {
  const FRAME = { spanS: 600, width: 300, height: 40 }

  it('shares an axis that one very long run does not set', () => {
    expect(sharedSpan([200, 240, 260, 5000])).toBeCloseTo(260 * 1.02, 6)
    expect(sharedSpan([200, 240, 500])).toBeCloseTo(500 * 1.02, 6)
    expect([sharedSpan([]), sharedSpan([10])]).toEqual([60 * 1.02, 60 * 1.02])
  })

  it('shows warming up apart from burning, from the bloom', () => {
    const { flame } = ribbonGeometry(
      ribbon(
        [
          ['lit', 0],
          ['bloomed', 40],
          ['potOn', 45],
          ['rollingBoil', 400],
          ['flameOut', 500],
        ],
        520,
      ),
      FRAME,
    )
    expect(flame.map((piece) => piece.warmUp)).toEqual([true, false])
    expect(flame[0]!.x + flame[0]!.width).toBeCloseTo(flame[1]!.x, 9)
    expect(flame[1]!.width / flame[0]!.width).toBeCloseTo(460 / 40, 6)
  })

  it('is torn where a run was stopped, has no boil where none was, and keeps marks in order of their times', () => {
    const { tornX, boilX, marks, unweighed } = ribbonGeometry(
      ribbon(
        [
          ['stopped', 300],
          ['potOn', 0],
          ['lit', -60],
        ],
        300,
        { weighed: false },
      ),
      FRAME,
    )
    expect(marks.map((mark) => mark.kind)).toEqual(['lit', 'potOn', 'stopped'])
    expect([tornX, boilX, unweighed]).toEqual([marks[2]!.x, null, true])
  })

  it('draws no water of one sample, and none above the boiling point', () => {
    const wedgeOf = (water: [number, number][]) => ribbonGeometry(ribbon([['potOn', 0]], 300, { water }), FRAME).wedge
    expect(wedgeOf([[0, 20]])).toBe('')
    const heights = [
      ...wedgeOf([
        [0, 20],
        [200, 97],
        [260, 140],
      ]).matchAll(/L[\d.]+,([\d.]+)/g),
    ].map(([, y]) => Number(y))
    expect(heights[1]).toBe(1)
    expect(heights[2]).toBe(1)
    expect(heights[0]).toBeGreaterThan(20)
  })
})

describe('the chart of a trace', () => {
  const look = {
    ink: '#111',
    edge: '#222',
    water: '#333',
    sheet: '#fff',
    widthPx: 780,
    unitLabel: '°F',
    inUnit: (c: number) => c * 1.8 + 32,
  }
  const measured = { value: 1, u: 0.1 }
  const fit = {
    fromS: 10,
    toS: 30,
    n: 3,
    startC: 20,
    q0W: measured,
    lossAndDroopWPerK: measured,
    slopeKPerS: 1,
    ratePerS: 0,
    lagS: { value: 0, u: 0 },
    rmsK: 0,
    quartersK: [0, 0, 0, 0] as [number, number, number, number],
    flameChanged: false,
  }
  const shown = {
    trace: [
      [0, 20],
      [10, 20],
      [20, 31],
      [30, 40],
      [40, 50],
    ] as [number, number][],
    marks: [{ kind: 'potOn' as const, s: 0 }],
    boilingC: 100,
    fit: [fit],
    foundS: 35,
  }

  it('shows temperatures in the chosen unit, and what the fit leaves in its degrees', () => {
    const { datasets } = runTraceChart(shown, look).data
    expect(datasets[0]!.data).toContainEqual({ x: 10, y: 68 })
    // One kelvin left is 1.8 of Fahrenheit's degrees, without the 32.
    expect(datasets[2]!.data).toEqual([
      { x: 10, y: 0 },
      { x: 20, y: expect.closeTo(1.8, 9) },
      { x: 30, y: expect.closeTo(0, 9) },
    ])
  })

  it('has an axis for what is left over only where something was fitted, and marks only what is known', () => {
    const axes = (fits: typeof shown.fit | null) =>
      Object.keys(runTraceChart({ ...shown, fit: fits }, look).options!.scales!)
    expect(axes([fit])).toEqual(['x', 'y', 'left'])
    expect(axes(null)).toEqual(['x', 'y'])
    expect(axes([])).toEqual(['x', 'y'])
    const marked = (known: object) =>
      Object.keys(runTraceChart({ ...shown, ...known }, look).options!.plugins!.annotation!.annotations as object)
    expect(marked({})).toEqual(['mark0', 'boiling', 'found'])
    expect(marked({ boilingC: null, foundS: null })).toEqual(['mark0'])
  })
})

describe('a histogram', () => {
  it('has bars and a normal curve of one area, where the draws are normal (area of a density: 1)', () => {
    const [mean, sd, n, bins] = [18, 0.5, 20_000, 40]
    const [from, to] = [mean - 5 * sd, mean + 5 * sd]
    const density = (value: number) => Math.exp(-0.5 * ((value - mean) / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI))
    const width = (to - from) / bins
    const counts = Array.from({ length: bins }, (_, i) => n * width * density(from + (i + 0.5) * width))
    const shown = histogramBars({ from, to, counts }, { gPerL: mean, u: sd })
    const barArea = shown.bars.reduce((sum, bar) => sum + bar.height * (shown.width / bins), 0)
    const ys = [...shown.curve.matchAll(/[ML]([\d.]+),([\d.]+)/g)].map(([, , y]) => shown.height - Number(y))
    const curveArea = ys.slice(1).reduce((sum, y, i) => sum + ((y + ys[i]!) / 2) * (shown.width / 80), 0)
    expect(curveArea / barArea).toBeCloseTo(1, 2)
    expect(Math.max(...ys, ...shown.bars.map((bar) => bar.height))).toBeLessThanOrEqual(shown.height)
  })
})

describe('the age of a reading', () => {
  const now = Date.UTC(2026, 5, 1, 12)
  const ago = (minutes: number) => ageOf(new Date(now - minutes * 60_000).toISOString(), now)

  it('runs out within the hour, is stale from forty minutes, and none is younger than now', () => {
    expect(ago(0)).toEqual({ share: 1, minutes: 0, stale: false })
    expect(ago(39)).toMatchObject({ minutes: 39, stale: false })
    expect(ago(40)).toMatchObject({ stale: true })
    expect(ago(90)).toMatchObject({ share: 0, minutes: 90 })
    expect(ago(-5)).toEqual({ share: 1, minutes: 0, stale: false })
    expect([119, 120, 47 * 60, 48 * 60].map(ageWords)).toEqual(['119 min', '2 h', '47 h', '2 days'])
  })
})
