/**
 * A rehearsal's end: the tester's calls and readings against what the simulated stove really did, and what they did to
 * the figure.
 */
import type { ReduceOptions, RunDocument } from '../formats/document'
import type { RunAnswer } from '../formats/answer'
import { reduce } from '../reduce'
import type { EventKind, RunEvent } from '../run/events'
import type { RehearsalScene } from '../simulate/rehearsal'
import { playScene, playToTheEnd, type Played, type SceneMark } from '../simulate/playScene'
import { studentFactor95 } from '../statistics/student'

/** What the stove does by itself and a tester can only see. */
export const CALLED = ['bloomed', 'rollingBoil', 'targetReached', 'flameOut'] as const satisfies readonly EventKind[]
export type CalledKind = (typeof CALLED)[number]

/** Seconds of the stove since the run's zero; null: it did not happen, or was not called. */
export interface JudgedCall {
  kind: CalledKind
  calledS: number | null
  trueS: number | null
  /** Late is positive. */ lateS: number | null
}
export interface JudgedReading {
  /** Water's temperature as read, and as it was [°C]. */ readC: number
  trueC: number
}

/** The figure as each step sets something right, in turn: the last is what the stove did. */
const STEPS = ['asMarked', 'weighings', 'calls', 'conditions'] as const
export interface JudgedStep {
  step: (typeof STEPS)[number]
  gPerL: number | null
}

export interface Judgement {
  calls: JudgedCall[]
  readings: JudgedReading[]
  /** Over the whole run [g]; null where it was not weighed. */
  usedG: number | null
  trueUsedG: number
  startC: number | null
  trueStartC: number
  /** The figures are normalised where every step's could be, else as measured. */
  normalised: boolean
  steps: JudgedStep[]
}

/**
 * @param document the run as it is stored, its times in the stove's seconds
 * @param marks the same marks, with the settings they name
 */
export function judgeRehearsal(
  document: RunDocument,
  marks: readonly SceneMark[],
  scene: RehearsalScene,
  options: ReduceOptions,
): Judgement {
  const sorted = [...marks].sort((a, b) => a.s - b.s)
  const targetC = typeof options.boil === 'object' ? options.boil.targetC : null
  const end = playToTheEnd(scene, sorted, targetC)
  const calls = callsOf(document.events, end)
  const readings = document.events.flatMap((event): JudgedReading[] =>
    event.kind === 'reading' && typeof event.waterC === 'number'
      ? [{ readC: event.waterC, trueC: playScene(scene, sorted, event.s).stove.waterC }]
      : [],
  )
  const steps = stepsOf(document, { scene, calls, end, sorted, targetC }).map((one, i) => ({
    step: STEPS[i]!,
    answer: reduce({ ...options, format: 'vulcanum-reduce', version: 1, runs: [{ ...one, setup: null }] })
      .runs[0] as RunAnswer,
  }))
  const normalised = steps.every(({ answer }) => answer.normalisedGPerL !== null)
  return {
    calls,
    readings,
    usedG: usedOf(document),
    trueUsedG: end.stove.fuelG,
    startC: document.water.startC,
    trueStartC: scene.conditions.startC,
    normalised,
    steps: steps.map(({ step, answer }) => ({ step, gPerL: normalised ? answer.normalisedGPerL : answer.gPerL })),
  }
}

/** The calls alone, for many runs. @param boil by which the run is read */
export function judgeCalls(
  events: readonly RunEvent[],
  marks: readonly SceneMark[],
  scene: RehearsalScene,
  boil: ReduceOptions['boil'],
): JudgedCall[] {
  const sorted = [...marks].sort((a, b) => a.s - b.s)
  return callsOf(events, playToTheEnd(scene, sorted, typeof boil === 'object' ? boil.targetC : null))
}

function callsOf(events: readonly RunEvent[], end: Played): JudgedCall[] {
  const truth = { bloomed: end.fullFlameS, rollingBoil: end.boilS, targetReached: end.targetS }
  const once = (['bloomed', 'rollingBoil', 'targetReached'] as const).flatMap((kind): JudgedCall[] => {
    const called = events.find((event) => event.kind === kind)?.s ?? null
    // Full flame is called where the method asks for it; a target where there is one.
    return called !== null || (truth[kind] !== null && kind === 'rollingBoil' && end.targetS === null)
      ? [judged(kind, called, truth[kind])]
      : []
  })
  return [...once, ...outages(events, end)]
}
const judged = (kind: CalledKind, calledS: number | null, trueS: number | null): JudgedCall => ({
  kind,
  calledS,
  trueS,
  lateS: calledS === null || trueS === null ? null : calledS - trueS,
})

