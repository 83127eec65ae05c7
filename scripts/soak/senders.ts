/**
 * Six lanes' instruments as one program: four channels each, ten samples a second, over TCP. At its end it tells all
 * that it sent, to be held against what is stored.
 */
import { writeFileSync } from 'node:fs'
import { openWire, type Wire } from '../../simulators/wire'

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
  const senders = feeds.map((feed, i) => new Sender(i, feed, port, begunMs))
  const settled = () => Promise.all(senders.map((one) => one.settled()))
  let n = 0
  for (let agoMs = beforeS * 1000; agoMs > 0; agoMs -= EVERY_MS) {
    n++
    for (const one of senders) one.tick(n, agoMs)
  }
  let timer: ReturnType<typeof setInterval> | undefined
  void settled().then(() => {
    process.send!('begun')
    timer = setInterval(() => {
      n++
      for (const one of senders) one.tick(n)
    }, EVERY_MS)
  })
  process.once('message', () => {
    clearInterval(timer)
    void settled().then(() => {
      writeFileSync(file, JSON.stringify(Object.fromEntries(senders.map(({ lane, sent }) => [lane, sent]))))
      process.send!('done', () => process.exit(0))
    })
  })
})

/** One lane's instruments, and what they sent. */
class Sender {
  readonly lane: string
  readonly sent: Record<string, [number, number][]> = { water: [], scale: [], wind: [], air: [] }
  readonly #i: number
  readonly #begunMs: number
  readonly #wire: Wire
  #lines: string[] = []
  #lastMs = 0

  constructor(i: number, { lane, token }: Begin['feeds'][number], port: number, begunMs: number) {
    this.lane = lane
    this.#i = i
    this.#begunMs = begunMs
    const say = (line: string) => process.stderr.write(`${lane}: ${line}\n`)
    this.#wire = openWire({ port, token, name: `soak ${lane}`, say })
  }

  tick(n: number, agoMs = 0): void {
    const s = (Date.now() - agoMs - this.#begunMs) / 1000
    // Each moment once, however the clock is corrected.
    this.#lastMs = Math.max(this.#wire.nowMs() - agoMs, this.#lastMs + 1)
    // Slow rises to some degrees short of the boil, so that no lane ends by itself.
    const waterC = 20 + 60 * (1 - Math.exp(-s / (300 + 40 * this.#i))) + 0.1 * Math.sin(n)
    this.#say('water', 'degC', Number(waterC.toFixed(2)))
    this.#say('scale', 'g', Number((420 - 0.02 * s).toFixed(1)))
    this.#say('wind', 'm/s', Number((1 + 0.3 * Math.sin(n / 7 + this.#i)).toFixed(1)))
    this.#say('air', 'degC', Number((12 + 0.2 * Math.sin(n / 50)).toFixed(1)))
    if (n % (agoMs > 0 ? TICKS_A_BATCH_BEFORE : TICKS_A_BATCH) === 0) this.#flush()
  }

  /** When all was acknowledged. */
  settled(): Promise<void> {
    this.#flush()
    return this.#wire.settled()
  }

  #say(channel: string, unit: string, value: number): void {
    this.sent[channel]!.push([this.#lastMs, value])
    this.#lines.push(`${this.#lastMs},${channel},${value},${unit}`)
  }

  #flush(): void {
    if (this.#lines.length > 0) this.#wire.send(this.#lines)
    this.#lines = []
  }
}
process.on('disconnect', () => process.exit(0))
