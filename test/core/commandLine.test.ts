/** `reduce` as a script meets it: traces, plateau, series, CSV and what is refused. */
import { spawnSync } from 'node:child_process'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import type { ReduceAnswer, RunAnswer } from '../../core/formats/answer'
import contract from '../reference/contract-run.json'

const reduce = (document: unknown, ...args: string[]) =>
  spawnSync(process.execPath, ['scripts/reduce.mjs', '-', ...args], {
    input: JSON.stringify(document),
    encoding: 'utf8',
    maxBuffer: 1e8,
  })
const [run] = contract.runs
const trace = Array.from({ length: 200 }, (_, i) => [
  i * 2,
  Math.round(10 * (Math.min(96.8, 9.2 + 0.384 * i * 2) - 1)) / 10,
])

describe('command line', { timeout: 60_000 }, () => {
  it('reads the plateau, the probe’s offset and the set-up’s wind, and says the same as CSV', () => {
    const runs = [0, 0, 1.8, 1.8].map((windMS, i) => ({
      ...run,
      id: `r${i}`,
      setup: 'ledge',
      place: { ...run!.place, windMS },
      fuel: { ...run!.fuel, usedG: 12.7 * Math.exp(0.3 * windMS) },
      trace: i === 0 ? trace : null,
    }))
    const document = { ...contract, runs }
    const answer = JSON.parse(reduce(document).stdout) as ReduceAnswer
    const first = answer.runs[0] as RunAnswer
    expect(first.boilFound).toMatchObject({ status: 'boiled', dips: false })
    expect(first.boilFound!.offsetK).toBeCloseTo(-1, 1)
    expect(Math.abs(first.boilFound!.atS! - 226.8)).toBeLessThan(2)
    expect(first.traceFit).toHaveLength(1)
    expect(answer.setups).toMatchObject([{ setup: 'ledge', n: 4 }])
    expect(answer.setups[0]!.flame!.doublingMS!.value).toBeLessThan(answer.setups[0]!.flame!.stallMS!.value)
    const plateau = JSON.parse(reduce({ ...document, boil: 'plateau' }).stdout) as ReduceAnswer
    expect(plateau.runs.map((one) => 'boilFrom' in one && one.boilFrom)).toEqual(['trace', null, null, null])

    const { data } = Papa.parse<Record<string, string>>(reduce(document, '--csv').stdout, {
      header: true,
      skipEmptyLines: true,
    })
    expect(data.map((row) => Number(row.normalisedGPerL))).toEqual(
      answer.runs.map((one) => (one as RunAnswer).normalisedGPerL),
    )
    expect(data.map((row) => Number(row['factor.wind']))).toEqual(
      answer.runs.map((one) => (one as RunAnswer).ladder[3]!.factor),
    )
    expect(data[0]).toHaveProperty('test.burnTimeS')
  })

  it.each<[string, object, string]>([
    [
      'a boil that is none',
      { boil: 'gently' },
      'boil: read "gently", expected one of rollingBoil, firstBubbles, probeAtBoil, plateau or {"targetC": number}',
    ],
    ['a reference out of range', { reference: { windMS: 400 } }, 'reference.windMS: read 400'],
    ['no runs', { runs: 'none' }, 'runs: read "none", expected a list of runs'],
  ])('%s: exit 1, and a line with its path', (_, change, line) => {
    const got = reduce({ ...contract, ...change })
    expect([got.status, got.stdout]).toEqual([1, ''])
    expect(got.stderr).toContain(line)
  })

  it('a bad sample names its place and stops only its run', () => {
    const answer = JSON.parse(
      reduce({
        ...contract,
        runs: [
          {
            ...run,
            id: 'bad',
            trace: [
              [0, 9],
              [2, 'warm'],
            ],
          },
          run,
        ],
      }).stdout,
    ) as ReduceAnswer
    expect(answer.runs[0]).toEqual({ id: 'bad', error: 'runs[0].trace[1]: read [2,"warm"], expected [seconds, °C]' })
    expect(answer.runs[1]).toMatchObject({ status: 'normalised' })
  })
})
