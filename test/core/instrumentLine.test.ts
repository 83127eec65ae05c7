/**
 * Lines of instruments: a block says what its lines would, each sample by itself; and what is kept has twelve digits.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { instrumentReader, LONGEST_BLOCK } from '../../core/formats/instrumentLine'
import { readRecording } from '../../core/formats/recording'
import { twelveDigits } from '../../core/quantity/twelveDigits'
import { problemText } from '../../core/result'
import { CHANNEL_RULES } from '../../shared/feed'

const FIRST = 1_777_629_600_000
const read = instrumentReader(CHANNEL_RULES)
const words = (line: string) => {
  const said = read(line)
  return said.ok
    ? said.value.refused && `${said.value.refused.count}: ${problemText(said.value.refused.why)}`
    : problemText(said.problem)
}
const block = (changes: object) =>
  JSON.stringify({ t: FIRST, everyMs: 250, channel: 'water', value: [93.4, 93.5], unit: 'degC', ...changes })

it('a block is its lines, by times and by steps, in any unit, with values that cannot be among them', () => {
  // 500 °C, -40 °F in a pot and a gap of the logger are no samples, by line or in a block.
  const values = fc.array(
    fc.oneof(
      fc.double({ min: -40, max: 500, noNaN: true }).map((x) => Number(x.toFixed(2))),
      fc.constant(null),
    ),
    { minLength: 1, maxLength: 60 },
  )
  fc.assert(
    fc.property(
      values,
      fc.constantFrom('degC', '°F', 'K'),
      fc.integer({ min: 1, max: 5000 }),
      (value, unit, everyMs) => {
        const lines = value.map((one, i) => read(`${FIRST + i * everyMs},water,${String(one)},${unit}`))
        const wanted = {
          atMs: lines.flatMap((one) => (one.ok ? one.value.atMs! : [])),
          values: lines.flatMap((one) => (one.ok ? one.value.values : [])),
          refused: lines.filter((one) => !one.ok).length,
        }
        for (const times of [
          { everyMs },
          { t: value.map((_, i) => FIRST + i * everyMs) },
          { t: value.map((_, i) => new Date(FIRST + i * everyMs).toISOString()) },
        ]) {
          const said = read(block({ value, unit, ...times }))
          expect(
            said.ok && { atMs: said.value.atMs, values: said.value.values, refused: said.value.refused?.count ?? 0 },
          ).toEqual(wanted)
        }
      },
    ),
  )
})

describe('a block that cannot be read says why', () => {
  it.each([
    [{ value: [93.4, 400, 500] }, /^2: Value 2 of the block: water: read "400 degC", expected water between/],
    [{ value: [93.4, 'err'] }, /^1: Value 2 of the block: Value: read "err", expected a number/],
    [{ t: [FIRST] }, /Block: read 1 times for 2 values/],
    [{ everyMs: undefined }, /Block: read everyMs "undefined"/],
    [{ everyMs: 0 }, /at least 1/],
    [{ t: null }, /Time: read "null", expected an ISO time with its offset.*1970\.$/],
    [{ t: [FIRST, 'noon'] }, /^1: Value 2 of the block: Time: read "noon"/],
    [{ value: [] }, /Block: read 0 values/],
    [{ value: Array(LONGEST_BLOCK + 1).fill(1) }, /Block: read 5001 values/],
    [{ unit: 'furlongs' }, /Unit: read "furlongs"/],
    [{ channel: 'constructor' }, /Channel: read "constructor"/],
    [{ note: 'x'.repeat(200_000) }, /The line: read 200\d{3} characters, expected at most/],
  ])('%#', (changes, pattern) => {
    expect(words(block(changes))).toMatch(pattern)
  })

  it('a number too great for a time is none', () => {
    expect(words(block({}).replace(String(FIRST), '1e999'))).toMatch(/Time: read "Infinity"/)
  })
})

it('a recording may hold blocks, and is refused by the line whose value cannot be', () => {
  const kept = readRecording(['time,channel,value,unit', block({}), `${FIRST + 100},water,93.45,degC`], CHANNEL_RULES)
  expect(kept.ok && kept.value.map((one) => [one.afterMs, one.value])).toEqual([
    [0, 93.4],
    [100, 93.45],
    [250, 93.5],
  ])
  const bad = readRecording([block({ value: [93.4, null] })], CHANNEL_RULES)
  expect(!bad.ok && problemText(bad.problem)).toMatch(/^Line 1: Value 2 of the block: Value: read "null"/)
})

it('twelve digits are those of toPrecision', () => {
  // ECMA-262, Number.prototype.toPrecision.
  const same = (x: number): void => void expect(twelveDigits(x) + 0).toBe(Number(x.toPrecision(12)) + 0)
  fc.assert(fc.property(fc.double(), same), { numRuns: 2000 })
  fc.assert(
    fc.property(
      fc.integer({ min: -100_000_000, max: 100_000_000 }),
      fc.constantFrom(1e-3, 1e-6, 0.45359237, 5 / 9, 100, 3386.389),
      fc.constantFrom(1, 10, 100, 1000),
      (n, factor, parts) => same((n / parts) * factor),
    ),
    { numRuns: 5000 },
  )
})
