/**
 * `npm run fuzz`: requests that nobody means, over all routes, by a seed, at a server of its own with the
 * demonstration; none may bring it to a fault, hold it up, or fill its memory.
 */
import { register } from 'tsx/esm/api'
import { join } from 'node:path'
import { watchMachine } from './lib/machine.mjs'
import { ownBench } from './lib/ownBench.mjs'
import { runMain, say, Stop } from './lib/say.mjs'

const HELP = `npm run fuzz                     20 000 requests
npm run fuzz -- --count 2000     fewer
            --seed 7           others
`

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const asked = (name, usual) => (args.includes(name) ? Number(args[args.indexOf(name) + 1]) : usual)
  const [count, seed] = [asked('--count', 20_000), asked('--seed', 1)]
  if (!(Number.isInteger(count) && count > 0 && Number.isInteger(seed))) throw new Stop(HELP)
  const bench = await ownBench('fuzz')
  try {
    register()
    const { fuzz } = await import('./fuzz/fuzz.ts')
    const machine = watchMachine(join(bench.folder, 'page'))
    const taken = async () => (await machine()).taken
    const { faults, ...summary } = await fuzz({ url: bench.server.url, pid: bench.server.pid, seed, count, taken })
    say(JSON.stringify(summary, null, 1))
    for (const [what, some] of grouped(faults))
      say(`${some.length} × ${what}\n  ${JSON.stringify(some[0].asked)}\n  ${some[0].said}`)
    if (faults.length > 0)
      throw new Stop(`${faults.length} of ${summary.sent} requests were not answered as they must be.`)
    say('Every request had an answer in words.')
  } finally {
    await bench.stop()
  }
}

function grouped(faults) {
  const kinds = new Map()
  for (const one of faults) kinds.set(one.what, [...(kinds.get(one.what) ?? []), one])
  return kinds
}

runMain(main)
