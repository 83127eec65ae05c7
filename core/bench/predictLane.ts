/** What the readings of a lane predict of its burning water. */
import { predictBoil, type Prediction } from '../forecast/predictBoil'
import { predictFromSamples } from '../forecast/predictFromSamples'
import { formatClock, formatNumber } from '../quantity/format'
import type { LaneFacts, WaterPoint } from './lane'
import { laneSeconds, timeOf, waterZero } from './laneTimes'

export interface LaneWater {
  /** All that is known of it, a point a second. */
  read: readonly WaterPoint[]
  /** Of it, what a thermometer sent. */
  sent: readonly WaterPoint[]
}

/** So many samples are a thermometer that sends, and no reading or two. */
const SENT_AT_LEAST = 20

export function predictLane(lane: LaneFacts, { read, sent: allSent }: LaneWater, nowMs: number): Prediction | null {
  const zero = waterZero(lane)
  const { method } = lane
  if (zero === null || timeOf(lane, 'rollingBoil', 'targetReached', 'gaveUp', 'stopped') !== null) return null
  const targetC = typeof method?.body.boil === 'object' ? method.body.boil.targetC : lane.boilingC
  const out = timeOf(lane, 'shutOff', 'snuffed')
  if (targetC === null || out !== null || lane.kind === 'coolDown' || lane.kind === 'burnOff') return null
  if (!isPotOn(lane)) return null
  const anewS = laneSeconds(lane, beganAnewMs(lane) - zero)
  const since = (points: readonly WaterPoint[]) => (anewS <= 0 ? points : points.filter(([s]) => s >= anewS))
  const [readings, sent] = [since(read), since(allSent)]
  const seen = { readings, boilingC: targetC, nowS: laneSeconds(lane, nowMs - zero), isSent: sent.length > 0 }
  return sent.length >= SENT_AT_LEAST ? predictFromSamples(seen, sent) : predictBoil(seen)
}

/** Beside its flame water is not heated: it falls, and nothing is wrong. A method without the mark begins with it on. */
function isPotOn({ state, order }: LaneFacts): boolean {
  const last = state.marks.findLast((mark) => mark.kind === 'potOn' || mark.kind === 'potOff')
  return last === undefined ? !order.marks.includes('potOn') : last.kind === 'potOn'
}

/** A piece that was fed, or a pot put back, starts the fall, or the rise, anew. */
const beganAnewMs = ({ state }: LaneFacts): number =>
  state.marks.findLast((mark) => ['relit', 'fuelAdded', 'potOn'].includes(mark.kind))?.atMs ?? -Infinity

/** "boils about 8:20 to 9:05", on the lane's clock. */
export function forecastWords(prediction: Prediction | null, giveUpS: number | null): string {
  if (prediction === null) return ''
  if (prediction.stallsAtC !== null) return `tops out near ${formatNumber(prediction.stallsAtC, 0)} °C: will not boil`
  if (prediction.boil === null) return ''
  const { fromS, toS } = prediction.boil
  if (giveUpS !== null && fromS > giveUpS) return `not before ${formatClock(fromS)}; give-up is ${formatClock(giveUpS)}`
  return toS === null
    ? `boil not before ${formatClock(fromS)}, if at all`
    : `boil about ${formatClock(fromS)} to ${formatClock(toS)}`
}
