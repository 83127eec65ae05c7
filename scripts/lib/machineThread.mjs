/** The thread of `watchMachine`. */
import { closeSync, fsync, openSync, readFileSync, rmSync, write } from 'node:fs'
import { promisify } from 'node:util'
import { parentPort, workerData } from 'node:worker_threads'
import { stretches } from './stretches.mjs'

const EVERY_MS = 50
const PAGE_BYTES = 8192
const DISK_EVERY_MS = 1000
/** Later than any scheduler leaves an idle thread on a machine that runs [ms]. */
const STALLED_MS = 100
/** Of the time of all processors, over half a second. */
const STOLEN_SHARE = 0.1
const STOLEN_OVER_MS = 500

const taken = []
const timers = lateness()
const processors = stolen()
const disk = diskTimes(workerData.file)

parentPort.once('message', async () => {
  clearInterval(processors)
  const lateMs = timers()
  const diskMs = await disk()
  parentPort.postMessage({ lateMs, diskMs, taken: stretches(taken) })
})

/** How late a timer comes: the longest, and the 99th of a hundred. */
function lateness() {
  const late = []
  let dueMs = Date.now() + EVERY_MS
  const timer = setInterval(() => {
    const nowMs = Date.now()
    late.push(Math.max(0, nowMs - dueMs))
    if (nowMs - dueMs > STALLED_MS) taken.push([dueMs, nowMs])
    dueMs = nowMs + EVERY_MS
  }, EVERY_MS)
  return () => {
    clearInterval(timer)
    return summed(late)
  }
}

/** What the host gave to others while something of ours wanted to run ("steal" in /proc/stat, Linux). */
function stolen() {
  let before = processorTimes()
  let beganMs = Date.now()
  return setInterval(() => {
    const now = processorTimes()
    const all = now.all - before.all
    if (all > 0 && (now.stolen - before.stolen) / all > STOLEN_SHARE) taken.push([beganMs, Date.now()])
    before = now
    beganMs = Date.now()
  }, STOLEN_OVER_MS)
}

function processorTimes() {
  const [, ...ticks] = readFileSync('/proc/stat', 'utf8').split('\n', 1)[0].split(/\s+/)
  // user, nice, system, idle, iowait, irq, softirq, steal; what guests use is in user already.
  const times = ticks.slice(0, 8).map(Number)
  return { all: times.reduce((sum, one) => sum + one, 0), stolen: times[7] ?? 0 }
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
