/**
 * Six lanes' instruments as one program: four channels each, ten samples a second, over TCP. At its end it tells all
 * that it sent, to be held against what is stored.
 */
import { writeFileSync } from 'node:fs'
import { openWire } from '../../simulators/wire'

/** From the soak: where to send, as whom, where to write what was sent, and how long it has gone on already. */
interface Begin {
  port: number
  feeds: { lane: string; token: string }[]
  file: string
  beforeS: number
}
const EVERY_MS = 100
/** As many ticks are one batch. */
const TICKS_A_BATCH = 5
const TICKS_A_BATCH_BEFORE = 500

process.once('message', ({ port, feeds, file, beforeS }: Begin) => {
  const begunMs = Date.now() - beforeS * 1000
  const senders = feeds.map(({ lane, token }, i) => {
    const sent: Record<string, [number, number][]> = { water: [], scale: [], wind: [], air: [] }
    let lines: string[] = []
    let lastMs = 0
    const wire = openWire({
      port,
      token,
      name: `soak ${lane}`,
      say: (line) => process.stderr.write(`${lane}: ${line}\n`),
    })
    const say = (atMs: number, channel: string, unit: string, value: number) => {
      sent[channel]!.push([atMs, value])
      lines.push(`${atMs},${channel},${value},${unit}`)
    }
    return {
      lane,
      sent,
      wire,
      tick(n: number, agoMs = 0) {
        const s = (Date.now() - agoMs - begunMs) / 1000
        // Each moment once, however the clock is corrected.
        const atMs = (lastMs = Math.max(wire.nowMs() - agoMs, lastMs + 1))
        // Slow rises to some degrees short of the boil, so that no lane ends by itself.
        say(
          atMs,
          'water',
          'degC',
          Number((20 + 60 * (1 - Math.exp(-s / (300 + 40 * i))) + 0.1 * Math.sin(n)).toFixed(2)),
        )
        say(atMs, 'scale', 'g', Number((420 - 0.02 * s).toFixed(1)))
        say(atMs, 'wind', 'm/s', Number((1 + 0.3 * Math.sin(n / 7 + i)).toFixed(1)))
        say(atMs, 'air', 'degC', Number((12 + 0.2 * Math.sin(n / 50)).toFixed(1)))
        if (n % (agoMs > 0 ? TICKS_A_BATCH_BEFORE : TICKS_A_BATCH) === 0) this.flush()
      },
      flush() {
        if (lines.length > 0) wire.send(lines)
        lines = []
      },
    }
  })
  let n = 0
  for (let agoMs = beforeS * 1000; agoMs > 0; agoMs -= EVERY_MS) {
    n++
    for (const one of senders) one.tick(n, agoMs)
  }
  for (const one of senders) one.flush()
  let timer: ReturnType<typeof setInterval> | undefined
  void Promise.all(senders.map((one) => one.wire.settled())).then(() => {
    process.send!('begun')
    timer = setInterval(() => {
      n++
      for (const one of senders) one.tick(n)
    }, EVERY_MS)
  })
  process.once('message', () => {
    clearInterval(timer)
    for (const one of senders) one.flush()
    void Promise.all(senders.map((one) => one.wire.settled())).then(() => {
      writeFileSync(file, JSON.stringify(Object.fromEntries(senders.map(({ lane, sent }) => [lane, sent]))))
      process.send!('done', () => process.exit(0))
    })
  })
})
process.on('disconnect', () => process.exit(0))
