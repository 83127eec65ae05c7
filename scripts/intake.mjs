/**
 * `npm run intake`: how many samples a second instruments can send, how soon each batch is acknowledged, against a bare
 * COPY of the same rows; and how soon two hundred streams and three pages see a reading.
 */
import { fork, spawn } from 'node:child_process'
import { once } from 'node:events'
import { createWriteStream, writeFileSync } from 'node:fs'
import { get } from 'node:http'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { CHROMIUM, CHROMIUM_ARGS, requireChromium } from './lib/browser.mjs'
import { ownBench } from './lib/ownBench.mjs'
import { at, root } from './lib/paths.mjs'
import { sleep } from './lib/processes.mjs'
import { runMain, say, Stop } from './lib/say.mjs'
import { clearBench, mark, stage } from './lib/stageBench.mjs'

const HELP = `npm run intake                    five minutes of 20 000 samples a second, then as fast as it goes by lines and by blocks, then the streams
npm run intake -- --minutes 1     shorter; --streams, --fastest: those alone
`
const LANES = ['A', 'B', 'C', 'D', 'E', 'F']
const CHANNELS = ['water', 'scale', 'wind', 'air', 'container', 'pressure']
const LIMITS = { samplesPerS: 20_000, ackMs: 250, ofCopy: 0.5, seenMs: 300 }
const STREAMS = 200
const PAGES = 3
const READINGS = 120

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const minutes = args.includes('--minutes') ? Number(args[args.indexOf('--minutes') + 1]) : 5
  if (!(minutes > 0)) throw new Stop(HELP)
  await requireChromium()
  const bench = await ownBench('intake')
  try {
    const { url } = bench.server
    await anew(url)
    if (args.includes('--streams')) return say(JSON.stringify(await streams(bench), null, 1))
    const feeds = []
    for (const lane of LANES)
      feeds.push({
        lane,
        token: await newFeed(url, `load ${lane}`, Object.fromEntries(CHANNELS.map((channel) => [channel, [lane]]))),
      })
    if (args.includes('--fastest'))
      return say(
        JSON.stringify(
          {
            lines: await fastest(bench, feeds, 'lines'),
            blocks: await fastest(bench, feeds, 'blocks'),
            serverMB: Math.round(bench.peakMB()),
          },
          null,
          1,
        ),
      )
    const steady = await load(bench, { feeds, seconds: minutes * 60, samplesPerS: LIMITS.samplesPerS, form: 'lines' })
    const stored = await count(bench.databaseUrl)
    const [lines, blocks] = [await fastest(bench, feeds, 'lines'), await fastest(bench, feeds, 'blocks')]
    const seen = await streams(bench)
    const broken = [
      ...(steady.perS < LIMITS.samplesPerS * 0.99 ? [`${steady.perS} samples a second`] : []),
      ...(stored !== steady.samples ? [`${steady.samples} acknowledged, ${stored} stored`] : []),
      ...(steady.ackP95Ms > LIMITS.ackMs ? [`acknowledged within ${steady.ackP95Ms} ms (p95)`] : []),
      ...[lines, blocks].flatMap((one) =>
        one.stored === one.samples ? [] : [`${one.samples} acknowledged, ${one.stored} stored`],
      ),
      ...(blocks.ofCopy < LIMITS.ofCopy
        ? [`${blocks.perS} samples a second at most, a bare COPY ${blocks.copy.commitPerS}`]
        : []),
      ...(seen.streamsP95Ms > LIMITS.seenMs || seen.pagesP95Ms > LIMITS.seenMs
        ? [`seen within ${seen.streamsP95Ms} ms by streams, ${seen.pagesP95Ms} ms by pages (p95)`]
        : []),
    ]
    say(JSON.stringify({ minutes, steady, lines, blocks, seen, serverMB: Math.round(bench.peakMB()), broken }, null, 1))
    if (broken.length > 0) throw new Stop(`Not held: ${broken.join('; ')}`)
    say('Everything held.')
  } finally {
    await bench.stop()
  }
}

