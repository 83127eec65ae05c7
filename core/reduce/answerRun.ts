/** The contract's answer for one run, and the working of each of its numbers. */
import type { RunAnswer } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import { waterPutIn, type RunInput } from '../run/runInput'
import { inGrams } from '../quantity/shown'
import { SMALLEST_RISE_K } from '../heating/heatingTime'
import { FIGURE } from '../normalise/figures'
import { aimTemperature, ownConditions, type HeatRun } from '../normalise/heatRun'
import { combined, sharedEffects } from '../uncertainty/propagate'
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

/**
 * Writes the answer down; where workings are asked for, they come with it. One literal: joining objects by spreading
 * costs more than the physics.
 */
export function answerRun(taken: TakenRun, figured: Figured, options: ReduceOptions, series: SetupSeries): RunAnswer {
  const { input, readings, addWorking } = taken
  const { budget, rungs, run, flags, missing } = figured
  const { times, litres, heatS, leadS, toEnd } = readings
  const parts: Composition = { input, options, readings, series, figured, addWorking }
  const boiled = times.boilS !== null
  const fuelKg = toEnd?.massKg ?? null
  const flameS = heatS === null ? null : readings.burnS + leadS
  const own = combined(budget, FIGURE.own)
  const eta = combined(budget, FIGURE.efficiency)
  const gPerL = boiled ? finite(own.value) : null
  const normal = rungs.normalisedGPerL === null ? null : combined(budget, FIGURE.afterSupply)
  const stall = stallOf(parts)
  const firepowerW = firepowerOf(fuelKg, flameS, parts)
  const answer: RunAnswer = {
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
    boilFrom: boiled ? times.boilFrom : stall.predicted ? 'extrapolated' : null,
    fuelToBoilG: boiled ? inGrams(fuelKg) : null,
    efficiency: finite(eta.value),
    efficiencyU: finite(eta.value) === null ? null : finite(eta.u),
    firepowerW,
    burnRateGPerMin: burnRateOf(fuelKg, flameS, addWorking),
    q0W: finite(budget.values[FIGURE.q0]),
    gPerL,
    gPerLU: gPerL === null ? null : finite(own.u),
    gPerLPerK: perKelvin(input, readings, run, fuelKg),
    normalisedGPerL: rungs.normalisedGPerL,
    normalisedU: rungs.normalisedU,
    normalisedTimeS: normal === null ? null : finite(budget.values[FIGURE.normalisedTime]),
    status: rungs.status,
    missing,
    ladder: rungs.rungs,
    flags,
    normalisedURandom: finite(normal?.uRandom),
    normalisedUShared: finite(normal?.uShared),
    normalisedSharedBy: normal === null || rungs.normalisedU === null ? {} : sharedEffects(budget, FIGURE.afterSupply),
    otherLitre: otherLitreOf(parts, {
      gPerL,
      gPerLU: gPerL === null ? null : finite(own.u),
      normalisedGPerL: rungs.normalisedGPerL,
      normalisedU: rungs.normalisedU,
    }),
    test: testFigures({ input, readings, run, series, firepowerW }),
    mean: null,
    boilFound: readings.found,
    traceFit: taken.traceFit,
  }
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

type PerLitre = Pick<NonNullable<RunAnswer['otherLitre']>, 'gPerL' | 'gPerLU' | 'normalisedGPerL' | 'normalisedU'>

/**
 * Per litre left in place of per litre put in, or the other way round: the ratio of the two masses, with the weighing's
 * part of the uncertainty.
 */
function otherLitreOf(
  { input: { water, uncertainty }, options, addWorking }: Composition,
  { gPerL, gPerLU, normalisedGPerL, normalisedU }: PerLitre,
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
  const atC = own ? stalls.own : Number.isFinite(rungS[3]) ? null : stalls.reference
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
