/**
 * Sends samples of several instruments over TCP, at a rate or as fast as they are acknowledged, and times each
 * acknowledgement.
 */
import { connect } from 'node:net'

const BATCH_EVERY_MS = 150
/** Of each channel in a batch that waits for no clock [samples], as lines and as blocks. */
const FULL_BATCH = { lines: 80, blocks: 1600 }
const UNITS = { water: 'degC', scale: 'g', wind: 'm/s', air: 'degC', container: 'degC', pressure: 'hPa' }
const CHANNELS = Object.keys(UNITS)
/** After so many the values begin anew. */
const PERIOD = 3000
const VALUE = {
  water: (n) => 20 + (n % 500) / 10,
  scale: (n) => 420 - (n % 3000) / 100,
  wind: (n) => (n % 30) / 10,
  air: (n) => 12 + (n % 10) / 10,
  container: (n) => 8 + (n % 40) / 10,
  pressure: (n) => 905 + (n % 20) / 10,
}

/**
 * Sent before the first of them is acknowledged, where nothing is paced: one is read while the other is stored
 * [batches].
 */
const IN_FLIGHT = 3
/** Written beforehand: what writes them runs on the machine that is measured. */
const WRITTEN = Object.fromEntries(
  Object.entries(VALUE).map(([channel, value]) => [
    channel,
    Array.from({ length: PERIOD }, (_, n) => value(n).toFixed(2)),
  ]),
)
const written = (channel, n) => WRITTEN[channel][n % PERIOD]
/** The values of each channel one after another, twice round, and where each begins. */
const IN_A_ROW = Object.fromEntries(
  CHANNELS.map((channel) => {
    const starts = [0]
    for (let n = 0; n < 2 * PERIOD; n++) starts.push(starts[n] + written(channel, n).length + 1)
    return [channel, { text: Array.from({ length: 2 * PERIOD }, (_, n) => written(channel, n)).join(','), starts }]
  }),
)
/** So many of them from the nth on, at most a period. */
function inARow(channel, n, count) {
  const { text, starts } = IN_A_ROW[channel]
  const first = n % PERIOD
  return text.slice(starts[first], starts[first + count] - 1)
}

process.once('message', ({ port, feeds, channels, seconds, samplesPerS, form }) => {
  const endsAt = performance.now() + seconds * 1000
  const began = performance.now()
  void Promise.all(
    feeds.map((feed) =>
      sendAll({
        port,
        feed,
        channels,
        endsAt,
        form,
        perBatch:
          samplesPerS === null
            ? FULL_BATCH[form]
            : (samplesPerS * BATCH_EVERY_MS) / 1000 / feeds.length / channels.length,
        paced: samplesPerS !== null,
      }),
    ),
  ).then((all) => {
    const took = (performance.now() - began) / 1000
    const acks = all.flatMap((one) => one.acks).sort((a, b) => a - b)
    const samples = all.reduce((sum, one) => sum + one.stored, 0)
    process.send({
      samples,
      refused: all.reduce((sum, one) => sum + one.refused, 0),
      batches: acks.length,
      perS: Math.round(samples / took),
      ackMedianMs: Math.round(acks[Math.floor(acks.length / 2)]),
      ackP95Ms: Math.round(acks[Math.floor(acks.length * 0.95)]),
      ackMaxMs: Math.round(acks.at(-1)),
    })
  })
})

function sendAll({ port, feed, channels, endsAt, form, perBatch, paced }) {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1')
    socket.setEncoding('utf8').setNoDelay(true)
    socket.write(`${JSON.stringify({ token: feed.token })}\n`)
    const result = { acks: [], stored: 0, refused: 0 }
    const sentAt = new Map()
    const run = `${Date.now()}`
    let [rest, n, batches, owed, aheadMs, lastMs, over] = ['', 0, 0, 0, 0, 0, false]
    function batch() {
      owed += perBatch
      const count = Math.floor(owed)
      owed -= count
      // Up to now, a millisecond apart at the least: each sample is one.
      const nowMs = Math.round(Date.now() + aheadMs)
      const firstMs = paced ? Math.max(lastMs + 1, nowMs - BATCH_EVERY_MS) : lastMs + 1
      const apart = paced ? Math.max(1, Math.floor((nowMs - firstMs) / Math.max(1, count))) : 1
      const lines = []
      if (form === 'blocks') {
        for (const channel of channels)
          lines.push(
            `{"t":${firstMs},"everyMs":${apart},"channel":"${channel}","unit":"${UNITS[channel]}","value":[${inARow(channel, n, count)}]}`,
          )
        n += count
        lastMs = firstMs + (count - 1) * apart
      } else {
        for (let i = 0; i < count; i++, n++) {
          lastMs = firstMs + i * apart
          for (const channel of channels) lines.push(`${lastMs},${channel},${written(channel, n)},${UNITS[channel]}`)
        }
      }
      const id = `${run} ${++batches}`
      sentAt.set(id, performance.now())
      socket.write(`${lines.join('\n')}\n${JSON.stringify({ batch: id })}\n`)
    }
    let timer
    const next = () => {
      if (performance.now() >= endsAt) {
        over = true
        if (sentAt.size === 0) done()
        return
      }
      batch()
      if (paced) timer = setTimeout(next, Math.max(0, BATCH_EVERY_MS - ((performance.now() - began) % BATCH_EVERY_MS)))
    }
    const done = () => {
      clearTimeout(timer)
      socket.destroy()
      resolve(result)
    }
    let began = 0
    socket.on('data', (piece) => {
      const lines = (rest + piece).split('\n')
      rest = lines.pop()
      for (const line of lines) {
        const answer = JSON.parse(line)
        if (answer.hello) {
          aheadMs = answer.nowMs - Date.now()
          // As fast as it goes, samples come faster than milliseconds: their time begins half an hour ago.
          if (!paced) lastMs = answer.nowMs - 1_800_000
          began = performance.now()
          for (let i = 0; i < (paced ? 1 : IN_FLIGHT); i++) next()
          continue
        }
        if (answer.error) process.stderr.write(`${feed.lane}: ${answer.error}\n`)
        if (answer.refused > 0) process.stderr.write(`${feed.lane}: ${answer.problems[0]?.text}\n`)
        result.acks.push(performance.now() - sentAt.get(answer.batch))
        sentAt.delete(answer.batch)
        result.stored += answer.stored ?? 0
        result.refused += answer.refused ?? 0
        if (over && sentAt.size === 0) done()
        else if (!paced && !over) next()
      }
    })
  })
}
process.on('disconnect', () => process.exit(0))