/** Six lanes that burn, with nothing sampled yet. */
async function anew(url) {
  await clearBench(url)
  await stage(
    url,
    LANES.map((lane) => ({
      lane,
      measured: { fuelBefore: '210 g' },
      marks: [
        [60, mark('lit')],
        [50, mark('potOn')],
      ],
    })),
  )
}

async function newFeed(url, name, lanes) {
  const answer = await fetch(`${url}/api/instruments/feeds`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id: uuidv7(), name, lanes }),
  })
  return (await answer.json()).value.token
}

/**
 * By a program of its own, so that sending takes nothing from measuring. @param samplesPerS null: each feed sends its
 * next batch when the last is acknowledged @param form lines or blocks
 */
async function load({ instrumentPort }, { feeds, seconds, samplesPerS, form }) {
  const child = fork(at('scripts', 'intake', 'sender.mjs'), [], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  })
  child.send({ port: instrumentPort, feeds, channels: CHANNELS, seconds, samplesPerS, form })
  const [result] = await once(child, 'message')
  child.disconnect()
  return result
}

const FASTEST_S = 20
/** Each feed's next batch as soon as its last is acknowledged; then a bare COPY of what that stored. */
async function fastest(bench, feeds, form) {
  await anew(bench.server.url)
  const before = await count(bench.databaseUrl)
  const taken = await load(bench, { feeds, seconds: FASTEST_S, samplesPerS: null, form })
  const stored = (await count(bench.databaseUrl)) - before
  const copy = await bareCopy(bench)
  return { ...taken, stored, copy, ofCopy: Number((taken.perS / copy.commitPerS).toFixed(3)) }
}

async function count(databaseUrl) {
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  const {
    rows: [{ n }],
  } = await client.query(
    'select coalesce(sum(cardinality(c.t_ms)), 0)::int as n from trace_chunk c join trace t on t.id = c.trace_id where t.feed_id is not null',
  )
  await client.end()
  return n
}

/** So much is copied, and no more held by this program [samples]. */
const COPIED = 4_000_000
/** It takes a second or two, and the machine has its moods: the best counts. */
const COPY_TRIES = 3
const COLUMNS = 'id, trace_id, seq, first_ms, last_ms, t_ms, v, hash'
/**
 * The same rows into a table of the same shape by COPY alone: a batch a commit, by as many connections as there were
 * feeds; and all in one.
 */
async function bareCopy({ programs, databaseUrl, folder }) {
  const psql = (...args) =>
    spawn(join(programs, 'psql'), ['-X', '-q', '-v', 'ON_ERROR_STOP=1', '-d', databaseUrl, ...args], {
      stdio: ['ignore', 'pipe', 'inherit'],
    })
  const sql = async (text) => {
    const child = psql('-Atc', text)
    let out = ''
    child.stdout.on('data', (piece) => {
      out += piece
    })
    await once(child, 'close')
    return out
  }
  await sql(
    'drop table if exists copied; create table copied (like trace_chunk including all); alter table copied add foreign key (trace_id) references trace (id)',
  )
  const ours =
    "trace_id in (select t.id from trace t join run r on r.id = t.run_id where t.feed_id is not null and r.state = 'live')"
  const most = Math.round(COPIED / Number(await sql(`select avg(cardinality(t_ms)) from trace_chunk where ${ours}`)))
  const rows = (
    await sql(`copy (select ${COLUMNS} from trace_chunk where ${ours} order by seq, trace_id limit ${most}) to stdout`)
  )
    .split('\n')
    .filter(Boolean)
  const samples = rows.reduce((sum, row) => sum + row.split('\t')[5].split(',').length, 0)
  const best = async (copying) => {
    const took = []
    for (let i = 0; i < COPY_TRIES; i++) {
      await sql('truncate copied')
      const began = performance.now()
      await copying()
      took.push((performance.now() - began) / 1000)
    }
    return Math.min(...took)
  }
  const files = LANES.map((lane, i) => {
    const file = join(folder, `copy-${lane}.sql`)
    const own = rows.filter((_, j) => Math.floor(j / CHANNELS.length) % LANES.length === i)
    const batches = Array.from({ length: Math.ceil(own.length / CHANNELS.length) }, (_, n) =>
      own.slice(n * CHANNELS.length, (n + 1) * CHANNELS.length),
    )
    writeFileSync(
      file,
      batches.map((batch) => `copy copied (${COLUMNS}) from stdin;\n${batch.join('\n')}\n\\.\n`).join(''),
    )
    return file
  })
  const commitS = await best(() => Promise.all(files.map((file) => once(psql('-f', file), 'close'))))
  const whole = join(folder, 'copy-whole.sql')
  const out = createWriteStream(whole)
  out.write(`copy copied (${COLUMNS}) from stdin;\n${rows.join('\n')}\n\\.\n`)
  await new Promise((done) => out.end(done))
  const wholeS = await best(() => once(psql('-f', whole), 'close'))
  return {
    rows: rows.length,
    samples,
    commitPerS: Math.round(samples / commitS),
    wholePerS: Math.round(samples / wholeS),
  }
}

