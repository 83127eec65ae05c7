/**
 * Sends samples of several instruments over TCP, at a rate or as fast as they are acknowledged, and times each
 * acknowledgement.
 */
import { connect } from 'node:net'
import { inARow, UNITS, written } from './written.mjs'

const BATCH_EVERY_MS = 150
/** Of each channel in a batch that waits for no clock [samples], as lines and as blocks. */
const FULL_BATCH = { lines: 80, blocks: 1600 }
/**
 * Sent before the first of them is acknowledged, where nothing is paced: one is read while the other is stored
 * [batches].
 */
const IN_FLIGHT = 3
/** As fast as it goes, samples come faster than milliseconds: their time begins so long ago. */
const BEFORE_MS = 1_800_000

process.once('message', ({ port, feeds, channels, seconds, samplesPerS, form }) => {
  const endsAt = performance.now() + seconds * 1000
  const began = performance.now()
  const paced = samplesPerS !== null
  const perBatch = paced ? (samplesPerS * BATCH_EVERY_MS) / 1000 / feeds.length / channels.length : FULL_BATCH[form]
  const sending = feeds.map((feed) => new Sender({ port, feed, channels, endsAt, form, perBatch, paced }).ended)
  void Promise.all(sending).then((all) => process.send(summary(all, (performance.now() - began) / 1000)))
})

function summary(all, tookS) {
  const acks = all.flatMap((one) => one.acks).sort((a, b) => a - b)
  const samples = all.reduce((sum, one) => sum + one.stored, 0)
  return {
    samples,
    refused: all.reduce((sum, one) => sum + one.refused, 0),
    batches: acks.length,
    perS: Math.round(samples / tookS),
    ackMedianMs: Math.round(acks[Math.floor(acks.length / 2)]),
    ackP95Ms: Math.round(acks[Math.floor(acks.length * 0.95)]),
    ackMaxMs: Math.round(acks.at(-1)),
  }
}

/** One instrument's connection. */
class Sender {
  #told
  #socket
  #result = { acks: [], stored: 0, refused: 0 }
  #sentAt = new Map()
  #run = `${Date.now()}`
  /** Samples of each channel so far, batches so far, and the fraction of a sample that a batch left over. */
  #n = 0
  #batches = 0
  #owed = 0
  #aheadMs = 0
  #lastMs = 0
  #began = 0
  #over = false
  #timer
  #resolve

  constructor(told) {
    this.#told = told
    this.ended = new Promise((resolve) => {
      this.#resolve = resolve
    })
    this.#socket = connect(told.port, '127.0.0.1')
    this.#socket.setEncoding('utf8').setNoDelay(true)
    this.#socket.write(`${JSON.stringify({ token: told.feed.token })}\n`)
    let rest = ''
    this.#socket.on('data', (piece) => {
      const lines = (rest + piece).split('\n')
      rest = lines.pop()
      for (const line of lines) this.#hear(JSON.parse(line))
    })
  }

  #hear(answer) {
    if (answer.hello) return this.#begin(answer.nowMs)
    const { lane } = this.#told.feed
    if (answer.error) process.stderr.write(`${lane}: ${answer.error}\n`)
    if (answer.refused > 0) process.stderr.write(`${lane}: ${answer.problems[0]?.text}\n`)
    this.#result.acks.push(performance.now() - this.#sentAt.get(answer.batch))
    this.#sentAt.delete(answer.batch)
    this.#result.stored += answer.stored ?? 0
    this.#result.refused += answer.refused ?? 0
    if (this.#over) this.#end()
    else if (!this.#told.paced) this.#next()
  }

  #begin(nowMs) {
    const { paced } = this.#told
    this.#aheadMs = nowMs - Date.now()
    if (!paced) this.#lastMs = nowMs - BEFORE_MS
    this.#began = performance.now()
    for (let i = 0; i < (paced ? 1 : IN_FLIGHT); i++) this.#next()
  }

  #next() {
    if (performance.now() >= this.#told.endsAt) {
      this.#over = true
      return this.#end()
    }
    this.#send()
    if (!this.#told.paced) return
    const leftMs = BATCH_EVERY_MS - ((performance.now() - this.#began) % BATCH_EVERY_MS)
    this.#timer = setTimeout(() => this.#next(), Math.max(0, leftMs))
  }

  /** Once all is acknowledged. */
  #end() {
    if (this.#sentAt.size > 0) return
    clearTimeout(this.#timer)
    this.#socket.destroy()
    this.#resolve(this.#result)
  }

  #send() {
    this.#owed += this.#told.perBatch
    const count = Math.floor(this.#owed)
    this.#owed -= count
    const lines = this.#told.form === 'blocks' ? this.#blocks(count) : this.#lines(count)
    const id = `${this.#run} ${++this.#batches}`
    this.#sentAt.set(id, performance.now())
    this.#socket.write(`${lines.join('\n')}\n${JSON.stringify({ batch: id })}\n`)
  }

  /** Up to now, a millisecond apart at the least: each sample is one. */
  #times(count) {
    if (!this.#told.paced) return { firstMs: this.#lastMs + 1, everyMs: 1 }
    const nowMs = Math.round(Date.now() + this.#aheadMs)
    const firstMs = Math.max(this.#lastMs + 1, nowMs - BATCH_EVERY_MS)
    return { firstMs, everyMs: Math.max(1, Math.floor((nowMs - firstMs) / Math.max(1, count))) }
  }

  #blocks(count) {
    const { firstMs, everyMs } = this.#times(count)
    const blocks = this.#told.channels.map(
      (channel) =>
        `{"t":${firstMs},"everyMs":${everyMs},"channel":"${channel}","unit":"${UNITS[channel]}","value":[${inARow(channel, this.#n, count)}]}`,
    )
    this.#n += count
    this.#lastMs = firstMs + (count - 1) * everyMs
    return blocks
  }

  #lines(count) {
    const { firstMs, everyMs } = this.#times(count)
    const lines = []
    for (let i = 0; i < count; i++, this.#n++) {
      this.#lastMs = firstMs + i * everyMs
      for (const channel of this.#told.channels)
        lines.push(`${this.#lastMs},${channel},${written(channel, this.#n)},${UNITS[channel]}`)
    }
    return lines
  }
}
process.on('disconnect', () => process.exit(0))
