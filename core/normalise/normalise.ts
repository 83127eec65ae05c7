/**
 * The arithmetic of the ladder: time to the aim, rung by rung, each moving one condition and holding the rest.
 * It is worked out again for every perturbed input, so it allocates little and explains nothing; ladder.ts does the
 * words.
 */
import { heatingTime, stallTemperature } from '../heating/heatingTime'
import { heatFlowFromTime } from '../heating/heatFlow'
import { ok, type R } from '../result'
import {
  aimTemperature,
  burnRatio,
  flameHeat,
  heatingIn,
  ownConditions,
  sensibleHeat,
  windFactor,
  type Conditions,
  type HeatRun,
} from './heatRun'
import { isQuick, normaliseQuickly } from './normaliseQuickly'
import type { Model, Reference } from './reference'

export interface Normalisation {
  /** Heat flow into a cold pot [W]. */
  q0W: number
  /** Heat spent on evaporation before the aim [J]. */
  evaporatedJ: number
  /**
   * Time from pot-on to the aim: measured, or predicted by the model for a run that stopped short [s]; Infinity: it
   * stalls.
   */
  ownS: number
  /** The same after the rungs start, boilingPoint, surroundings, wind and flame [s]. */
  rungS: [number, number, number, number, number]
}

/** Own conditions, then those after each rung; where wind's hold on the flame is not known, the wind stays. */
export function stations(
  run: HeatRun,
  reference: Reference,
): [Conditions, Conditions, Conditions, Conditions, Conditions] {
  const { startC } = reference
  const { airC, windMS } = run
  const pressurePa = reference.pressureHPa * 100
  return [
    ownConditions(run),
    { startC, pressurePa: run.pressurePa, airC, windMS, meltJ: 0, station: 1 },
    { startC, pressurePa, airC, windMS, meltJ: 0, station: 2 },
    { startC, pressurePa, airC: reference.airC, windMS, meltJ: 0, station: 3 },
    {
      startC,
      pressurePa,
      airC: reference.airC,
      windMS: Number.isNaN(run.v0MS) ? windMS : reference.windMS,
      meltJ: 0,
      station: 4,
    },
  ]
}

/**
 * Normalises from the run's own conditions to the reference's.
 * @returns the problem of the heat balance where no flame explains the times
 * Sources: newton (`loss`), wbt (`ratio`), windSeries.
 */
export function normalise(run: HeatRun, reference: Reference, model: Model): R<Normalisation> {
  return model === 'loss' && isQuick(run) ? normaliseQuickly(run, reference) : normaliseInFull(run, reference, model)
}

/** The same without a short way. */
export function normaliseInFull(run: HeatRun, reference: Reference, model: Model): R<Normalisation> {
  const at = stations(run, reference)
  const aim: Way['aim'] = [aimTemperature(run, at[0]), aimTemperature(run, at[2])]
  const flow = heatFlowFromTime(run.heatS, heatingIn(run, at[0], run.reachedC ?? aim[0]))
  if (!flow.ok) return flow
  const { q0W, evaporatedJ } = flow.value
  const ownS = run.reachedC === null ? run.heatS : heatingTime(q0W, heatingIn(run, at[0], aim[0]))
  const wind = windFactor(run, at[4].windMS)
  const rungS =
    model === 'loss' ? timesByLoss(run, { at, aim, q0W, wind }) : timesByHeat(run, { at, aim, ownS, wind, model })
  return ok({ q0W, evaporatedJ, ownS, rungS })
}

interface Way {
  at: ReturnType<typeof stations>
  /** Temperature aimed at, here and at the reference's pressure. */
  aim: readonly [number, number]
  wind: number
}

function timesByLoss(run: HeatRun, { at, aim, q0W, wind }: Way & { q0W: number }): Normalisation['rungS'] {
  const surroundings = heatingTime(q0W, heatingIn(run, at[3], aim[1]))
  const there = heatingIn(run, at[4], aim[1])
  const flame = flameHeat(run)
  const inWind = at[4].windMS === run.windMS ? surroundings : heatingTime(q0W * wind, there)
  return [
    heatingTime(q0W, heatingIn(run, at[1], aim[0])),
    heatingTime(q0W, heatingIn(run, at[2], aim[1])),
    surroundings,
    inWind,
    flame === 1 ? inWind : heatingTime(q0W * wind * flame, there),
  ]
}

/**
 * By the heat needed at the reference start, and at the reference pressure too, over that in the run's own conditions.
 */
function timesByHeat(
  run: HeatRun,
  { at, aim, ownS, wind, model }: Way & { ownS: number; model: 'energy' | 'ratio' },
): Normalisation['rungS'] {
  const needed =
    model === 'ratio' ? [aim[0] - at[0].startC, aim[0] - at[1].startC, aim[1] - at[2].startC] : heatNeeded(run, at, aim)
  const start = ownS * (needed[1]! / needed[0]!)
  const boilingPoint = ownS * (needed[2]! / needed[0]!)
  return [start, boilingPoint, boilingPoint, boilingPoint / wind, boilingPoint / wind / flameHeat(run)]
}

/**
 * Heat for melting, water and pot, and for evaporation where the pot is open: own, start, boilingPoint; in one
 * arbitrary unit.
 */
function heatNeeded(run: HeatRun, at: Way['at'], aim: Way['aim']): number[] {
  const aims = [aim[0], aim[0], aim[1]] as const
  if (run.evaporationScale === 0) return aims.map((endC, i) => at[i]!.meltJ + sensibleHeat(run, at[i]!.startC, endC))
  // At the run's own constant heat flow, free of losses, the heat needed is in proportion to the time it takes.
  const lossless = { ...run, lossWPerK: 0, thetaK: Infinity }
  const gross = heatFlowFromTime(run.heatS, heatingIn(lossless, at[0], run.reachedC ?? aim[0]))
  if (!gross.ok) return [NaN, NaN, NaN]
  return aims.map((endC, i) =>
    i === 0 && run.reachedC === null ? run.heatS : heatingTime(gross.value.q0W, heatingIn(lossless, at[i]!, endC)),
  )
}

/**
 * Fuel to the aim: own, then after each rung, the last being the flame [kg]: burn rate × (time + lead); Infinity where
 * it stalls.
 */
export function fuelOnLadder(
  run: HeatRun,
  { ownS, rungS }: Normalisation,
): [number, number, number, number, number, number] {
  const { fuelKg, heatS, leadS, altitudeFactor, modelFactor } = run
  const rate = fuelKg / (heatS + leadS)
  const high = rate * altitudeFactor
  return [
    rate * (ownS + leadS),
    rate * (rungS[0] + leadS),
    high * (rungS[1] + leadS),
    high * (rungS[2] + leadS),
    high * (rungS[3] + leadS),
    high * burnRatio(run) * (rungS[4] + leadS) * modelFactor,
  ]
}

/** Where this flame would stall: in the run's own conditions, and in the reference's [°C]. */
export function stallsAt(run: HeatRun, reference: Reference, q0W: number): { own: number; reference: number } {
  const at = stations(run, reference)
  return {
    own: stallTemperature(q0W, heatingIn(run, at[0], aimTemperature(run, at[0]))),
    reference: stallTemperature(
      q0W * windFactor(run, at[4].windMS) * flameHeat(run),
      heatingIn(run, at[4], aimTemperature(run, at[4])),
    ),
  }
}
