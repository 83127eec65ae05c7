/**
 * The arithmetic of the ladder: fuel to the aim, rung by rung, each moving one condition and holding the rest.
 * It is worked out again for every perturbed input, so it allocates little and explains nothing; ladder.ts does the words.
 */
import { heatFlowFromTime, heatingTime, stallTemperature } from '../heating/heatingTime'
import { ok, type R } from '../result'
import { aimTemperature, heatingIn, ownConditions, sensibleHeat, type Conditions, type HeatRun } from './heatRun'
import type { Model, Reference } from './reference'

export interface Climb {
  /** Heat flow into a cold pot [W]. */
  q0W: number
  /** Heat spent on evaporation before the aim [J]. */
  evaporatedJ: number
  /** Time from pot-on to the aim: measured, or foretold by the model for a run that stopped short [s]; Infinity: it stalls. */
  ownS: number
  /** The same after the rungs start, boilingPoint and surroundings [s]. */
  rungS: [number, number, number]
  /** Fuel to the aim: own, then after each rung [kg]; Infinity where it stalls. */
  fuelKg: [number, number, number, number]
  /** Where it would stall, in its own conditions and in the reference's [°C]. */
  stallsAtC: { own: number, reference: number }
}

/** Own conditions, then those after the rungs start, boilingPoint and surroundings; the wind stays the run's own. */
export function stations(run: HeatRun, reference: Reference): [Conditions, Conditions, Conditions, Conditions] {
  const own = ownConditions(run)
  const start = { ...own, startC: reference.startC }
  const boilingPoint = { ...start, pressurePa: reference.pressureHPa * 100 }
  return [own, start, boilingPoint, { ...boilingPoint, airC: reference.airC }]
}

/**
 * Climbs the ladder as far as the reference's surroundings.
 * @returns the problem of the heat balance where no flame explains the times
 * Sources: newton (`loss`), wbt (`ratio`).
 */
export function climb(run: HeatRun, reference: Reference, model: Model): R<Climb> {
  const [own, start, boilingPoint, surroundings] = stations(run, reference)
  const timed = heatingIn(run, own, run.reachedC ?? aimTemperature(run, own))
  const flow = heatFlowFromTime(run.heatS, timed)
  if (!flow.ok) return flow
  const { q0W, evaporatedJ } = flow.value
  const timeIn = (at: Conditions) => heatingTime(q0W, heatingIn(run, at, aimTemperature(run, at)))
  const ownS = run.reachedC === null ? run.heatS : timeIn(own)
  const factors = model === 'loss' ? null : heatFactors(run, [own, start, boilingPoint], model)
  const rungS: Climb['rungS'] = factors === null
    ? [timeIn(start), timeIn(boilingPoint), timeIn(surroundings)]
    : [ownS * factors[0], ownS * factors[1], ownS * factors[1]]
  const burnRateKgPerS = run.fuelKg / (run.heatS + run.leadS)
  const fuelTo = (seconds: number, altitude: number) => burnRateKgPerS * (seconds + run.leadS) * altitude
  return ok({
    q0W, evaporatedJ, ownS, rungS,
    fuelKg: [fuelTo(ownS, 1), fuelTo(rungS[0], 1), fuelTo(rungS[1], run.altitudeFactor), fuelTo(rungS[2], run.altitudeFactor)],
    stallsAtC: { own: stallTemperature(q0W, timed), reference: stallTemperature(q0W, heatingIn(run, surroundings, aimTemperature(run, surroundings))) },
  })
}

/** Heat needed at the reference start, and at the reference pressure too, over that needed in the run's own conditions. */
function heatFactors(run: HeatRun, at: [Conditions, Conditions, Conditions], model: 'energy' | 'ratio'): [number, number] {
  const [own, start, boilingPoint] = model === 'ratio' ? at.map(one => aimTemperature(run, one) - one.startC) : heatNeeded(run, at)
  return [start! / own!, boilingPoint! / own!]
}

/** Heat for water and pot, and for evaporation where the pot is open, in each of these conditions, in one arbitrary unit. */
function heatNeeded(run: HeatRun, at: [Conditions, Conditions, Conditions]): number[] {
  if (run.evaporationScale === 0) return at.map(one => sensibleHeat(run, one.startC, aimTemperature(run, one)))
  // At the run's own constant heat flow, free of losses, the heat needed is in proportion to the time it takes.
  const lossless = { ...run, lossWPerK: 0, thetaK: Infinity }
  const heating = (one: Conditions, endC = aimTemperature(run, one)) => heatingIn(lossless, one, endC)
  const gross = heatFlowFromTime(run.heatS, heating(at[0], run.reachedC ?? undefined))
  if (!gross.ok) return [NaN, NaN, NaN]
  const [own, ...moved] = at.map(one => heatingTime(gross.value.q0W, heating(one)))
  return [run.reachedC === null ? run.heatS : own!, ...moved]
}
