import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { thinTrace } from '../../core/trace/thinTrace'
import { guessTraceMapping, parseTraceRows } from '../../core/formats/parseTrace'
import { predictPrecision } from '../../core/uncertainty/predictPrecision'
import { readTraceText } from '../../shared/readTraceText'

/** Reads a table as the page does: guessed columns, then parsed. */
function read(text: string) {
  const rows = readTraceText(text)
  if (!rows.ok) return rows
  const mapping = guessTraceMapping(rows.value)
  if (mapping === null) throw new Error('nothing guessed')
  return parseTraceRows(rows.value, mapping)
}

describe('traces from loggers', () => {
  const wanted = [
    [0, 12.5],
    [2, 13],
    [4, 13.75],
  ]
  it.each([
    ['commas', 'time (s),temp (°C)\n0,12.5\n2,13.0\n4,13.75'],
    ['semicolons and decimal commas', 'Zeit;Wasser\n0;12,5\n2;13,0\n4;13,75'],
    [
      'tabs, a byte-order mark and more columns',
      '\uFEFFn\ttime\tbattery\twater °C\n1\t0\t3.9\t12.5\n2\t2\t3.9\t13\n3\t4\t3.8\t13.75',
    ],
    ['m:ss', 'clock,probe\n1:00,12.5\n1:02,13\n1:04,13.75'],
    ['ISO stamps', 'date,temp\n2026-03-14T09:30:00Z,12.5\n2026-03-14T09:30:02Z,13\n2026-03-14T09:30:04Z,13.75'],
    ['temperature before time', 'temp,sec\n12.5,0\n13,2\n13.75,4'],
    ['no header', '0,12.5\n2,13\n4,13.75'],
    ['°F in the header', 't s,temp °F\n0,54.5\n2,55.4\n4,56.75'],
  ])('%s', (_, text) => {
    const got = read(text)
    expect(got.ok && got.value.samples).toEqual(wanted)
  })

  it('°F without saying so is told by its height', () => {
    const got = read('s,temp\n0,60\n60,120\n120,200\n180,211')
    expect(got.ok && got.value.samples.at(-1)![1]).toBeCloseTo(99.4, 1)
  })

  it.each([
    [
      'text in the number column',
      'time,temp\n0,12.5\n2,err\n4,13',
      /Row 3, column 2: read "err", expected a temperature/,
    ],
    ['a temperature nobody measures', 'time,temp\n0,12.5\n2,-40\n4,13', /Row 3, column 2.*between −20 and 130/],
    ['an empty file', '  \n', /empty/],
    ['50 MB', 'x'.repeat(50_000_000), /50\.0 MB, expected at most 20 MB/],
  ])('%s is named', (_, text, words) => {
    const got = read(text)
    expect(
      !got.ok && `${got.problem.what}: read ${got.problem.got ?? ''}, expected ${got.problem.limit ?? ''}`,
    ).toMatch(words)
  })

  it('says of a gap, of rows left out, and of times out of order', () => {
    const got = read('time,temp\n0,12\n2,13\n4,\n6,14\n8,15\n400,90\n402,91')
    expect(got.ok && got.value.notes.join(' ')).toMatch(/1 row without.*A gap of 392 s/)
  })
})

// By hand: d = 1 g on 12 g: √2/√12/12 = 3.40 %; call 2.9/240 = 1.21 %; water 1/473; start 0.5/80: k = 2 → 7.4 %. Two on
// one fill: 1.70 % and 1.39/√2 → 3.9 %.
it('predicts the precision of a boil before it is lit', () => {
  const predicted = predictPrecision({
    fuelG: 12,
    boilS: 240,
    riseK: 80,
    waterG: 473,
    scaleResolutionG: 1,
    boilCallS: 2.9,
    startU: 0.5,
    waterU: 1,
  })
  expect(predicted.most).toBe('scale')
  expect(predicted.one).toBeCloseTo(0.0735, 3)
  expect(predicted.two).toBeCloseTo(0.0393, 3)
})

describe('a trace thinned for drawing', () => {
  const traces = fc
    .array(fc.double({ min: -20, max: 120, noNaN: true }), { minLength: 2, maxLength: 3000 })
    .map((values) => values.map((value, i): [number, number] => [i * 2, value]))

  it('law: keeps its ends, its highest and its lowest, in the order of time, within the number asked for', () => {
    fc.assert(
      fc.property(traces, fc.integer({ min: 4, max: 500 }), (samples, most) => {
        const thin = thinTrace(samples, most)
        expect(thin.length).toBeLessThanOrEqual(Math.max(most, Math.min(samples.length, most)))
        expect([thin[0], thin.at(-1)]).toEqual([samples[0], samples.at(-1)])
        expect(thin.every(([s], i) => i === 0 || s > thin[i - 1]![0])).toBe(true)
        const range = (of: readonly (readonly [number, number])[]) => [
          Math.min(...of.map(([, value]) => value)),
          Math.max(...of.map(([, value]) => value)),
        ]
        expect(range(thin)).toEqual(range(samples))
      }),
    )
  })
})
