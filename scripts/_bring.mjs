/** `npm run load`: fifty readers at once, of the logbook and of a page of a series of 900 runs; how many are answered, how soon, what the server holds, and how long it was held up. */
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import autocannon from 'autocannon'
import { ownBench } from '/work/main/scripts/lib/ownBench.mjs'
import { sleep } from '/work/main/scripts/lib/processes.mjs'
import { runMain, say, Stop } from '/work/main/scripts/lib/say.mjs'

const HELP = `npm run load                  50 readers, 20 s each
npm run load -- --seconds 5   shorter
`
const READERS = 50
const SERIES = 900
const LIMITS = { runs: { rate: 250, p95: 300 }, page: { rate: 60, p95: 1200 }, rssMB: 450 }

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const seconds = args.includes('--seconds') ? Number(args[args.indexOf('--seconds') + 1]) : 20
  if (!(seconds > 0)) throw new Stop(HELP)
  const bench = await ownBench('load')
  const missed = []
  try {
    const { url, pid } = bench.server
    const runId = await bringSeries(url)
    let peakMB = 0
    const watch = setInterval(() => { peakMB = Math.max(peakMB, rssMB(pid)) }, 200)
    for (const [what, path, limit] of [['/api/runs', '/api/runs', LIMITS.runs], ['a run’s page, as the API', `/api/runs/${runId}`, LIMITS.page], ['a run’s page, as a page', `/runs/${runId}`, LIMITS.page]]) {
      const { rate, p95, failed } = await read(`${url}${path}`, seconds)
      const holds = rate >= limit.rate && p95 <= limit.p95 && failed === 0
      if (!holds) missed.push(what)
      say(`${holds ? 'ok  ' : 'MISS'} ${what}: ${rate.toFixed(0)}/s (${limit.rate}), p95 ${p95.toFixed(0)} ms (${limit.p95}), ${failed} not answered`)
    }
    clearInterval(watch)
    const holds = peakMB < LIMITS.rssMB
    if (!holds) missed.push('memory')
    say(`${holds ? 'ok  ' : 'MISS'} server memory at its highest: ${peakMB.toFixed(0)} MB (${LIMITS.rssMB})`)
    if (missed.length > 0) throw new Stop(`Missed: ${missed.join(', ')}`)
  } finally {
    await bench.stop()
  }
}

async function read(address, seconds) {
  await autocannon({ url: address, connections: READERS, duration: 2 })
  const result = await autocannon({ url: address, connections: READERS, duration: seconds })
  return { rate: result['2xx'] / result.duration, p95: result.latency.p97_5, failed: result.non2xx + result.errors + result.timeouts }
}

/** As a tester would: a table of 900 rows of one set-up and one fuel. @returns one of its runs */
async function bringSeries(url) {
  const get = async path => (await fetch(`${url}${path}`)).json()
  const kit = await get('/api/kit')
  const rows = Array.from({ length: SERIES }, (_, i) => `${new Date(Date.UTC(2020, 0, 1) + i * 3_600_000).toISOString()},473,${(8 + (i % 100) / 10).toFixed(1)} °C,212.4,${(204 - (i % 30) / 10).toFixed(1)},${3 + (i % 3)}:${String(i % 60).padStart(2, '0')},calm`)
  const id = randomUUID()
  const ask = async (path, method, body) => {
    const answer = await fetch(`${url}${path}`, { method, body, headers: { 'content-type': 'application/json' } })
    if (!answer.ok) throw new Stop(`${path}: ${await answer.text()}`)
    return answer.json()
  }
  await ask(`/api/imports/${id}?name=series.csv`, 'PUT', ['Started,Water (g),Start temp,Fuel before (g),Fuel after (g),Boil,Wind', ...rows].join('\n'))
  const page = await get(`/api/imports/${id}`)
  const setup = kit.setups.find(one => one.burner === 'canister-top')
  const fuel = kit.fuels.find(one => /propane/i.test(one.fuel))
  const mapping = { ...page.guessed, zone: 'UTC', usual: { ...page.guessed.usual, setup: setup.id, fuel: fuel.id, person: kit.people[0].id } }
  await ask(`/api/imports/${id}/store`, 'POST', JSON.stringify({ what: 'runs', mapping, personId: kit.people[0].id, leaveOut: false, again: false }))
  for (let state = 'storing'; state === 'storing'; await sleep(200)) ({ state } = await get(`/api/imports/${id}`))
  for (let left = 1; left > 0; await sleep(300)) left = (await get('/api/figures')).stale
  const { lines } = await get(`/api/runs?import=${id}`)
  if (lines.length === 0) throw new Stop(`No run came in: ${JSON.stringify(await get(`/api/imports/${id}`)).slice(0, 400)}`)
  return lines[0].id
}

const rssMB = pid => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024

export { bringSeries }
