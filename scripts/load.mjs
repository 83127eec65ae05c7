/**
 * `npm run load`: fifty readers at once, of the logbook and of a page of a series of 900 runs; then work and files that
 * once held all others up. How many are answered, how soon, what the server holds, how long its event loop was held.
 */
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import autocannon from 'autocannon'
import { heavySteps } from './load/heavySteps.mjs'
import { runsTable, storeTable } from './load/table.mjs'
import { ownBench } from './lib/ownBench.mjs'
import { at } from './lib/paths.mjs'
import { sleep } from './lib/processes.mjs'
import { runMain, say, Stop } from './lib/say.mjs'

const HELP = `npm run load                  50 readers, 20 s each
npm run load -- --seconds 5   shorter
`
const READERS = 50
const SERIES = 900
const LIMITS = { runs: { rate: 250, p95: 300 }, page: { rate: 60, p95: 1200 }, rssMB: 450, heldMs: 100 }

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const seconds = args.includes('--seconds') ? Number(args[args.indexOf('--seconds') + 1]) : 20
  if (!(seconds > 0)) throw new Stop(HELP)
  const folder = mkdtempSync(join(tmpdir(), 'vulcanum-held-'))
  const heldFile = join(folder, 'held')
  writeFileSync(heldFile, '')
  // The server, which writes there, may run as another user.
  chmodSync(folder, 0o777)
  chmodSync(heldFile, 0o666)
  Object.assign(process.env, {
    VULCANUM_HELD_UP: heldFile,
    NODE_OPTIONS: `--import=${pathToFileURL(at('scripts', 'lib', 'heldUp.mjs'))}`,
  })
  const bench = await ownBench('load')
  try {
    const missed = [...(await readers(bench.server, seconds, heldFile)), ...(await heavy(bench.server.url, heldFile))]
    if (missed.length > 0) throw new Stop(`Missed: ${missed.join(', ')}`)
  } finally {
    await bench.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

/** @returns what was missed */
async function readers({ url, pid }, seconds, heldFile) {
  const [runId] = await storeTable(url, runsTable(SERIES, 2020))
  const paths = [
    ['/api/runs', '/api/runs', LIMITS.runs],
    ['a run’s page, as the API', `/api/runs/${runId}`, LIMITS.page],
    ['a run’s page, as a page', `/runs/${runId}`, LIMITS.page],
  ]
  let peakMB = 0
  const watch = setInterval(() => {
    peakMB = Math.max(peakMB, rssMB(pid))
  }, 200)
  const missed = []
  for (const [what, path, limit] of paths) {
    const begun = Date.now()
    const { rate, p95, failed } = await read(`${url}${path}`, seconds)
    const answered = `${rate.toFixed(0)}/s (${limit.rate}), p95 ${p95.toFixed(0)} ms (${limit.p95}), ${failed} not answered`
    const server = `event loop held ${longest(heldFile, begun)} ms at most; ${rssMB(pid).toFixed(0)} MB`
    const isHeld = rate >= limit.rate && p95 <= limit.p95 && failed === 0
    if (!told(isHeld, `${what}: ${answered}; ${server}`)) missed.push(what)
  }
  clearInterval(watch)
  if (
    !told(
      peakMB < LIMITS.rssMB,
      `server memory at its highest, with its threads: ${peakMB.toFixed(0)} MB (${LIMITS.rssMB})`,
    )
  )
    missed.push('memory')
  return missed
}

/** @returns what held the event loop for too long */
async function heavy(url, heldFile) {
  const missed = []
  for (const [what, work] of heavySteps(url)) {
    await sleep(300)
    const begun = Date.now()
    await work()
    const took = Date.now() - begun
    await sleep(100)
    const heldMs = longest(heldFile, begun)
    if (!told(heldMs <= LIMITS.heldMs, `${what}: ${took} ms, event loop held ${heldMs} ms at most (${LIMITS.heldMs})`))
      missed.push(what)
  }
  return missed
}

function told(holds, text) {
  say(`${holds ? 'ok  ' : 'MISS'} ${text}`)
  return holds
}

async function read(address, seconds) {
  await autocannon({ url: address, connections: READERS, duration: 2 })
  const result = await autocannon({ url: address, connections: READERS, duration: seconds })
  return {
    rate: result['2xx'] / result.duration,
    p95: result.latency.p97_5,
    failed: result.non2xx + result.errors + result.timeouts,
  }
}

/** @returns the longest that the event loop was held since then [ms] */
function longest(file, sinceMs) {
  const lines = existsSync(file) ? readFileSync(file, 'utf8').trim().split('\n') : []
  return Math.max(
    0,
    ...lines
      .map((line) => line.split(' ').map(Number))
      .filter(([atMs]) => atMs >= sinceMs)
      .map(([, held]) => held),
  )
}

const rssMB = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024

runMain(main)
