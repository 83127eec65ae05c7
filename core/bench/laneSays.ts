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

const say = (key: string, words: string): Saying => ({ key, words, kind: 'say' })
const readingOf = (lane: LaneFacts, quantity: string): number | undefined =>
  lane.readings.find((one) => one.quantity === quantity)?.value

function warnings(lane: LaneFacts, { nowMs, prediction, windMS }: SeenNow): Saying[] {
  const body = lane.method?.body
  return [
    swapped(lane),
    ...overdue(lane, nowMs),
    prediction?.fallingSinceS != null && isLit(lane) ? say('falling', 'The water falls. Is the flame out?') : null,
    outside('Start', readingOf(lane, 'waterStart'), body?.startC, '°C'),
    outside('Wind at the pot', windMS ?? readingOf(lane, 'wind'), body?.windMS, 'm/s'),
  ].filter((one) => one !== null)
}

function swapped(lane: LaneFacts): Saying | null {
  const [before, after] = [readingOf(lane, 'fuelBefore'), readingOf(lane, 'fuelAfter')]
  if (before === undefined || after === undefined || after <= before) return null
  const grams = (massKg: number) => `${formatNumber(massKg * 1000, 1)} g`
  return say('swapped', `Fuel after (${grams(after)}) is more than fuel before (${grams(before)}). Swapped?`)
}

/** A lit flame past the time its method gives it: to be shut off, or to boil. */
function overdue(lane: LaneFacts, nowMs: number): (Saying | null)[] {
  const body = lane.method?.body
  const zero = timeOf(lane, 'potOn')
  if (!body || zero === null || !isLit(lane)) return []
  const seconds = laneSeconds(lane, nowMs - zero)
  const { durationS, giveUpS } = body
  const boiled = timeOf(lane, 'rollingBoil', 'targetReached') !== null
  return [
    durationS != null && seconds > durationS
      ? say('duration', `${formatClock(durationS)} are over: shut off, stir and read.`)
      : null,
    giveUpS != null && seconds > giveUpS && !boiled
      ? say('giveUp', `${formatClock(giveUpS)} without a boil: the method gives up here.`)
      : null,
  ]
}

interface Window {
  low: number | null
  high: number | null
}
function outside(name: string, value: number | undefined, window: Window | undefined, unit: string): Saying | null {
  if (value === undefined || window === undefined) return null
  const { low, high } = window
  if ((low == null || value >= low) && (high == null || value <= high)) return null
  return say(
    `window.${name}`,
    `${name} ${formatNumber(value, 1)} ${unit} is outside the method’s ${windowWords(window)} ${unit}.`,
  )
}

function windowWords({ low, high }: Window): string {
  if (low == null) return `at most ${formatNumber(high!, 1)}`
  if (high == null) return `at least ${formatNumber(low, 1)}`
  return `${formatNumber(low, 1)} to ${formatNumber(high, 1)}`
}
