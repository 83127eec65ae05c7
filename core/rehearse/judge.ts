/** A rehearsal's end: the tester's calls and readings against what the simulated stove really did, and what they did to the figure. */
import type { ReduceOptions, RunDocument } from '../formats/document'
import type { RunAnswer } from '../formats/answer'
import { reduce } from '../reduce'
import type { EventKind, RunEvent } from '../run/events'
import { playScene, type Played, type RehearsalScene, type SceneMark } from '../simulate/rehearsal'
import { studentFactor95 } from '../statistics/student'

/** What the stove does by itself and a tester can only see. */
export const CALLED = ['bloomed', 'rollingBoil', 'targetReached', 'flameOut'] as const satisfies readonly EventKind[]
export type CalledKind = (typeof CALLED)[number]

/** Seconds of the stove since the run's zero; null: it did not happen, or was not called. */
export interface JudgedCall { kind: CalledKind, calledS: number | null, trueS: number | null, /** Late is positive. */ lateS: number | null }
export interface JudgedReading { /** Water's temperature as read, and as it was [°C]. */ readC: number, trueC: number }

/** The figure as each step sets something right, in turn: the last is what the stove did. */
export const STEPS = ['asMarked', 'weighings', 'calls', 'conditions'] as const
export interface JudgedStep { step: (typeof STEPS)[number], gPerL: number | null }

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
export function judgeRehearsal(document: RunDocument, marks: readonly SceneMark[], scene: RehearsalScene, options: ReduceOptions): Judgement {
  const sorted = [...marks].sort((a, b) => a.s - b.s)
  const targetC = typeof options.boil === 'object' ? options.boil.targetC : null
  const endS = sorted.at(-1)?.s ?? 0
  const end = playScene(scene, sorted, endS, { targetC })
  const calls = callsOf(document.events, end)
  const readings = document.events.flatMap((event): JudgedReading[] => (event.kind === 'reading' && typeof event.waterC === 'number' ? [{ readC: event.waterC, trueC: playScene(scene, sorted, event.s).stove.waterC }] : []))
  const steps = stepsOf(document, { scene, calls, end, sorted, targetC }).map((one, i) => ({ step: STEPS[i]!, answer: reduce({ ...options, format: 'vulcanum-reduce', version: 1, runs: [{ ...one, setup: null }] }).runs[0] as RunAnswer }))
  const normalised = steps.every(({ answer }) => answer.normalisedGPerL !== null)
  return {
    calls, readings, usedG: usedOf(document), trueUsedG: end.stove.fuelG, startC: document.water.startC, trueStartC: scene.conditions.startC, normalised,
    steps: steps.map(({ step, answer }) => ({ step, gPerL: normalised ? answer.normalisedGPerL : answer.gPerL })),
  }
}

/** The calls alone, for many runs. @param boil by which the run is read */
export function judgeCalls(events: readonly RunEvent[], marks: readonly SceneMark[], scene: RehearsalScene, boil: ReduceOptions['boil']): JudgedCall[] {
  const sorted = [...marks].sort((a, b) => a.s - b.s)
  return callsOf(events, playScene(scene, sorted, sorted.at(-1)?.s ?? 0, { targetC: typeof boil === 'object' ? boil.targetC : null }))
}

function callsOf(events: readonly RunEvent[], end: Played): JudgedCall[] {
  const truth: Record<CalledKind, number | null> = { bloomed: end.fullFlameS, rollingBoil: end.boilS, targetReached: end.targetS, flameOut: end.wentOutS }
  return CALLED.flatMap((kind): JudgedCall[] => {
    const called = (kind === 'flameOut' ? events.findLast(event => event.kind === kind) : events.find(event => event.kind === kind))?.s ?? null
    // Full flame is called where the method asks for it; a target where there is one.
    const asked = called !== null || (truth[kind] !== null && (kind === 'flameOut' || (kind === 'rollingBoil' && end.targetS === null)))
    return asked ? [{ kind, calledS: called, trueS: truth[kind], lateS: called === null || truth[kind] === null ? null : called - truth[kind] }] : []
  })
}

const usedOf = ({ fuel: { usedG, beforeG, afterG, loadG, leftoverG }, events }: RunDocument): number | null => {
  const addedG = events.reduce((sum, event) => sum + (event.kind === 'fuelAdded' ? event.massG ?? 0 : 0), 0)
  if (usedG !== null) return usedG
  if (beforeG !== null && afterG !== null) return beforeG + addedG - afterG - (leftoverG ?? 0)
  return loadG === null ? null : loadG + addedG - (leftoverG ?? 0)
}

/** A flame shut off with the call was shut off for it: called in time, it would have burned less. */
const WITH_THE_CALL_S = 3
const SHUTS: readonly EventKind[] = ['shutOff', 'snuffed']

interface Truth { scene: RehearsalScene, calls: readonly JudgedCall[], end: Played, sorted: readonly SceneMark[], targetC: number | null }

function stepsOf(document: RunDocument, { scene, calls, end, sorted, targetC }: Truth): RunDocument[] {
  const weighed = { ...document, fuel: { ...document.fuel, ...BARE, usedG: end.stove.fuelG } }
  const moved = (kind: EventKind) => calls.find(call => call.kind === kind && call.lateS !== null)
  const boil = calls.find(call => (call.kind === 'rollingBoil' || call.kind === 'targetReached') && call.lateS !== null)
  const shut = boil === undefined ? undefined : document.events.find(event => SHUTS.includes(event.kind) && Math.abs(event.s - boil.calledS!) <= WITH_THE_CALL_S)
  const events = document.events.map(event => (event === shut ? { ...event, s: boil!.trueS! } : moved(event.kind) ? { ...event, s: moved(event.kind)!.trueS! } : event))
  const burnedG = shut === undefined || boil === undefined ? end.stove.fuelG : playScene(scene, [...sorted.filter(mark => mark.s < boil.trueS! && !SHUTS.includes(mark.kind as EventKind))], boil.trueS!, { targetC }).stove.fuelG
  const called = { ...weighed, events, fuel: { ...weighed.fuel, usedG: burnedG } }
  const { startC, airC, windMS, pressurePa, waterKg } = scene.conditions
  const conditions = { ...called, water: { ...called.water, startC, massG: waterKg * 1000 }, place: { ...called.place, airC, windMS, stationPressureHPa: pressurePa / 100, seaLevelPressureHPa: null } }
  return [document, weighed, called, conditions]
}
/** Weighed to nothing but itself. */
const BARE = { beforeG: null, afterG: null, leftoverG: null, usedMl: null, loadG: null, charG: null } as const

export interface CallBias { n: number, meanS: number, /** Between calls [s]; null: one alone. */ sdS: number | null, /** The mean's ± at 95 % [s]. */ uS: number | null }

/** How late somebody calls, over rehearsals. Null: none yet. Source: gumResolution. */
export function callBias(lateS: readonly number[]): CallBias | null {
  const n = lateS.length
  if (n === 0) return null
  const meanS = lateS.reduce((sum, one) => sum + one, 0) / n
  if (n === 1) return { n, meanS, sdS: null, uS: null }
  const sdS = Math.sqrt(lateS.reduce((sum, one) => sum + (one - meanS) ** 2, 0) / (n - 1))
  return { n, meanS, sdS, uS: (studentFactor95(n - 1) * sdS) / Math.sqrt(n) }
}
