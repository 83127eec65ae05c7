/** What instruments send to a bench of its own: six lanes, a feed each, and what is stored of it. */
import { fork } from 'node:child_process'
import { once } from 'node:events'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { at, root } from '../lib/paths.mjs'
import { clearBench, mark, stage } from '../lib/stageBench.mjs'
import { bareCopy } from './bareCopy.mjs'

export const LANES = ['A', 'B', 'C', 'D', 'E', 'F']
const CHANNELS = ['water', 'scale', 'wind', 'air', 'container', 'pressure']

/** Six lanes that burn, with nothing sampled yet. */
export async function anew(url) {
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

/** A feed of all channels for each lane. */
export async function feedsOf(url) {
  const feeds = []
  for (const lane of LANES) {
    const lanes = Object.fromEntries(CHANNELS.map((channel) => [channel, [lane]]))
    feeds.push({ lane, token: await newFeed(url, `load ${lane}`, lanes) })
  }
  return feeds
}

export async function newFeed(url, name, lanes) {
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
export async function load({ instrumentPort }, { feeds, seconds, samplesPerS, form }) {
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
export async function fastest(bench, feeds, form) {
  await anew(bench.server.url)
  const before = await count(bench.databaseUrl)
  const taken = await load(bench, { feeds, seconds: FASTEST_S, samplesPerS: null, form })
  const stored = (await count(bench.databaseUrl)) - before
  const copy = await bareCopy(bench, { lanes: LANES.length, channels: CHANNELS.length })
  return { ...taken, stored, copy, ofCopy: Number((taken.perS / copy.commitPerS).toFixed(3)) }
}

export async function count(databaseUrl) {
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
