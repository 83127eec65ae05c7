/** The contract's answer for one run, and the working of each of its numbers. */
import type { RunAnswer } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import { waterPutIn, type RunInput } from '../run/runInput'
import { inGrams } from '../quantity/shown'
import { SMALLEST_RISE_K } from '../heating/heatFlow'
import { FIGURE } from '../normalise/figures'
import { aimTemperature, ownConditions, type HeatRun } from '../normalise/heatRun'
import { combined, readingUncertainty, sharedEffects } from '../uncertainty/propagate'
import type { Figured } from './figureRun'
import type { Readings } from './readings'
import type { SetupSeries } from './setupSeries'
import type { TakenRun } from './takeRun'
import { testFigures } from './testFigures'
import type { Composition } from './composition'
import { burnRateOf, firepowerOf } from './workings/fuel'
import { addEfficiency, addHeatFlow } from './workings/heat'
import { addLadder } from './workings/ladder'
import { addOtherLitre, addPerLitre } from './workings/perLitre'
import { addTestFigures } from './workings/testFigures'
import { addTimes } from './workings/times'
import { addTrace } from './workings/trace'
import { addWind } from './workings/wind'

const finite = (value: number | undefined): number | null =>
  value !== undefined && Number.isFinite(value) ? value : null

/** Writes the answer down; where workings are asked for, they come with it. */
export function answerRun(taken: TakenRun, figured: Figured, options: ReduceOptions, series: SetupSeries): RunAnswer {
  const { input, readings, addWorking } = taken
  const parts: Composition = { input, options, readings, series, figured, addWorking }
  const firepowerW = firepowerOf(readings.toEnd?.massKg ?? null, flameS(readings), parts)
  const heat = heatAnswer(parts, firepowerW)
  const normalised = normalisedAnswer(figured, parts.readings)
  const answer: RunAnswer = Object.assign(joined(boilAnswer(parts), heat, normalised), {
    otherLitre: otherLitreOf(parts, heat, normalised),
    test: testFigures({ input, readings, run: figured.run, series, firepowerW }),
    mean: null,
    boilFound: readings.found,
    traceFit: taken.traceFit,
  })
  if (taken.workings === null) return answer
  addPerLitre(parts)
  addHeatFlow(parts)
  addEfficiency(parts)
  addLadder(parts)
  addTestFigures(parts, answer.test, firepowerW)
  addTrace(parts, answer)
  addWind(parts)
  addTimes(parts, answer)
  answer.workings = taken.workings
  return answer
}

/** Field by field: joining such objects by spreading costs more than the physics. */
const joined = (
  boil: ReturnType<typeof boilAnswer>,
  heat: ReturnType<typeof heatAnswer>,
  normalised: ReturnType<typeof normalisedAnswer>,
) => ({
  id: boil.id,
  setup: boil.setup,
  origin: boil.origin,
  kind: boil.kind,
  boilingPointC: boil.boilingPointC,
  ended: boil.ended,
  stallsAtC: boil.stallsAtC,
  litres: boil.litres,
  timeToBoilS: boil.timeToBoilS,
  timeToBoilU: boil.timeToBoilU,
  boilFrom: boil.boilFrom,
  fuelToBoilG: boil.fuelToBoilG,
  efficiency: heat.efficiency,
  efficiencyU: heat.efficiencyU,
  firepowerW: heat.firepowerW,
  burnRateGPerMin: heat.burnRateGPerMin,
  q0W: heat.q0W,
  gPerL: heat.gPerL,
  gPerLU: heat.gPerLU,
  gPerLPerK: heat.gPerLPerK,
  normalisedGPerL: normalised.normalisedGPerL,
  normalisedU: normalised.normalisedU,
  normalisedUReading: normalised.normalisedUReading,
  normalisedTimeS: normalised.normalisedTimeS,
  status: normalised.status,
  missing: normalised.missing,
  ladder: normalised.ladder,
  flags: normalised.flags,
  normalisedUReadingRandom: normalised.normalisedUReadingRandom,
  scaleStepGPerL: normalised.scaleStepGPerL,
  normalisedURandom: normalised.normalisedURandom,
  normalisedUShared: normalised.normalisedUShared,
  normalisedSharedBy: normalised.normalisedSharedBy,
})

const flameS = ({ heatS, burnS, leadS }: Readings): number | null => (heatS === null ? null : burnS + leadS)

/** What the run is, and its boil. */
function boilAnswer(parts: Composition) {
  const { input, readings } = parts
  const { times, litres } = readings
  const boiled = times.boilS !== null
  const stall = stallOf(parts)
  return {
    id: input.id,
    setup: input.setup,
    origin: input.origin,
    kind: input.kind,
    boilingPointC: readings.boilingC,
    ended: times.ended,
    stallsAtC: stall.atC,
    litres,
    timeToBoilS: boiled && times.clockZeroS !== null ? times.boilS! - times.clockZeroS : null,
    timeToBoilU: !boiled ? null : times.boilFrom === 'call' ? input.uncertainty.boilCallS : readings.foundU,
    boilFrom: boiled ? times.boilFrom : stall.predicted ? ('extrapolated' as const) : null,
    fuelToBoilG: boiled ? inGrams(readings.toEnd?.massKg ?? null) : null,
  }
}

