import { BenchStream } from '#server/bench/benchStream'
import { stillReads } from '#server/http/slowReader'
import { isLetIn } from '#server/share/repository/devices'
import type { SamplesHad } from '#shared/bench'

/**
 * The bench as it stands, then each change. A page that was away says how far it had come, and gets what came since.
 * `only=lanes`: without what instruments send, for those that look at the lanes alone.
 */
export default defineEventHandler(async (event) => {
  const stream = createEventStream(event)
  const { db, workspace } = contextOf(event)
  const { caller } = event.context
  const close = () => void stream.close()
  const bench = new BenchStream(workspace, {
    send: (message) => {
      if (stillReads(event.node.res)) void stream.push(message)
    },
    close,
    isLetIn: async () => caller.as !== 'device' || isLetIn(db, caller.id),
  })
  const ended = caller.as === 'device' ? workspace.streams.keep(caller.id, close) : () => undefined
  stream.onClosed(async () => {
    ended()
    bench.end()
    await stream.close()
  })
  const { seen, had, only } = readQuery(event)
  if (only !== 'lanes') bench.withInstruments(readHad(had)).catch(close)
  bench.begin(Number(seen ?? -1)).catch(close)
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
