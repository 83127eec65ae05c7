/** What the tool has to say of a lane: offers that are answered, and warnings. */
import type { Prediction } from '../forecast/predictBoil'
import { formatClock, formatNumber } from '../quantity/format'
import type { EventKind } from '../run/events'
import type { LaneFacts } from './lane'
import { isLit, laneSeconds, once, paceOf, timeOf, waterZero } from './laneTimes'

/** What is seen of a lane at this moment. */
export interface SeenNow {
  nowMs: number
  prediction: Prediction | null
  /** The newest temperature of the water [°C]. */
  lastC: number | null
  /** The wind that an instrument sends [m/s]; null: none does. */
  windMS: number | null
}

export type Saying =
  | { key: string; words: string; kind: 'say' }
  | { key: string; words: string; kind: 'offer'; answers: { words: string; act: LaneAnswer }[] }

export type LaneAnswer =
  | { type: 'boilAt'; atMs: number }
  | { type: 'move'; ofId: string; toMs: number }
  | { type: 'mark'; kind: EventKind }
  | { type: 'settled' }

/** What the tool has to say of a lane now, the gravest first. `settled`: offers that were answered. */
export function laneSays(lane: LaneFacts, seen: SeenNow, settled: readonly string[]): Saying[] {
  const { prediction } = seen
  const offers = [disagreement(lane), unseenBoil(lane, prediction), feeding(lane, seen.lastC)].filter(
    (one): one is Saying => one !== null && !settled.includes(one.key),
  )
  return [...offers, ...warnings(lane, seen)]
}

/** The boil was called twice, too far apart to be one. */
const disagreement = once((lane: LaneFacts): Saying | null => {
  const boil = lane.state.marks.find((mark) => mark.kind === 'rollingBoil')
  const other = lane.state.kept.find((press) => press.kind === 'rollingBoil' && press.why === 'already')
  if (!boil || !other || other.atMs === boil.atMs) return null
  const at = (ms: number) => formatClock(laneSeconds(lane, ms - (waterZero(lane) ?? ms)))
  return {
    key: `boils.${other.id}`,
    kind: 'offer',
    words: `Boil called at ${at(boil.atMs)} and at ${at(other.atMs)}. Which?`,
    answers: [
      { words: at(boil.atMs), act: { type: 'settled' } },
      { words: at(other.atMs), act: { type: 'move', ofId: boil.id, toMs: other.atMs } },
    ],
  }
})

function unseenBoil(lane: LaneFacts, prediction: Prediction | null): Saying | null {
  const zero = waterZero(lane)
  if (zero === null || prediction?.boiledAtS == null || !lane.order.marks.includes('rollingBoil')) return null
  const atMs = Math.round(zero + (prediction.boiledAtS * 1000) / paceOf(lane))
  return {
    key: 'unseen',
    kind: 'offer',
    words: `The readings say it boiled at ${formatClock(prediction.boiledAtS)}, and nobody pressed.`,
    answers: [
      { words: 'I was late', act: { type: 'boilAt', atMs } },
      { words: 'Not yet', act: { type: 'settled' } },
    ],
  }
}

/** A flame that went out before the boil may be fed. */
function feeding(lane: LaneFacts, lastC: number | null): Saying | null {
  const out = isLit(lane) ? undefined : lane.state.marks.findLast((mark) => mark.kind === 'flameOut')
  if (
    !out ||
    timeOf(lane, 'gaveUp', 'stopped', 'snuffed', 'shutOff') !== null ||
    timeOf(lane, 'rollingBoil') !== null ||
    lane.kind === 'burnOff' ||
    lane.kind === 'simmer'
  )
    return null
  const zero = waterZero(lane) ?? out.atMs
  return {
    key: `feed.${out.id}`,
    kind: 'offer',
    words: `Flame out ${formatClock(laneSeconds(lane, out.atMs - zero))}${lastC === null ? '' : `, water ${formatNumber(lastC, 0)} °C`}. Feeding another?`,
    answers: [
      { words: 'Lit again', act: { type: 'mark', kind: 'relit' } },
      { words: 'No, it is over', act: { type: 'settled' } },
    ],
  }
}

function warnings(lane: LaneFacts, { nowMs, prediction, windMS }: SeenNow): Saying[] {
  const say = (key: string, words: string): Saying => ({ key, words, kind: 'say' })
  const body = lane.method?.body
  const reading = (quantity: string) => lane.readings.find((one) => one.quantity === quantity)?.value
  const window = (
    name: string,
    value: number | undefined,
    low: number | null | undefined,
    high: number | null | undefined,
    unit: string,
  ) =>
    value === undefined || ((low == null || value >= low) && (high == null || value <= high))
      ? []
      : [
          say(
            `window.${name}`,
            `${name} ${formatNumber(value, 1)} ${unit} is outside the method’s ${low == null ? `at most ${formatNumber(high!, 1)}` : high == null ? `at least ${formatNumber(low, 1)}` : `${formatNumber(low, 1)} to ${formatNumber(high, 1)}`} ${unit}.`,
          ),
        ]
  const [before, after] = [reading('fuelBefore'), reading('fuelAfter')]
  const zero = timeOf(lane, 'potOn')
  const late =
    body?.giveUpS != null &&
    zero !== null &&
    isLit(lane) &&
    timeOf(lane, 'rollingBoil', 'targetReached') === null &&
    laneSeconds(lane, nowMs - zero) > body.giveUpS
  const over =
    body?.durationS != null && zero !== null && isLit(lane) && laneSeconds(lane, nowMs - zero) > body.durationS
  return [
    ...(before !== undefined && after !== undefined && after > before
      ? [
          say(
            'swapped',
            `Fuel after (${formatNumber(after * 1000, 1)} g) is more than fuel before (${formatNumber(before * 1000, 1)} g). Swapped?`,
          ),
        ]
      : []),
    ...(over ? [say('duration', `${formatClock(body!.durationS!)} are over: shut off, stir and read.`)] : []),
    ...(late ? [say('giveUp', `${formatClock(body!.giveUpS!)} without a boil: the method gives up here.`)] : []),
    ...(prediction?.fallingSinceS != null && isLit(lane) ? [say('falling', 'The water falls. Is the flame out?')] : []),
    ...window('Start', reading('waterStart'), body?.startC.low, body?.startC.high, '°C'),
    ...window('Wind at the pot', windMS ?? reading('wind'), body?.windMS.low, body?.windMS.high, 'm/s'),
  ]
}
