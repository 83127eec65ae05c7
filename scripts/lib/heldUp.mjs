/**
 * Loaded into a server that is measured, by NODE_OPTIONS: each time its event loop is held up, in a file, as "moment
 * milliseconds".
 */
import { appendFileSync } from 'node:fs'
import { isMainThread } from 'node:worker_threads'

const EVERY_MS = 5
const TOLD_FROM_MS = 30
const { VULCANUM_HELD_UP: file } = process.env

if (file && isMainThread) {
  let last = performance.now()
  setInterval(() => {
    const now = performance.now()
    const held = now - last - EVERY_MS
    last = now
    if (held >= TOLD_FROM_MS) appendFileSync(file, `${Date.now()} ${held.toFixed(0)}\n`)
  }, EVERY_MS).unref()
}
