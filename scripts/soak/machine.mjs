/** What the machine itself stalls, with nothing of ours to do: its timers, and its disk. */
import { closeSync, fsync, openSync, rmSync, write } from 'node:fs'
import { promisify } from 'node:util'

const EVERY_MS = 50
const PAGE_BYTES = 8192
const DISK_EVERY_MS = 1000

/** @param file that may be written @returns what ends it and says how late each was [ms] */
export function watchMachine(file) {
  const timers = lateness()
  const disk = diskTimes(file)
  return async () => ({ lateMs: timers(), diskMs: await disk() })
}

/** How late a timer of this idle process comes: the longest, and the 99th of a hundred. */
function lateness() {
  const late = []
  let due = performance.now() + EVERY_MS
  const timer = setInterval(() => {
    late.push(Math.max(0, performance.now() - due))
    due = performance.now() + EVERY_MS
  }, EVERY_MS)
  return () => {
    clearInterval(timer)
    return summed(late)
  }
}

/** How long a page takes to be on the disk, as a commit waits for it. */
function diskTimes(file) {
  const handle = openSync(file, 'w')
  const page = Buffer.alloc(PAGE_BYTES, 1)
  const took = []
  let over = false
  const working = (async () => {
    while (!over) {
      const began = performance.now()
      await promisify(write)(handle, page, 0, page.length, 0)
      await promisify(fsync)(handle)
      took.push(performance.now() - began)
      await new Promise((done) => setTimeout(done, DISK_EVERY_MS))
    }
  })()
  return async () => {
    over = true
    await working
    closeSync(handle)
    rmSync(file, { force: true })
    return summed(took)
  }
}

function summed(times) {
  const sorted = [...times].sort((a, b) => a - b)
  return { longest: Math.round(sorted.at(-1) ?? 0), p99: Math.round(sorted[Math.floor(sorted.length * 0.99)] ?? 0) }
}
