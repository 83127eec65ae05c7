import { benchNow } from '#server/bench/benchClock'
import { readBenchNow } from '#server/bench/lanes'
import { hear } from '#server/bench/live'
import { hearSamples, samplesSoFar } from '#server/bench/liveSamples'
import { hearNow } from '#server/instruments/sentNow'
import { useDatabase } from '#server/database/connection'
import type { BenchPush } from '#shared/bench'

const BEAT_MS = 10_000

/** The bench as it stands, then each change. A page that re-connects gets the whole again: six lanes are small. */
export default defineEventHandler(async (event) => {
  const stream = createEventStream(event)
  const db = useDatabase()
  const waiting: BenchPush[] = []
  let began = false
  const push = (name: string, value: { seq: number }) => void stream.push({ event: name, id: String(value.seq), data: JSON.stringify(value), retry: 500 })
  const deaf = hear((change) => {
    if (began) push('change', change)
    else waiting.push(change)
  })
  const samples = (pushes: string) => void stream.push({ event: 'samples', data: pushes })
  const deafToNow = hearNow(now => void stream.push({ event: 'now', data: JSON.stringify(now) }))
  let deafToSamples = () => undefined as unknown
  void samplesSoFar((pushes) => {
    samples(pushes)
    deafToSamples = hearSamples(samples)
  }).catch(() => stream.close())
  const beat = setInterval(() => void benchNow(db).then(serverMs => stream.push({ event: 'beat', data: JSON.stringify({ serverMs }) })), BEAT_MS)
  stream.onClosed(async () => {
    clearInterval(beat)
    deaf()
    deafToSamples()
    deafToNow()
    await stream.close()
  })
  void readBenchNow(db, await benchNow(db)).then((bench) => {
    push('bench', bench)
    began = true
    for (const change of waiting) if (change.seq > bench.seq) push('change', change)
  }, () => stream.close())
  return stream.send()
})
