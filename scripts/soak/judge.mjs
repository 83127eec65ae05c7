/** What a soak showed, against its limits. */
const LIMITS = { paintP95Ms: 50, longestTaskMs: 100, grownMB: 20, offMs: 400, frameMs: 34, framesShare: 0.95 }

/**
 * @param patience milliseconds may be so many times the limits; presses and samples are judged alike
 * @returns the figures, and in `broken` what was not held
 */
export function judge({
  lanes,
  pressed,
  paints,
  faults,
  minutes,
  patience,
  memory,
  tasks,
  frames,
  samples,
  machineLateMs,
}) {
  const broken = []
  const worstOffMs = pressesJudged(lanes, pressed, broken)
  const paintP95Ms = p95(paints)
  // In sixths of the whole: what grows with the marks shows here.
  const paintP95BySixth = Array.from({ length: 6 }, (_, i) =>
    p95(paints.slice(Math.floor((i * paints.length) / 6), Math.floor(((i + 1) * paints.length) / 6))),
  )
  const grownMB = Number((memory.at(-1) - memory[0]).toFixed(1))
  const longestTaskMs = Math.max(0, ...tasks)
  const framesInTime = Number(
    (frames.filter((ms) => ms <= LIMITS.frameMs * patience).length / Math.max(1, frames.length)).toFixed(4),
  )
  if (framesInTime < LIMITS.framesShare)
    broken.push(`${(100 * framesInTime).toFixed(1)} % of frames within ${LIMITS.frameMs * patience} ms`)
  if (
    samples !== null &&
    (samples.sent === 0 ||
      samples.wrong > 0 ||
      samples.stationAcknowledged === 0 ||
      samples.stationWrong > 0 ||
      samples.stored !== samples.sent)
  )
    broken.push(
      `of ${samples.sent} samples sent ${samples.stored} are stored, ${samples.wrong} not in their place; of the killed station’s ${samples.stationAcknowledged} acknowledged ${samples.stationWrong} wrong`,
    )
  if (paints.length === 0) broken.push('no press was timed')
  if (paintP95Ms >= LIMITS.paintP95Ms * patience) broken.push(`mark to paint ${paintP95Ms} ms (p95)`)
  if (longestTaskMs > LIMITS.longestTaskMs * patience) broken.push(`a task of ${longestTaskMs} ms`)
  if (grownMB >= LIMITS.grownMB) broken.push(`memory grew by ${grownMB} MB`)
  if (worstOffMs > LIMITS.offMs * patience) broken.push(`a mark is ${worstOffMs} ms from its press`)
  return {
    minutes,
    pressed: pressed.length,
    ...faults,
    paintP95Ms,
    paintP95BySixth,
    timed: paints.length,
    machineLateMs,
    longestTaskMs,
    tasksOver50Ms: tasks.length,
    grownMB,
    worstOffMs,
    frames: frames.length,
    framesInTime,
    samples,
    broken,
  }
}

/** Each press once and in its order. @returns how far a mark is from its press at the most [ms] */
function pressesJudged(lanes, pressed, broken) {
  let worstOffMs = 0
  for (const lane of lanes) {
    const stored = lane.state.marks.filter((one) => one.kind === 'disturbance' || one.kind === 'reading')
    const wanted = pressed.filter((one) => one.lane === lane.lane)
    const [got, asked] = [stored, wanted].map((list) =>
      list.map((one) => (one.kind === 'reading' ? (one.payload?.typed ?? one.typed) : 'k')).join(' '),
    )
    if (got !== asked)
      broken.push(`lane ${lane.lane}: ${wanted.length} pressed, ${stored.length} stored, or not in their order`)
    else
      for (let i = 0; i < stored.length; i++) worstOffMs = Math.max(worstOffMs, Math.abs(stored[i].atMs - wanted[i].at))
  }
  return worstOffMs
}
const p95 = (times) => Math.round([...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0)