/** Heat and fuel in the run's own conditions. */
function heatAnswer({ input, readings, figured, addWorking }: Composition, firepowerW: number | null) {
  const { budget, run } = figured
  const fuelKg = readings.toEnd?.massKg ?? null
  const own = combined(budget, FIGURE.own)
  const eta = combined(budget, FIGURE.efficiency)
  const gPerL = readings.times.boilS === null ? null : finite(own.value)
  return {
    efficiency: finite(eta.value),
    efficiencyU: finite(eta.value) === null ? null : finite(eta.u),
    firepowerW,
    burnRateGPerMin: burnRateOf(fuelKg, flameS(readings), addWorking),
    q0W: finite(budget.values[FIGURE.q0]),
    gPerL,
    gPerLU: gPerL === null ? null : finite(own.u),
    gPerLPerK: perKelvin(input, readings, run, fuelKg),
  }
}

/** At the reference, and how it came there. */
function normalisedAnswer({ budget, rungs, flags, missing, at }: Figured, readings: Readings) {
  const { normalisedGPerL, normalisedU, status, rungs: steps } = rungs
  const normal = normalisedGPerL === null ? null : combined(budget, FIGURE.normalised)
  const reading = normal === null ? null : readingUncertainty(budget, FIGURE.normalised)
  return {
    normalisedGPerL,
    normalisedU,
    normalisedUReading: finite(reading?.u),
    normalisedUReadingRandom: finite(reading?.uRandom),
    scaleStepGPerL: normal === null ? null : finite(stepOf(readings) * normal.value),
    normalisedTimeS: normal === null ? null : finite(budget.values[FIGURE.normalisedTime]),
    status,
    missing,
    ladder: steps,
    flags,
    normalisedURandom: finite(normal?.uRandom),
    normalisedUShared: finite(normal?.uShared),
    normalisedSharedBy: normal === null || normalisedU === null ? {} : sharedOf(budget, at.owner),
  }
}

/** One step of the scale over the fuel that was weighed; NaN: not weighed so. */
const stepOf = ({ used }: Readings): number => (used === null || used.stepKg === null ? NaN : used.stepKg / used.massKg)

/** What runs share, by its owner: the flame's posterior as independent parts of the series' own. */
function sharedOf(budget: Figured['budget'], owner: string): Record<string, number> {
  const { flame: _flame, ...shared } = sharedEffects(budget, FIGURE.normalised)
  budget.flameEffects.forEach((effect, i) => {
    if (effect[FIGURE.normalised] !== 0) shared[`flame ${i}: ${owner}`] = effect[FIGURE.normalised]!
  })
  return shared
}

/**
 * Per litre left in place of per litre put in, or the other way round: the ratio of the two masses, with the weighing's
 * part of the uncertainty.
 */
function otherLitreOf(
  { input: { water, uncertainty }, options, addWorking }: Composition,
  { gPerL, gPerLU }: ReturnType<typeof heatAnswer>,
  { normalisedGPerL, normalisedU }: ReturnType<typeof normalisedAnswer>,
): RunAnswer['otherLitre'] {
  const putInKg = waterPutIn(water)
  const leftKg = water.endMassKg
  if (putInKg === null || leftKg === null || gPerL === null) return null
  const toLeft = options.litre === 'putIn'
  const ratio = toLeft ? putInKg / leftKg : leftKg / putInKg
  const weighing = uncertainty.waterKg / (toLeft ? leftKg : putInKg)
  const scaled = (value: number | null, u: number | null) =>
    value === null || u === null ? null : ratio * Math.hypot(u, value * weighing)
  addOtherLitre({ toLeft, gPerL, gPerLU, putInKg, leftKg, waterU: uncertainty.waterKg, ratio }, addWorking)
  return {
    litre: toLeft ? 'remaining' : 'putIn',
    gPerL: gPerL * ratio,
    gPerLU: scaled(gPerL, gPerLU),
    normalisedGPerL: normalisedGPerL === null ? null : normalisedGPerL * ratio,
    normalisedU: scaled(normalisedGPerL, normalisedU),
  }
}

/**
 * Where it stalls, in its own conditions or else in the reference's; and whether a boil that never came can be
 * predicted.
 */
function stallOf({ figured: { normalisation, stalls }, readings }: Composition): {
  atC: number | null
  predicted: boolean
} {
  if (!normalisation?.ok || stalls === null) return { atC: null, predicted: false }
  const { ownS, rungS } = normalisation.value
  const own = ownS === Infinity
  const atC = own ? stalls.own : Number.isFinite(rungS[4]!) ? null : stalls.reference
  return { atC, predicted: readings.times.boilS === null && !own }
}

/** Fuel per litre and degree; of a run without a boil a lower bound, since waiting at a stall adds fuel and no heat. */
function perKelvin(
  { water }: RunInput,
  { times, litres, endC: lastC }: Readings,
  run: HeatRun,
  fuelKg: number | null,
): number | null {
  const endC = times.boilS === null ? lastC : finite(aimTemperature(run, ownConditions(run)))
  if (
    fuelKg === null ||
    litres === null ||
    endC === null ||
    water.startC === null ||
    endC - water.startC < SMALLEST_RISE_K
  )
    return null
  return (fuelKg * 1000) / litres / (endC - water.startC)
}
