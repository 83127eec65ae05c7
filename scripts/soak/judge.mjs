/** What a soak showed, against its limits. */
import { lengthMs, outside } from '../lib/stretches.mjs'

const LIMITS = { paintP95Ms: 50, longestTaskMs: 100, grownMB: 20, offMs: 400, frameMs: 34, framesShare: 0.95 }

/**
 * @param paints as `tasks` and `frames`: how long each took, and when it was over `{ ms, atMs }`. What lies in a stretch
 * that the host gave to others is told of, and not judged: it says nothing of the product
 * @param patience milliseconds may be so many times the limits; presses and samples are judged alike
 * @returns the figures, and in `broken` what was not held
 */
export function judge({ lanes, pressed, paints, faults, minutes, patience, memory, tasks, frames, samples, machine }) {
  const { taken, ...stalls } = machine
  const { worstOffMs, lost } = pressesJudged(lanes, pressed, taken)
  const times = (measured) => outside(measured, taken).map(({ ms }) => ms)
  const [timed, long, drawn] = [times(paints), times(tasks), times(frames)]
  const figures = {
    paintP95Ms: p95(timed),
    longestTaskMs: Math.max(0, ...long),
    grownMB: Number((memory.at(-1) - memory[0]).toFixed(1)),
    worstOffMs,
    framesInTime: shareWithin(drawn, LIMITS.frameMs * patience),
  }
  const broken = [
    ...lost,
    ...samplesJudged(samples),
    ...(paints.length === 0 ? ['no press was timed'] : []),
    ...timesJudged(figures, patience),
  ]
  return {
    minutes,
    pressed: pressed.length,
    ...faults,
    ...figures,
    paintP95BySixth: bySixth(timed),
    timed: timed.length,
    machine: { ...stalls, takenS: Math.round(lengthMs(taken) / 1000), leftOut: paints.length - timed.length },
    tasksOver50Ms: long.length,
    frames: drawn.length,
    samples,
    broken,
  }
}

const shareWithin = (times, limitMs) =>
  times.length === 0 ? 1 : Number((times.filter((ms) => ms <= limitMs).length / times.length).toFixed(4))

/** In sixths of the whole: what grows with the marks shows here. */
const bySixth = (paints) =>
  Array.from({ length: 6 }, (_, i) =>
    p95(paints.slice(Math.floor((i * paints.length) / 6), Math.floor(((i + 1) * paints.length) / 6))),
  )

function timesJudged({ paintP95Ms, longestTaskMs, grownMB, worstOffMs, framesInTime }, patience) {
  const broken = []
  if (framesInTime < LIMITS.framesShare)
    broken.push(`${(100 * framesInTime).toFixed(1)} % of frames within ${LIMITS.frameMs * patience} ms`)
  if (paintP95Ms >= LIMITS.paintP95Ms * patience) broken.push(`mark to paint ${paintP95Ms} ms (p95)`)
  if (longestTaskMs > LIMITS.longestTaskMs * patience) broken.push(`a task of ${longestTaskMs} ms`)
  if (grownMB >= LIMITS.grownMB) broken.push(`memory grew by ${grownMB} MB`)
  if (worstOffMs > LIMITS.offMs * patience) broken.push(`a mark is ${worstOffMs} ms from its press`)
  return broken
}

/** @param samples null: no instruments were there */
function samplesJudged(samples) {
  if (samples === null) return []
  const { sent, stored, wrong, stationAcknowledged, stationWrong } = samples
  if (sent > 0 && stored === sent && wrong === 0 && stationAcknowledged > 0 && stationWrong === 0) return []
  return [
    `of ${sent} samples sent ${stored} are stored, ${wrong} not in their place; of the killed station’s ${stationAcknowledged} acknowledged ${stationWrong} wrong`,
  ]
}

/** Each press once and in its order. @returns what was lost, and how far a mark is from its press at the most [ms] */
function pressesJudged(lanes, pressed, taken) {
  let worstOffMs = 0
  const lost = []
  for (const lane of lanes) {
    const stored = lane.state.marks.filter((one) => one.kind === 'disturbance' || one.kind === 'reading')
    const wanted = pressed.filter((one) => one.lane === lane.lane)
    if (wordsOf(stored) !== wordsOf(wanted))
      lost.push(`lane ${lane.lane}: ${wanted.length} pressed, ${stored.length} stored, or not in their order`)
    else worstOffMs = Math.max(worstOffMs, ...offMs(stored, wanted, taken))
  }
  return { worstOffMs, lost }
}
/** How far each mark lies from its press [ms]. */
const offMs = (stored, wanted, taken) =>
  outside(
    stored.map((one, i) => ({
      ms: Math.abs(one.atMs - wanted[i].at),
      atMs: Math.max(one.atMs, wanted[i].at),
    })),
    taken,
  ).map(({ ms }) => ms)
const wordsOf = (presses) =>
  presses.map((one) => (one.kind === 'reading' ? (one.payload?.typed ?? one.typed) : 'k')).join(' ')

const p95 = (times) => Math.round([...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0)
