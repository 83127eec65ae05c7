/**
 * What a lane says at a moment: its state, its clocks, the water, the next thing to press, and what the tool has to
 * say.
 */
import { predictBoil, type Prediction } from '#core/forecast/predictBoil'
import { predictFromSamples } from '#core/forecast/predictFromSamples'
import { fuelOfKind } from '#core/constants/fuels'
import { formatClock, formatNumber } from '#core/quantity/format'
import { isBurning, isOver, lastPressed, nextEvent, zeroOf, type BenchMark, type KeptPress } from '#core/run/benchStep'
import { EVENT_NAMES, type EventKind } from '#core/run/events'
import type { UnitSystem } from '#core/quantity/kinds'
import type { Lane } from '#shared/bench'
import { LANES } from '#shared/benchAct'
import { asideWords, type AsidePress } from '#shared/keptPress'
import type { MeasuredQuantity } from '#shared/measuredQuantity'

export type LaneState = 'armed' | 'burning' | 'cooling' | 'done'
export type LaneNext =
  | { type: 'mark'; kind: EventKind; words: string }
  | { type: 'read'; quantity: MeasuredQuantity; words: string }
  | { type: 'finish'; words: string }

export const NEXT_WORDS: Partial<Record<EventKind, string>> = {
  lit: 'Light',
  bloomed: 'Full flame',
  potOn: 'Pot on',
  rollingBoil: 'Boil',
  targetReached: 'Target',
  shutOff: 'Out',
  snuffed: 'Out: snuff it',
  flameOut: 'Flame out',
  flameLeftPot: 'Flame left the pot',
  relit: 'Lit again',
}

/** Hardware from a hot pot to the air, to within a few kelvin. Source: estimate. */
const COOL_MS = 16 * 60_000

/** @param skipped things of the order that were passed over */
export function laneNext(lane: Lane, skipped: readonly string[], falling: boolean): LaneNext {
  const { state, order } = lane
  const has = (quantity: string) => lane.readings.some((one) => one.quantity === quantity)
  if (order.weighIn && state.marks.length === 0 && !has(order.weighIn) && !skipped.includes('weighIn'))
    return { type: 'read', quantity: order.weighIn as MeasuredQuantity, words: 'Weigh in' }
  if (falling && isLit(lane)) return { type: 'mark', kind: 'flameOut', words: NEXT_WORDS.flameOut! }
  const remaining = nextEvent({ ...state, order: order.marks.filter((kind) => !skipped.includes(kind)) })
  if (remaining !== null)
    return { type: 'mark', kind: remaining, words: NEXT_WORDS[remaining] ?? EVENT_NAMES[remaining] }
  if (order.weighOut && !has(order.weighOut) && !skipped.includes('weighOut'))
    return { type: 'read', quantity: order.weighOut as MeasuredQuantity, words: 'Weigh out' }
  return { type: 'finish', words: 'Finish' }
}

/** What Next would pass over, if it may. */
export function skippable(lane: Lane, next: LaneNext): string | null {
  if (next.type === 'read') return next.quantity === lane.order.weighOut ? 'weighOut' : 'weighIn'
  return next.type === 'mark' && lane.order.optional.includes(next.kind) ? next.kind : null
}

export function laneState(lane: Lane): LaneState {
  const { state, order, readings } = lane
  if (isLit(lane)) return 'burning'
  if (!isOver(state)) return 'armed'
  return order.weighOut && !readings.some((one) => one.quantity === order.weighOut) ? 'cooling' : 'done'
}

const endOf = (lane: Lane): number | null =>
  isLit(lane)
    ? null
    : (lane.state.marks.findLast((mark) => ['shutOff', 'snuffed', 'flameOut', 'gaveUp', 'stopped'].includes(mark.kind))
        ?.atMs ?? null)

const isLit = once((lane) => isBurning(lane.state))
const clockTimes = once((lane) => {
  const convention = lane.method?.body.clock ?? 'potOn'
  const chosen = lane.order.marks.includes(convention) ? convention : (lane.order.marks[0] ?? 'lit')
  return {
    chosen,
    zero: timeOf(lane, chosen as EventKind),
    end: endOf(lane),
    boil: timeOf(lane, 'rollingBoil', 'targetReached'),
    others: (['lit', 'bloomed', 'potOn'] as const)
      .filter((kind) => kind !== chosen)
      .map((kind) => [kind, timeOf(lane, kind)] as const),
  }
})

/**
 * What is slower than a clock is worked out once a second, each lane in a part of it of its own: six at once would hold
 * the page up.
 */
export const laneSecond = ({ lane }: Lane, nowMs: number): number => {
  const ownMs = LANES.indexOf(lane) * (1000 / LANES.length)
  return Math.floor((nowMs - ownMs) / 1000) * 1000 + Math.round(ownMs)
}

export interface Clocks {
  main: string
  name: string
  others: string
}

