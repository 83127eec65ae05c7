import type { EventStreamMessage } from 'h3'
import { readBenchNow, readBenchSince } from '#server/bench/lanes'
import { stillReads } from '#server/http/slowReader'
import { lastSeq } from '#server/bench/repository/outbox'
import { isLetIn } from '#server/share/repository/devices'
import type { Bench, BenchPush, SamplesHad } from '#shared/bench'

const BEAT_MS = 10_000

/**
 * The bench as it stands, then each change. A page that was away says how far it had come, and gets what came since.
 * `only=lanes`: without what instruments send, for those that look at the lanes alone.
 */
export default defineEventHandler(async (event) => {
  const stream = createEventStream(event)
  const { db, workspace } = contextOf(event)
  const waiting: BenchPush[] = []
  let began = false
  let over = false
  const send = (message: EventStreamMessage) => {
    if (!over && stillReads(event.node.res)) void stream.push(message)
  }
  const push = (name: string, value: { seq: number }) =>
    send({ event: name, id: String(value.seq), data: JSON.stringify(value), retry: 500 })
  const leaveLanes = workspace.lanes.subscribe((change) => {
    if (began) push('change', change)
    else waiting.push(change)
  })
  const samples = (pushes: string) => send({ event: 'samples', data: pushes })
  const { seen, had, only } = readQuery(event)
  let leaveNow = () => undefined as unknown
  let leaveSamples = () => undefined as unknown
  if (only !== 'lanes') {
    leaveNow = workspace.sentNow.subscribe((now) => send({ event: 'now', data: JSON.stringify(now) }))
    void workspace.samples
      .since(readHad(had), (pushes) => {
        samples(pushes)
        if (!over) leaveSamples = workspace.samples.subscribe(samples)
      })
      .catch(() => stream.close())
  }
  const { caller } = event.context
  const ended = caller.as === 'device' ? workspace.streams.keep(caller.id, () => void stream.close()) : () => undefined
  const beat = setInterval(() => void beatOnce().catch(() => undefined), BEAT_MS)
  async function beatOnce() {
    // It may have been forgotten at another process.
    if (caller.as === 'device' && !(await isLetIn(db, caller.id))) return stream.close()
    send({ event: 'beat', data: JSON.stringify({ serverMs: await workspace.clock.now() }) })
  }
  stream.onClosed(async () => {
    over = true
    clearInterval(beat)
    ended()
    leaveLanes()
    leaveSamples()
    leaveNow()
    await stream.close()
  })
  const begin = (name: 'bench' | 'change', bench: BenchPush | Bench) => {
    push(name, bench)
    began = true
    for (const change of waiting) if (change.seq > bench.seq) push('change', change)
  }
  void (async () => {
    const [after, last, serverMs] = [Number(seen ?? -1), await lastSeq(db), await workspace.clock.now()]
    // A page that has seen more than there is had another database.
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
