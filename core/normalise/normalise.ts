/**
 * The arithmetic of the ladder: time to the aim, rung by rung, each moving one condition and holding the rest.
 * It is worked out again for every perturbed input, so it allocates little and explains nothing; ladder.ts does the
 * words.
 */
import { heatingTime, stallTemperature } from '../heating/heatingTime'
import { heatFlowFromTime, solveHeatFlow } from '../heating/heatFlow'
import { fail, ok, type Problem, type R } from '../result'
import {
  aimTemperature,
  burnRatio,
  copyHeatRun,
  flameHeat,
  ownConditions,
  sensibleHeat,
  windFactor,
  type Conditions,
  type HeatRun,
} from './heatRun'
import { heatingIn, runHeating, setHeating } from './runHeating'
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
  /** The same after the rungs start, boilingPoint, surroundings, wind, flame and volume [s]. */
  rungS: readonly number[]
}

type Stations = [Conditions, Conditions, Conditions, Conditions, Conditions]

/** Own conditions, then those after each rung; where wind's hold on the flame is not known, the wind stays. */
export function stations(run: HeatRun, reference: Reference): Stations {
  const own = ownConditions(run)
  const after = (station: number): Conditions => ({ ...own, startC: reference.startC, meltJ: 0, station })
  const at: Stations = [own, after(1), after(2), after(3), after(4)]
  setStations(at, run, reference)
  return at
}

function setStations(at: Stations, run: HeatRun, { pressureHPa, airC, windMS }: Reference): void {
  const pressurePa = pressureHPa * 100
  at[0].startC = run.startC
  at[0].meltJ = run.meltJ
  at[0].airC = at[1].airC = at[2].airC = run.airC
  at[3].airC = at[4].airC = airC
  at[0].pressurePa = at[1].pressurePa = run.pressurePa
  at[2].pressurePa = at[3].pressurePa = at[4].pressurePa = pressurePa
  at[0].windMS = at[1].windMS = at[2].windMS = at[3].windMS = run.windMS
  at[4].windMS = Number.isNaN(run.v0MS) ? run.windMS : windMS
}

/**
 * Normalises from the run's own conditions to the reference's.
 * @returns the problem of the heat balance where no flame explains the times
 * Sources: newton (`loss`), wbt (`ratio`), windSeries.
 */
export function normalise(run: HeatRun, reference: Reference, model: Model): R<Normalisation> {
  return normaliseBy(new LadderTimes(reference, model), run)
}

/** The same by a ladder that serves many runs. */
export function normaliseBy(times: LadderTimes, run: HeatRun): R<Normalisation> {
  const problem = times.workOut(run)
  if (problem !== null) return fail(problem)
  const { q0W, evaporatedJ, ownS, rungS } = times
  return ok({ q0W, evaporatedJ, ownS, rungS: rungS.slice() })
}

/** A ladder that is worked out for one run after another: its times stand in it until the next. */
export class LadderTimes implements Normalisation {
  q0W = NaN
  evaporatedJ = 0
  ownS = NaN
  readonly rungS = [NaN, NaN, NaN, NaN, NaN, NaN]
  private at: Stations | null = null
  private readonly heated = runHeating()
  private readonly toAim = runHeating()
  private readonly rungs = [runHeating(), runHeating(), runHeating(), runHeating()] as const

  constructor(
    private readonly reference: Reference,
    private readonly model: Model,
  ) {}

  /** @returns null, or the problem of the heat balance where no flame explains the times */
  workOut(run: HeatRun): Problem | null {
    if (this.at === null) this.at = stations(run, this.reference)
    else setStations(this.at, run, this.reference)
    const own = this.at[0]
    const aimC = aimTemperature(run, own)
    const problem = solveHeatFlow(run.heatS, setHeating(this.heated, run, own, run.reachedC ?? aimC), this)
    if (problem !== null) return problem
    this.ownS = run.reachedC === null ? run.heatS : heatingTime(this.q0W, setHeating(this.toAim, run, own, aimC))
    const way = { at: this.at, aim: [aimC, aimTemperature(run, this.at[2])] as const }
    if (this.model === 'loss') this.byLoss(run, way)
    else byHeat(run, way, { model: this.model, ownS: this.ownS, rungS: this.rungS })
    return null
  }