/** By the method's convention, the others small beside it. It runs until the flame ends. */
export function laneClocks(lane: Lane, nowMs: number): Clocks {
  const { chosen, zero, end, boil, others } = clockTimes(lane)
  // A running clock shows whole seconds that are over.
  const since = (at: number | null) =>
    at === null ? null : formatClock(Math.floor(laneSeconds(lane, Math.max(0, (end ?? nowMs) - at))))
  const beside = others.flatMap(([kind, at]) => (at === null ? [] : [`${SHORT_WORDS[kind]} ${since(at)}`]))
  const boiled = boil !== null && zero !== null ? [`boil ${formatClock(laneSeconds(lane, boil - zero))}`] : []
  return {
    main: since(zero) ?? '0:00',
    name: CLOCK_WORDS[chosen as keyof typeof CLOCK_WORDS] ?? EVENT_NAMES[chosen as EventKind].toLowerCase(),
    others: [...boiled, ...beside].join(' · '),
  }
}
const SHORT_WORDS = { lit: 'lit', bloomed: 'full flame', potOn: 'pot on' } as const
const CLOCK_WORDS = { lit: 'from lighting', bloomed: 'from full flame', potOn: 'from pot-on' } as const

export interface Boil {
  callS: number | null
  seenS: number | null
}

/** What the readings predict of the burning water: asked for by lane, prompts and margin in the same second. */
export function lanePredicts(lane: Lane, nowMs: number): Prediction | null {
  const known = prediction.get(lane.runId)
  const from = predictedFrom(lane)
  if (known?.nowMs === nowMs && known.from === from) return known.value
  const value = predict(lane, nowMs)
  prediction.set(lane.runId, { nowMs, from, value })
  return value
}
const prediction = new Map<string, { nowMs: number; from: string; value: Prediction | null }>()
/** What it rests on, as one word: a knock changes the lane and predicts nothing. */
const predictedFrom = once((lane) => {
  const said = lane.state.marks.filter((mark) => mark.kind !== 'disturbance')
  return `${said.length} ${said.at(-1)?.id} ${said.reduce((sum, mark) => sum + mark.atMs, 0)} ${lane.readings.map((one) => one.id).join()} ${lane.boilingC}`
})

/** So many samples are a thermometer that sends, and no reading or two. */
const SENT_AT_LEAST = 20
function predict(lane: Lane, nowMs: number): Prediction | null {
  const zero = waterZero(lane)
  const { method } = lane
  if (zero === null || timeOf(lane, 'rollingBoil', 'targetReached', 'gaveUp', 'stopped') !== null) return null
  const targetC = typeof method?.body.boil === 'object' ? method.body.boil.targetC : lane.boilingC
  const out = timeOf(lane, 'shutOff', 'snuffed')
  if (targetC === null || out !== null || lane.kind === 'coolDown' || lane.kind === 'burnOff') return null
  // A piece that was fed starts the fall, or the rise, anew.
  const fedS = Math.max(
    -Infinity,
    ...lane.state.marks
      .filter((mark) => mark.kind === 'relit' || mark.kind === 'fuelAdded')
      .map((mark) => laneSeconds(lane, mark.atMs - zero)),
  )
  const since = (points: readonly WaterPoint[]) => (fedS === -Infinity ? points : points.filter(([s]) => s >= fedS))
  const [readings, sent] = [since(laneWater(lane, true)), since(thinSentWater(lane) ?? [])]
  if (sent.length >= SENT_AT_LEAST)
    return predictFromSamples({ readings, boilingC: targetC, nowS: laneSeconds(lane, nowMs - zero) }, sent)
  return predictBoil({ readings, boilingC: targetC, nowS: laneSeconds(lane, nowMs - zero) })
}

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

export type Saying =
  | { key: string; words: string; kind: 'say' }
  | { key: string; words: string; kind: 'offer'; answers: { words: string; act: LaneAnswer }[] }
export type LaneAnswer =
  | { type: 'boilAt'; atMs: number }
  | { type: 'move'; ofId: string; toMs: number }
  | { type: 'mark'; kind: EventKind }
  | { type: 'settled' }

/** What the tool has to say of a lane now, the gravest first. `settled`: offers that were answered. */
export function laneSays(
  lane: Lane,
  nowMs: number,
  prediction: Prediction | null,
  settled: readonly string[],
): Saying[] {
  const offers = [disagreement(lane), unseenBoil(lane, prediction), feeding(lane)].filter(
    (one): one is Saying => one !== null && !settled.includes(one.key),
  )
  return [...offers, ...warnings(lane, nowMs, prediction)]
}