/**
 * Each time the flame went by itself has its call: the first after it, before it went again. The others called what did
 * not happen; a valve's flame is shut by its call.
 */
function outages(events: readonly RunEvent[], { outagesS, shutByCallS }: Played): JudgedCall[] {
  const calls = events
    .filter((event) => event.kind === 'flameOut' && !shutByCallS.includes(event.s))
    .map((event) => event.s)
    .sort((a, b) => a - b)
  const found = outagesS.map((trueS, i) =>
    judged('flameOut', calls.find((s) => s >= trueS - EARLY_S && s < (outagesS[i + 1] ?? Infinity)) ?? null, trueS),
  )
  const idle = calls.filter((s) => !found.some((call) => call.calledS === s)).map((s) => judged('flameOut', s, null))
  return [...found, ...idle].sort((a, b) => (a.calledS ?? a.trueS)! - (b.calledS ?? b.trueS)!)
}
/** A flame that dies down may be called a little before it is gone [s]. Source: estimate. */
const EARLY_S = 20

const usedOf = ({ fuel: { usedG, beforeG, afterG, loadG, leftoverG }, events }: RunDocument): number | null => {
  const addedG = events.reduce((sum, event) => sum + (event.kind === 'fuelAdded' ? (event.massG ?? 0) : 0), 0)
  if (usedG !== null) return usedG
  if (beforeG !== null && afterG !== null) return beforeG + addedG - afterG - (leftoverG ?? 0)
  return loadG === null ? null : loadG + addedG - (leftoverG ?? 0)
}

/** A flame shut off with the call was shut off for it: called in time, it would have burned less. */
const WITH_THE_CALL_S = 3
const SHUTS: readonly EventKind[] = ['shutOff', 'snuffed']

interface Truth {
  scene: RehearsalScene
  calls: readonly JudgedCall[]
  end: Played
  sorted: readonly SceneMark[]
  targetC: number | null
}

function stepsOf(document: RunDocument, { scene, calls, end, sorted, targetC }: Truth): RunDocument[] {
  const weighed = { ...document, fuel: { ...document.fuel, ...BARE, usedG: end.stove.fuelG } }
  const moved = ({ kind, s }: RunEvent) =>
    calls.find((call) => call.kind === kind && call.calledS === s && call.lateS !== null)
  const boil = calls.find(
    (call) => (call.kind === 'rollingBoil' || call.kind === 'targetReached') && call.lateS !== null,
  )
  const shut =
    boil === undefined
      ? undefined
      : document.events.find(
          (event) => SHUTS.includes(event.kind) && Math.abs(event.s - boil.calledS!) <= WITH_THE_CALL_S,
        )
  const events = document.events.map((event) =>
    event === shut ? { ...event, s: boil!.trueS! } : moved(event) ? { ...event, s: moved(event)!.trueS! } : event,
  )
  const burnedG =
    shut === undefined || boil === undefined
      ? end.stove.fuelG
      : playScene(
          scene,
          [...sorted.filter((mark) => mark.s < boil.trueS! && !SHUTS.includes(mark.kind as EventKind))],
          boil.trueS!,
          { targetC },
        ).stove.fuelG
  const called = { ...weighed, events, fuel: { ...weighed.fuel, usedG: burnedG } }
  const { startC, airC, windMS, pressurePa, waterKg } = scene.conditions
  const conditions = {
    ...called,
    water: { ...called.water, startC, massG: waterKg * 1000 },
    place: { ...called.place, airC, windMS, stationPressureHPa: pressurePa / 100, seaLevelPressureHPa: null },
  }
  return [document, weighed, called, conditions]
}
/** Weighed to nothing but itself. */
const BARE = { beforeG: null, afterG: null, leftoverG: null, usedMl: null, loadG: null, charG: null } as const

export interface CallBias {
  n: number
  meanS: number
  /** Between calls [s]; null: one alone. */ sdS: number | null
  /** The mean's ± at 95 % [s]. */ uS: number | null
}

/** How late somebody calls, over rehearsals. Null: none yet. Source: gumResolution. */
export function callBias(lateS: readonly number[]): CallBias | null {
  const n = lateS.length
  if (n === 0) return null
  const meanS = lateS.reduce((sum, one) => sum + one, 0) / n
  if (n === 1) return { n, meanS, sdS: null, uS: null }
  const sdS = Math.sqrt(lateS.reduce((sum, one) => sum + (one - meanS) ** 2, 0) / (n - 1))
  return { n, meanS, sdS, uS: (studentFactor95(n - 1) * sdS) / Math.sqrt(n) }
}
