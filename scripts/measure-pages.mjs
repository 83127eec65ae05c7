/**
 * Measures the pages of the demonstration: what they answer in at the server, and the JavaScript they load. Asserts
 * both, and that the pages say what they should.
 */
import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import { whileServing } from './lib/measuredStart.mjs'
import { at } from './lib/paths.mjs'
import { runMain, say, Stop } from './lib/say.mjs'

const CALLS = 50
const LIMIT_MS = 100
const LIMIT_KB = 150
const RUN = '/runs/01950000-0000-7000-8000-000000000111'
const ANSWERS = [
  ['/api/runs', 'normalisedGPerL'],
  ['/runs', 'Fumarole with narrow pot'],
  [`/api${RUN}`, 'ladder'],
  [RUN, 'Factors multiply'],
]

runMain(async () => {
  if (process.argv.includes('--help'))
    return say(
      'node scripts/measure-pages.mjs   p95 of 50 calls (limit 100 ms) and gzip kB of the Log page’s own JavaScript (limit 150 kB)',
    )
  const faults = await whileServing(measure)
  if (faults.length > 0) throw new Stop(faults.join('\n'))
})

async function measure(address) {
  const faults = []
  for (const [path, words] of ANSWERS) {
    const times = []
    for (let i = 0; i < CALLS + 5; i++) {
      const began = performance.now()
      const text = await (await fetch(address + path)).text()
      if (i >= 5) times.push(performance.now() - began)
      if (!text.includes(words)) faults.push(`${path} does not say "${words}"`)
    }
    const p95 = times.sort((a, b) => a - b)[Math.ceil(0.95 * CALLS) - 1]
    say(`${path}: p95 ${p95.toFixed(1)} ms of ${CALLS} calls (limit ${LIMIT_MS} ms)`)
    if (p95 >= LIMIT_MS) faults.push(`${path} takes ${p95.toFixed(0)} ms`)
  }
  const shared = await scripts(`${address}/`)
  const log = await scripts(`${address}/runs/new`)
  const own = sizeKB([...log].filter((script) => !shared.has(script)))
  say(
    `Log page: ${sizeKB(log).toFixed(0)} kB gzip of JavaScript in all, ${own.toFixed(0)} kB of its own (limit ${LIMIT_KB} kB)`,
  )
  if (own >= LIMIT_KB) faults.push(`the Log page's own JavaScript is ${own.toFixed(0)} kB`)
  return faults
}

/** The scripts a page names in its first bytes. */
async function scripts(url) {
  const html = await (await fetch(url)).text()
  return new Set([...html.matchAll(/(?:href|src)="(\/_nuxt\/[^"]+\.js)"/g)].map((match) => match[1]))
}

const sizeKB = (files) =>
  [...files].reduce(
    (sum, file) => sum + gzipSync(readFileSync(at('.output', 'public', ...file.split('/').filter(Boolean)))).length,
    0,
  ) / 1000
