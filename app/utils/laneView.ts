/** A lane as a page sees it at a moment: its rules (core/bench) on what stands and what instruments send. */
import { laneSays, type Saying } from '#core/bench/laneSays'
import { laneSeconds, once } from '#core/bench/laneTimes'
import { predictLane } from '#core/bench/predictLane'
import type { Prediction } from '#core/forecast/predictBoil'
import type { UnitSystem } from '#core/quantity/kinds'
import { formatClock, formatNumber } from '#core/quantity/format'
import { lastPressed, zeroOf, type BenchMark, type KeptPress } from '#core/run/benchStep'
import { EVENT_NAMES } from '#core/run/events'
import type { Lane } from '#shared/bench'
import { LANES } from '#shared/lanes'
import { asideWords, type AsidePress } from '#shared/keptPress'
import { lastWaterC, laneWater, thinSentWater } from './laneWater'
import { liveTrace } from '~/bench/samples'
import { shownParts } from './shownQuantity'

/**
 * What is slower than a clock is worked out once a second, each lane in a part of it of its own: six at once would hold
 * the page up.
 */
export const laneSecond = ({ lane }: Lane, nowMs: number): number => {
  const ownMs = LANES.indexOf(lane) * (1000 / LANES.length)
  return Math.floor((nowMs - ownMs) / 1000) * 1000 + Math.round(ownMs)
}

/** What the readings predict of the burning water: asked for by lane, prompts and margin in the same second. */
export function lanePredicts(lane: Lane, nowMs: number): Prediction | null {
  const known = prediction.get(lane.runId)
  const from = predictedFrom(lane)
  if (known?.nowMs === nowMs && known.from === from) return known.value
  const value = predictLane(lane, { read: laneWater(lane, true), sent: thinSentWater(lane) ?? [] }, nowMs)
  prediction.set(lane.runId, { nowMs, from, value })
  return value
}

const prediction = new Map<string, { nowMs: number; from: string; value: Prediction | null }>()

/** What it rests on, as one word: a knock changes the lane and predicts nothing. */
const predictedFrom = once((lane: Lane) => {
  const said = lane.state.marks.filter((mark) => mark.kind !== 'disturbance')
  const times = said.reduce((sum, mark) => sum + mark.atMs, 0)
  const readings = lane.readings.map((one) => one.id)
  return [said.length, said.at(-1)?.id, times, readings, lane.boilingC].join(' ')
})

/** What the tool has to say of a lane now. `settled`: offers that were answered. */
export const laneSaysNow = (
  lane: Lane,
  nowMs: number,
  prediction: Prediction | null,
  settled: readonly string[],
): Saying[] =>
  laneSays(
    lane,
    { nowMs, prediction, lastC: lastWaterC(lane), windMS: liveTrace(lane.runId, 'wind')?.last[1] ?? null },
    settled,
  )

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
    words: wordsOfMark(mark),
    asides: beside(mark).map(asideWords),
  }))
}

function wordsOfMark({ kind, payload: { waterC, massG, reason } }: BenchMark): string {
  const parts = [
    EVENT_NAMES[kind],
    waterC === undefined ? '' : `${formatNumber(waterC, 1)} °C`,
    massG === undefined ? '' : `${formatNumber(massG, 1)} g`,
    reason ? `(${reason})` : '',
  ]
  return parts.filter(Boolean).join(' ')
}
