/**
 * What `npm run bench` times, on the core as the server runs it: each figure with its answer asserted, and its cost as
 * work grows tenfold three times.
 */
import { readFileSync } from 'node:fs'
import type { RunAnswer } from '../../core/formats/answer'
import { reduce } from '../../core/reduce'
import { figureRun } from '../../core/reduce/figureRun'
import { monteCarloRun } from '../../core/reduce/monteCarloRun'
import { setupSeries } from '../../core/reduce/setupSeries'
import { takeRun } from '../../core/reduce/takeRun'
import { seededRandom } from '../../core/simulate/random'
import { findBoil } from '../../core/trace/findBoil'
import { fitHeating } from '../../core/trace/fitHeating'
import { readReduceRequest } from '../../shared/reduceRequest'

type Contract = { runs: Record<string, unknown>[] } & Record<string, unknown>
const contract = JSON.parse(readFileSync('test/reference/contract-run.json', 'utf8')) as Contract
const failures: string[] = []

function assert(what: string, holds: boolean): void {
  if (!holds) failures.push(what)
}

/** Best of several: what else the machine does is not the code's. */
function best(times: number, work: () => void): number {
  let least = Infinity
  for (let i = 0; i < times; i++) {
    const from = performance.now()
    work()
    least = Math.min(least, performance.now() - from)
  }
  return least
}

function line(what: string, value: string, limit: string, holds: boolean): void {
  console.info(`${holds ? 'ok  ' : 'MISS'} ${what.padEnd(58)} ${value.padStart(16)}   ${limit}`)
  assert(what, holds)
}

/** Runs like the contract's, of `setups` set-ups, in calm and wind, with heat loss given or estimated. */
function requestOf(n: number, setups: number) {
  const [run] = contract.runs as [Record<string, Record<string, unknown>>]
  const runs = Array.from({ length: n }, (_, i) => ({
    ...run,
    id: `r${i}`,
    setup: `s${i % setups}`,
    lossWPerK: i % 2 === 0 ? run.lossWPerK : null,
    place: { ...run.place, windMS: (i % 3) * 0.9 },
    water: { ...run.water, startC: 5 + (i % 13) / 2 },
    fuel: { ...run.fuel, usedG: 12.7 * Math.exp(0.3 * (i % 3) * 0.9) },
  }))
  const read = readReduceRequest({ ...contract, runs })
  if (!read.ok) throw new Error('The request was not read')
  return read.request
}

function trace(n: number, everyS: number): [number, number][] {
  const random = seededRandom(1)
  return Array.from({ length: n }, (_, i): [number, number] => [
    i * everyS,
    Math.min(97, 15 + 0.3 * i * everyS) + 0.15 * random.normal(),
  ])
}

function ladders(): void {
  const request = requestOf(2000, 40)
  const taken = request.runs.flatMap((run) => ('error' in run ? [] : [takeRun(run, request, false)]))
  const series = setupSeries(
    taken.filter((one) => one.input.setup === 's1'),
    request,
    null,
  )
  const milliseconds = best(25, () => {
    for (const one of taken) figureRun(one, request, series)
  })
  const perSecond = (taken.length / milliseconds) * 1000
  line(
    'full ladder with first-order uncertainty',
    `${Math.round(perSecond)} runs/s`,
    '20 000 or more',
    perSecond >= 20_000,
  )
  const whole = best(10, () => reduce(request))
  console.info(
    `     reduce, readings, series and answers too: ${Math.round((request.runs.length / whole) * 1000)} runs/s`,
  )
  const read = readReduceRequest(contract)
  const answer = (read.ok ? reduce(read.request).runs[0] : null) as RunAnswer
  assert(
    'the contract’s own figures',
    Math.abs(answer.gPerL! - 26.802) < 0.001 &&
      Math.abs(answer.normalisedGPerL! - 24.394) < 0.001 &&
      Math.abs(answer.q0W! - 824.7) < 0.1,
  )
}

function draws(): void {
  const read = readReduceRequest(contract)
  if (!read.ok) throw new Error('The contract’s run was not read')
  const run = () => monteCarloRun(read.request, 'contract', { draws: 20_000, seed: 1 })
  const milliseconds = best(25, run)
  const answer = run()
  line(
    'Monte Carlo, 20 000 draws of the full ladder',
    `${milliseconds.toFixed(1)} ms`,
    'under 50 ms',
    milliseconds < 50,
  )
  assert('Monte Carlo agrees with first order', answer.ok && answer.value.agrees)
}

function traces(): void {
  const samples = trace(1200, 0.25)
  const known = { capacityJPerK: 2035, airC: 11, boilingC: 100, burns: [{ startS: 0, endS: 1e6 }] }
  const fitMs = best(40, () => fitHeating(samples, known))
  const fit = fitHeating(samples, known)
  line('trace fit of 1 200 samples', `${fitMs.toFixed(2)} ms`, 'under 5 ms', fitMs < 5)
  assert('the fit finds the heat flow', fit.ok && Math.abs(fit.value.burns[0]!.q0W.value / (0.3 * 2035) - 1) < 0.03)
  const long = trace(100_000, 0.1)
  const boilMs = best(10, () => findBoil(long, { boilingC: 97 }))
  const found = findBoil(long, { boilingC: 97 })
  line('boil finder on 100 000 samples', `${boilMs.toFixed(1)} ms`, 'under 50 ms', boilMs < 50)
  assert('the boil is found to a second', found.ok && Math.abs(found.value.atS! - (96.5 - 15) / 0.3) < 1)
}

/** Cost for work n, 10 n, 100 n, 1 000 n: each tenth part may cost at most half as much again as the one before. */
function growth(what: string, sizes: readonly number[], prepare: (n: number) => () => void): void {
  const costs = sizes.map((n) => {
    const work = prepare(n)
    return best(n === sizes.at(-1) ? 3 : 8, work)
  })
  const each = costs.map((cost, i) => ((cost / sizes[i]!) * 1e6).toFixed(0))
  const holds = costs.every((cost, i) => i < 2 || cost / costs[i - 1]! < 15)
  line(
    `${what} ×10 ×10 ×10`,
    costs.map((cost) => cost.toFixed(1)).join(' / '),
    `ms; ${each.join(', ')} ns each; linear`,
    holds,
  )
}

ladders()
draws()
traces()
growth('reduce', [10, 100, 1000, 10_000], (n) => {
  const request = requestOf(n, Math.max(1, n / 50))
  return () => reduce(request)
})
growth('Monte Carlo', [200, 2000, 20_000, 200_000], (n) => {
  const read = readReduceRequest(contract)
  return () => {
    if (read.ok) monteCarloRun(read.request, 'contract', { draws: n, seed: 1 })
  }
})
growth('boil finder', [100, 1000, 10_000, 100_000], (n) => {
  const samples = trace(n, 1)
  return () => findBoil(samples, { boilingC: 97 })
})
if (failures.length > 0) {
  console.error(`Missed: ${failures.join('; ')}`)
  process.exitCode = 1
}