  private byLoss(run: HeatRun, { at, aim }: Way): void {
    const { q0W, rungs, rungS } = this
    rungS[0] = heatingTime(q0W, setHeating(rungs[0], run, at[1], aim[0]))
    rungS[1] = heatingTime(q0W, setHeating(rungs[1], run, at[2], aim[1]))
    rungS[2] = heatingTime(q0W, setHeating(rungs[2], run, at[3], aim[1]))
    const there = setHeating(rungs[3], run, at[4], aim[1])
    const windyW = q0W * windFactor(run, at[4].windMS)
    rungS[3] = at[4].windMS === run.windMS ? rungS[2] : heatingTime(windyW, there)
    const flame = flameHeat(run)
    rungS[4] = flame === 1 ? rungS[3] : heatingTime(windyW * flame, there)
    rungS[5] = Number.isNaN(run.otherKg) ? rungS[4] : timeInOtherVolume(run, windyW * flame, at[4], aim[1])
  }
}

interface Way {
  at: Stations
  /** Temperature aimed at, here and at the reference's pressure. */
  aim: readonly [number, number]
}

/** With another mass of water in the same pot: more wall, more loss, and the heat flow that goes with it [s]. */
function timeInOtherVolume(run: HeatRun, q0W: number, at: Conditions, aimC: number): number {
  const other = copyHeatRun(run)
  other.waterKg = run.otherKg
  other.sideM2 = run.otherSideM2
  const wall = (sideM2: number) => run.lidM2 + run.sideShare * sideM2
  if (run.lossWPerK !== null) other.lossWPerK = (run.lossWPerK * wall(run.otherSideM2)) / wall(run.sideM2)
  return heatingTime(q0W * run.volumeFactor, heatingIn(other, at, aimC))
}

/**
 * By the heat needed at the reference start, and at the reference pressure too, over that in the run's own conditions.
 */
function byHeat(
  run: HeatRun,
  { at, aim }: Way,
  { model, ownS, rungS }: { model: 'energy' | 'ratio'; ownS: number; rungS: number[] },
): void {
  const needed =
    model === 'ratio' ? [aim[0] - at[0].startC, aim[0] - at[1].startC, aim[1] - at[2].startC] : heatNeeded(run, at, aim)
  rungS[0] = ownS * (needed[1]! / needed[0]!)
  rungS[1] = rungS[2] = ownS * (needed[2]! / needed[0]!)
  rungS[3] = rungS[2] / windFactor(run, at[4].windMS)
  rungS[4] = rungS[3] / flameHeat(run)
  rungS[5] = Number.isNaN(run.otherKg)
    ? rungS[4]
    : (rungS[4] * heatInOtherVolume(run, at[4], aim[1])) / run.volumeFactor
}

/** Heat that water and pot take up there over what they take up with the run's own water. */
function heatInOtherVolume(run: HeatRun, { startC }: Conditions, aimC: number): number {
  const perKg = 1000 * (run.enthalpy(aimC) - run.enthalpy(startC))
  const potJ = run.potJPerK * (aimC - startC)
  return (run.otherKg * perKg + potJ) / (run.waterKg * perKg + potJ)
}

/**
 * Heat for melting, water and pot, and for evaporation where the pot is open: own, start, boilingPoint; in one
 * arbitrary unit.
 */
function heatNeeded(run: HeatRun, at: Stations, aim: Way['aim']): number[] {
  const aims = [aim[0], aim[0], aim[1]] as const
  if (run.evaporationScale === 0) return aims.map((endC, i) => at[i]!.meltJ + sensibleHeat(run, at[i]!.startC, endC))
  // At the run's own constant heat flow, free of losses, the heat needed is in proportion to the time it takes.
  const lossless = copyHeatRun(run)
  lossless.lossWPerK = 0
  lossless.thetaK = Infinity
  const gross = heatFlowFromTime(run.heatS, heatingIn(lossless, at[0], run.reachedC ?? aim[0]))
  if (!gross.ok) return [NaN, NaN, NaN]
  return aims.map((endC, i) =>
    i === 0 && run.reachedC === null ? run.heatS : heatingTime(gross.value.q0W, heatingIn(lossless, at[i]!, endC)),
  )
}

/**
 * Fuel to the aim: own, then after each rung, the last being the volume [kg]: burn rate × (time + lead); Infinity where
 * it stalls.
 */
export function fuelOnLadder(
  run: HeatRun,
  { ownS, rungS }: Normalisation,
): [number, number, number, number, number, number, number] {
  const { fuelKg, heatS, leadS, altitudeFactor, modelFactor } = run
  const rate = fuelKg / (heatS + leadS)
  const high = rate * altitudeFactor
  const there = high * burnRatio(run) * modelFactor
  return [
    rate * (ownS + leadS),
    rate * (rungS[0]! + leadS),
    high * (rungS[1]! + leadS),
    high * (rungS[2]! + leadS),
    high * (rungS[3]! + leadS),
    there * (rungS[4]! + leadS),
    there * (rungS[5]! + leadS),
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
