/**
 * An instrument that is killed again and again: five pressures a second over TCP, each sent again until it is
 * acknowledged; what it sent and what was acknowledged stand in two files.
 */
import { appendFileSync } from 'node:fs'
import { connect } from 'node:net'

const [, , port, token, sentFile, ackedFile] = process.argv
const EVERY_MS = 200
const AGAIN_MS = 300
const begun = `station ${process.pid} ${Date.now()}`
const waiting = new Map()
let [socket, n, aheadMs] = [null, 0, null]

const put = (id, line) => socket?.write(`${line}\n${JSON.stringify({ batch: id })}\n`)
function open() {
  let rest = ''
  const mine = connect(Number(port), '127.0.0.1')
  mine.setEncoding('utf8')
  mine.on('connect', () => {
    mine.write(`${JSON.stringify({ token })}\n`)
    socket = mine
    for (const [id, line] of waiting) put(id, line)
  })
  mine.on('data', (piece) => {
    const lines = (rest + piece).split('\n')
    rest = lines.pop()
    for (const { nowMs, batch, stored, known, again } of lines.map((line) => JSON.parse(line))) {
      if (nowMs !== undefined) aheadMs = nowMs - Date.now()
      if (again) setTimeout(() => waiting.has(batch) && put(batch, waiting.get(batch)), AGAIN_MS)
      else if (stored + known === 1 && waiting.has(batch)) {
        appendFileSync(ackedFile, `${waiting.get(batch)}\n`)
        waiting.delete(batch)
      }
    }
  })
  mine.on('error', () => undefined)
  mine.on('close', () => {
    if (socket === mine) socket = null
    setTimeout(open, AGAIN_MS)
  })
}
open()
setInterval(() => {
  // Its clock is the bench's: until it has heard it, it says nothing.
  if (aheadMs === null) return
  const line = `${Math.round(Date.now() + aheadMs)},pressure,${(904 + (n % 50) / 10).toFixed(1)},hPa`
  const id = `${begun} ${++n}`
  waiting.set(id, line)
  appendFileSync(sentFile, `${line}\n`)
  put(id, line)
}, EVERY_MS)
process.on('disconnect', () => process.exit(0))
