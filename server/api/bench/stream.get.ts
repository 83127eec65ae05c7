import type { EventStreamMessage } from 'h3'
import { benchNow } from '#server/bench/benchClock'
import { readBenchNow, readBenchSince } from '#server/bench/lanes'
import { hear } from '#server/bench/live'
import { hearSamples, samplesSince } from '#server/bench/liveSamples'
import { stillReads } from '#server/http/slowReader'
import { hearNow } from '#server/instruments/sentNow'
import { lastSeq } from '#server/bench/outbox'
import { useDatabase } from '#server/database/connection'
import { isLetIn } from '#server/share/devices'
import { keepStream } from '#server/share/openStreams'
import type { Bench, BenchPush, SamplesHad } from '#shared/bench'

const BEAT_MS = 10_000

/**
 * The bench as it stands, then each change. A page that was away says how far it had heard, and gets what came since.
 * `only=lanes`: without what instruments send, for those that look at the lanes alone.
 */
export default defineEventHandler(async (event) => {
  const stream = createEventStream(event)
  const db = useDatabase()
  const waiting: BenchPush[] = []
  let began = false
  let over = false
  const send = (message: EventStreamMessage) => {
    if (!over && stillReads(event.node.res)) void stream.push(message)
  }
  const push = (name: string, value: { seq: number }) =>
    send({ event: name, id: String(value.seq), data: JSON.stringify(value), retry: 500 })
  const deaf = hear((change) => {
    if (began) push('change', change)
    else waiting.push(change)
  })
  const samples = (pushes: string) => send({ event: 'samples', data: pushes })
  const { seen, had, only } = readQuery(event)
  let deafToNow = () => undefined as unknown
  let deafToSamples = () => undefined as unknown
  if (only !== 'lanes') {
    deafToNow = hearNow((now) => send({ event: 'now', data: JSON.stringify(now) }))
    void samplesSince(db, readHad(had), (pushes) => {
      samples(pushes)
      if (!over) deafToSamples = hearSamples(samples)
    }).catch(() => stream.close())
  }
  const { caller } = event.context
  const ended = caller.as === 'device' ? keepStream(caller.id, () => void stream.close()) : () => undefined
  const beat = setInterval(() => void beatOnce().catch(() => undefined), BEAT_MS)
  async function beatOnce() {
    // It may have been forgotten at another process.
    if (caller.as === 'device' && !(await isLetIn(db, caller.id))) return stream.close()
    send({ event: 'beat', data: JSON.stringify({ serverMs: await benchNow(db) }) })
  }
  stream.onClosed(async () => {
    over = true
    clearInterval(beat)
    ended()
    deaf()
    deafToSamples()
    deafToNow()
    await stream.close()
  })
  const begin = (name: 'bench' | 'change', bench: BenchPush | Bench) => {
    push(name, bench)
    began = true
    for (const change of waiting) if (change.seq > bench.seq) push('change', change)
  }
  void (async () => {
    const [after, last, serverMs] = [Number(seen ?? -1), await lastSeq(db), await benchNow(db)]
    // A page that has heard more than there is had another database.
    if (after >= 0 && after <= last) begin('change', await readBenchSince(db, after, serverMs))
    else begin('bench', await readBenchNow(db, serverMs))
  })().catch(() => stream.close())
  return stream.send()
})

/** What is no number of a chunk is as nothing had. */
function readHad(text: unknown): SamplesHad {
  try {
    const read = JSON.parse(String(text)) as Record<string, Record<string, unknown> | null> | null
    return Object.fromEntries(
      Object.entries(read ?? {}).map(([runId, channels]) => [
        runId,
        Object.fromEntries(
          Object.entries(channels ?? {}).filter(
            ([, seq]) => Number.isInteger(seq) && (seq as number) > 0 && (seq as number) < 2 ** 31,
          ),
        ),
      ]),
    )
  } catch {
    return {}
  }
}
