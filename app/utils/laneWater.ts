/**
 * The water of a lane on the lane's own clock: what was read by eye, and what a thermometer sends. Only what came since
 * is worked out: six lanes ask each second, and half an hour of one is four thousand points.
 */
import type { WaterPoint } from '#core/bench/lane'
import { waterZero, laneSeconds, once } from '#core/bench/laneTimes'
import type { Lane } from '#shared/bench'
import { liveTrace, type LiveTrace } from '~/bench/samples'

/**
 * Water since pot-on, with the start, in order; where a thermometer sends, its points, with what was read by eye among
 * them. `thin`: a point a second of them, which predicts as well. Not to be changed: the next asking goes on with it.
 */
export function laneWater(lane: Lane, thin = false): readonly WaterPoint[] {
  const read = readByEye(lane)
  const sent = sentWater(lane)
  if (sent === null || sent.all.length === 0) return read
  return merged(thin ? sent.thin : sent.all, read)
}

/** What a thermometer sent since pot-on, a point a second; none: null. */
export const thinSentWater = (lane: Lane): readonly WaterPoint[] | null => sentWater(lane)?.thin ?? null

/** The newest of both. */
export function lastWaterC(lane: Lane): number | null {
  const [sent, read] = [sentWater(lane)?.all.at(-1), readByEye(lane).at(-1)]
  return (sent && (!read || sent[0] >= read[0]) ? sent : read)?.[1] ?? null
}

const readByEye = once((lane: Lane): WaterPoint[] => {
  const zero = waterZero(lane)
  if (zero === null) return []
  const start = lane.readings.find((one) => one.quantity === 'waterStart')
  const readings = lane.state.marks
    .flatMap((mark): WaterPoint[] =>
      mark.kind === 'reading' && mark.payload.waterC !== undefined
        ? [[laneSeconds(lane, mark.atMs - zero), mark.payload.waterC]]
        : [],
    )
    .sort((a, b) => a[0] - b[0])
  return start ? [[0, start.value], ...readings.filter(([s]) => s > 0)] : readings
})

interface Sent {
  points: LiveTrace['points']
  cuts: number
  zero: number
  taken: number
  all: WaterPoint[]
  thin: WaterPoint[]
  thinFromMs: number
}
const known = new Map<string, Sent>()
const THIN_MS = 900

function sentWater(lane: Lane): Sent | null {
  const live = liveTrace(lane.runId, 'water')
  const zero = waterZero(lane)
  if (live === null || zero === null) return null
  const before = known.get(lane.runId)
  // Another clock, or points that were taken back: all anew.
  const sent =
    before && before.points === live.points && before.cuts === live.cuts && before.zero === zero
      ? before
      : { points: live.points, cuts: live.cuts, zero, taken: 0, all: [], thin: [], thinFromMs: -Infinity }
  known.set(lane.runId, sent)
  for (; sent.taken < live.points.length; sent.taken++) {
    const [atMs, tempC] = live.points[sent.taken]!
    if (atMs < zero) continue
    const point: WaterPoint = [laneSeconds(lane, atMs - zero), tempC]
    sent.all.push(point)
    if (atMs < sent.thinFromMs) continue
    sent.thin.push(point)
    sent.thinFromMs = atMs + THIN_MS
  }
  return sent
}

/** Both in order. Where a thermometer sends, the start is its own. */
function merged(sent: readonly WaterPoint[], read: readonly WaterPoint[]): readonly WaterPoint[] {
  const first = read.findIndex(([s]) => s > 0)
  if (first < 0) return sent
  const all: WaterPoint[] = []
  let i = first
  for (const point of sent) {
    while (i < read.length && read[i]![0] < point[0]) all.push(read[i++]!)
    all.push(point)
  }
  while (i < read.length) all.push(read[i++]!)
  return all
}