/** The boil was called twice, too far apart to be one. */
const disagreement = once((lane): Saying | null => {
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

function unseenBoil(lane: Lane, prediction: Prediction | null): Saying | null {
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
function feeding(lane: Lane): Saying | null {
  const out = isLit(lane) ? undefined : lane.state.marks.findLast((mark) => mark.kind === 'flameOut')
  if (
    !out ||
    timeOf(lane, 'gaveUp', 'stopped', 'snuffed', 'shutOff') !== null ||
    timeOf(lane, 'rollingBoil') !== null ||
    lane.kind === 'burnOff' ||
    lane.kind === 'simmer'
  )
    return null
  const lastC = lastWaterC(lane)
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

function warnings(lane: Lane, nowMs: number, prediction: Prediction | null): Saying[] {
  const say = (key: string, words: string): Saying => ({ key, words, kind: 'say' })
  const body = lane.method?.body
  const reading = (quantity: MeasuredQuantity) => lane.readings.find((one) => one.quantity === quantity)?.value
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
    ...window(
      'Wind at the pot',
      liveTrace(lane.runId, 'wind')?.last[1] ?? reading('wind'),
      body?.windMS.low,
      body?.windMS.high,
      'm/s',
    ),
  ]
}

/** "cool about 14:20", at the place. */
export function coolWords(lane: Lane): string {
  const end = endOf(lane)
  return end === null
    ? ''
    : `cool about ${new Intl.DateTimeFormat('en-GB', { timeStyle: 'short', timeZone: lane.zone }).format(end + COOL_MS)}`
}
const isCool = (lane: Lane, nowMs: number): boolean => nowMs - (endOf(lane) ?? nowMs) > COOL_MS

/** A reading that is due, by the method; or the weighing, once what was hot is cool. */
export function dueWords(lane: Lane, nowMs: number): string {
  if (laneState(lane) === 'cooling' && isCool(lane, nowMs)) return 'cool by now: weigh out'
  const every = lane.method?.body.readEveryS ?? null
  const zero = timeOf(lane, 'potOn') ?? timeOf(lane, 'shutOff')
  if (
    every === null ||
    zero === null ||
    (!isLit(lane) && lane.kind !== 'coolDown') ||
    timeOf(lane, 'rollingBoil', 'targetReached') !== null
  )
    return ''
  const last = lane.state.marks.findLast((mark): mark is BenchMark => mark.kind === 'reading')?.atMs ?? zero
  return laneSeconds(lane, nowMs - Math.max(last, zero)) >= every ? 'reading due' : ''
}

/** What a bare reading is of, by what the lane waits for. */
export function readingFor(lane: Lane, next: LaneNext): MeasuredQuantity | 'waterNow' {
  if (next.type === 'read') return next.quantity
  return isLit(lane) || lane.kind === 'coolDown' ? 'waterNow' : 'waterStart'
}

/** Rules about to be broken by feeding this fuel to what is hot. */
export function feedingCaution(lane: Lane): string | null {
  const form = lane.fuelKind === null ? null : fuelOfKind(lane.fuelKind)?.form
  return form === 'alcohol' || form === 'liquid' || form === 'gel'
    ? 'Never refuel a burning or hot burner. Let it cool first.'
    : null
}
export const lastMarkWords = (lane: Lane): string => {
  const last = lastPressed(lane.state)
  return last ? EVENT_NAMES[last.kind].toLowerCase() : ''
}
export const degrees = (tempC: number, units: UnitSystem) => shownParts(tempC, 'temperature', units)

/**
 * A double was meant for the mark just before it, though Next had gone on by then; a second call for the mark of its
 * kind.
 */
const markBeside = ({ marks }: Lane['state'], press: KeptPress) =>
  press.why === 'double'
    ? marks.findLast((mark) => mark.atMs <= press.atMs)
    : marks.find((mark) => mark.kind === press.kind)

/** Each mark on the lane's clock, with the presses that stand beside it. */
export function laneMarks(lane: Lane): { id: string; time: string; words: string; asides: string[] }[] {
  const { state } = lane
  const zero = zeroOf(state) ?? 0
  const beside = (mark: BenchMark): AsidePress[] =>
    [
      ...mark.twins.map((twin) => ({ ...twin, as: 'twin' as const })),
      ...state.kept
        .filter((press) => markBeside(state, press)?.id === mark.id)
        .map((press) => ({ ...press, as: press.why })),
    ].map(({ id, as, atMs }) => ({
      id,
      kind: mark.kind,
      as,
      atMs: laneSeconds(lane, atMs - zero) * 1000,
      ofMs: laneSeconds(lane, mark.atMs - zero) * 1000,
    }))
  return state.marks.map((mark) => ({
    id: mark.id,
    time: formatClock(laneSeconds(lane, mark.atMs - zero)),
    words: `${EVENT_NAMES[mark.kind]}${mark.payload.waterC === undefined ? '' : ` ${formatNumber(mark.payload.waterC, 1)} °C`}${mark.payload.massG === undefined ? '' : ` ${formatNumber(mark.payload.massG, 1)} g`}${mark.payload.reason ? ` (${mark.payload.reason})` : ''}`,
    asides: beside(mark).map(asideWords),
  }))
}