/** A reading, from its sending to each stream and each page. */
async function streams({ server: { url } }) {
  await anew(url)
  const lane = LANES[0]
  const token = await newFeed(url, 'seen', { water: [lane] })
  const sentAt = new Map()
  const late = { streams: [], pages: [] }
  // Each hearer's first sight of each reading.
  const hearer =
    (list, seen = new Set()) =>
    (values) => {
      for (const value of values) {
        if (!sentAt.has(value) || seen.has(value)) continue
        seen.add(value)
        list.push(performance.now() - sentAt.get(value))
      }
    }
  const closers = []
  for (let i = 0; i < STREAMS; i++) closers.push(await openStream(`${url}/api/bench/stream`, hearer(late.streams)))
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  for (let i = 0; i < PAGES; i++) {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
    const heard = hearer(late.pages)
    await page.exposeFunction('seen', (value) => heard([value]))
    await page.goto(`${url}/bench`)
    await page.locator(`[data-lane=${lane}] .lane-water`).waitFor()
    await page.evaluate((name) => {
      const box = document.querySelector(`[data-lane=${name}]`)
      new MutationObserver(() =>
        globalThis.seen(Number(box.querySelector('.lane-water-figure')?.firstChild?.textContent)),
      ).observe(box, { childList: true, characterData: true, subtree: true })
    }, lane)
  }
  await sleep(2000)
  for (let n = 0; n < READINGS; n++) {
    const value = Number((20 + n / 10).toFixed(1))
    sentAt.set(value, performance.now())
    const answer = await fetch(`${url}/api/instruments/samples?batch=${n}`, {
      method: 'POST',
      headers: { authorization: `Bearer ${token}`, 'content-type': 'text/plain' },
      body: `,water,${value},degC`,
    })
    if (!answer.ok || (await answer.json()).stored !== 1) throw new Stop('A reading was not taken.')
    await sleep(400)
  }
  await sleep(1000)
  await browser.close()
  for (const close of closers) close()
  // A page shows each figure once, whatever else of the lane changes.
  return {
    streams: STREAMS,
    pages: PAGES,
    readings: READINGS,
    heard: late.streams.length,
    missing: STREAMS * READINGS - late.streams.length,
    streamsP95Ms: p95(late.streams),
    pagesP95Ms: p95(late.pages),
    pagesSaw: late.pages.length,
  }
}
const p95 = (values) => Math.round([...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? Infinity)

/** A stream that tells the newest value of each sample it hears. */
function openStream(url, hear) {
  return new Promise((resolve, reject) => {
    const request = get(url, (response) => {
      let rest = ''
      response.setEncoding('utf8')
      response.on('data', (piece) => {
        const blocks = (rest + piece).split('\n\n')
        rest = blocks.pop()
        for (const block of blocks) {
          if (!block.includes('event: samples')) continue
          const data = JSON.parse(/^data: (.*)$/m.exec(block)[1])
          hear(data.filter((one) => !one.whole && one.channel === 'water').map((one) => one.last[1]))
        }
      })
      resolve(() => request.destroy())
    })
    request.on('error', (error) => (request.destroyed ? undefined : reject(error)))
  })
}

runMain(main)
