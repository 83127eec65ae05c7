/**
 * Live changes to the pages: one listener a process on the database's NOTIFY, one reading of what changed, told to
 * every open stream.
 */
import pg from 'pg'
import type { BenchPush } from '../../shared/bench'
import { useDatabase } from '../database/connection'
import { SAMPLES_CHANNEL } from '../instruments/storeBatches'
import { NOW_CHANNEL, nowCame } from '../instruments/sentNow'
import { benchNow } from './benchClock'
import { readBenchSince } from './lanes'
import { samplesCame } from './liveSamples'
import { CHANNEL, lastSeq } from './outbox'

type Hear = (push: BenchPush) => void

const AGAIN_MS = 500
const hearers = new Set<Hear>()
let seq: number | null = null
let listener: pg.Client | null = null
let reading = Promise.resolve()

/** Tells this page of every change from now on. */
export function hear(hearer: Hear): () => void {
  hearers.add(hearer)
  void listen()
  return () => hearers.delete(hearer)
}

async function listen(): Promise<void> {
  if (listener !== null) return
  const client = (listener = new pg.Client({ connectionString: process.env.DATABASE_URL }))
  const lost = () => {
    if (listener !== client) return
    listener = null
    void client.end().catch(() => undefined)
    setTimeout(() => void listen(), AGAIN_MS).unref()
  }
  client.on('error', lost)
  client.on('end', lost)
  client.on('notification', ({ channel, payload }) =>
    channel === SAMPLES_CHANNEL
      ? samplesCame(payload ?? '')
      : channel === NOW_CHANNEL
        ? nowCame(payload ?? '{}')
        : tell(),
  )
  try {
    await client.connect()
    await client.query(`listen ${CHANNEL}; listen ${SAMPLES_CHANNEL}; listen ${NOW_CHANNEL}`)
    // What was told while nobody listened.
    tell()
  } catch {
    lost()
  }
}

/** One reading after another; what comes meanwhile is in the next. */
function tell(): void {
  reading = reading
    .then(async () => {
      const db = useDatabase()
      if (seq === null) {
        seq = await lastSeq(db)
        return
      }
      const push = await readBenchSince(db, seq, await benchNow(db))
      if (push.seq === seq) return
      seq = push.seq
      for (const hearer of hearers) hearer(push)
    })
    .catch(() => undefined)
}
