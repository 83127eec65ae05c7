/** What a soak showed, against its limits. */
const LIMITS = { paintP95Ms: 50, longestTaskMs: 100, grownMB: 20, offMs: 400, frameMs: 34, framesShare: 0.95 }

/**
 * @param patience milliseconds may be so many times the limits; presses and samples are judged alike
 * @returns the figures, and in `broken` what was not held
 */
export function judge({ lanes, pressed, paints, faults, minutes, patience, memory, tasks, frames, samples, machine }) {
  const { worstOffMs, lost } = pressesJudged(lanes, pressed)
  const figures = {
    paintP95Ms: p95(paints),
    longestTaskMs: Math.max(0, ...tasks),
    grownMB: Number((memory.at(-1) - memory[0]).toFixed(1)),
    worstOffMs,
    framesInTime: shareWithin(frames, LIMITS.frameMs * patience),
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
    paintP95BySixth: bySixth(paints),
    timed: paints.length,
    machine,
    tasksOver50Ms: tasks.length,
    frames: frames.length,
    samples,
    broken,
  }
}

const shareWithin = (times, limitMs) =>
  Number((times.filter((ms) => ms <= limitMs).length / Math.max(1, times.length)).toFixed(4))

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
function pressesJudged(lanes, pressed) {
  let worstOffMs = 0
  const lost = []
  for (const lane of lanes) {
    const stored = lane.state.marks.filter((one) => one.kind === 'disturbance' || one.kind === 'reading')
    const wanted = pressed.filter((one) => one.lane === lane.lane)
    if (wordsOf(stored) !== wordsOf(wanted))
      lost.push(`lane ${lane.lane}: ${wanted.length} pressed, ${stored.length} stored, or not in their order`)
    else worstOffMs = Math.max(worstOffMs, ...stored.map((one, i) => Math.abs(one.atMs - wanted[i].at)))
  }
  return { worstOffMs, lost }
}
const wordsOf = (presses) =>
  presses.map((one) => (one.kind === 'reading' ? (one.payload?.typed ?? one.typed) : 'k')).join(' ')

const p95 = (times) => Math.round([...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0)
