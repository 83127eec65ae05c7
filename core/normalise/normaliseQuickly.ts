/**
 * Normalising where no open water evaporates and the run boiled: all times have closed forms. It is the general one
 * with
 * what its stations have in common worked out once; a test holds the two together. Uncertainty asks for it dozens of
 * times a run.
 */
import { heatFlowFromTime } from '../heating/heatFlow'
import { ok, type R } from '../result'
import { boilingPointFromPressure } from '../water/saturation'
import type { Normalisation } from './normalise'
import { flameHeat, heatingIn, lossCoefficient, ownConditions, pastLid, windFactor, type HeatRun } from './heatRun'
import type { Reference } from './reference'

export const isQuick = (run: HeatRun): boolean =>
  run.reachedC === null && run.meltJ === 0 && (run.evaporationScale === 0 || run.lidVapourW !== null)

/**
 * C·ΔT over the logarithmic mean of the surplus at start and end [s]; Infinity: stalls. The closed form of heatingTime.
 * Source: newton.
 */
function evenTime(
  q0W: number,
  heatJ: number,
  riseK: number,
  endExcessK: number,
  lossWPerK: number,
  thetaK: number,
  vapourW: number,
): number {
  const droop = q0W / thetaK + lossWPerK
  const end = q0W - droop * endExcessK - vapourW
  if (!(end > 0)) return Infinity
  const fall = droop * riseK
  const x = fall / end
  return (heatJ / end) * (x < 1e-5 && x > -1e-5 ? 1 - x / 2 + (x * x) / 3 : Math.log1p(x) / x)
}

/** As normalise, by the `loss` model. */
export function normaliseQuickly(run: HeatRun, reference: Reference): R<Normalisation> {
  const aimC = run.targetC ?? boilingPointFromPressure(run.pressurePa) - run.belowBoilK
  const flow = heatFlowFromTime(run.heatS, heatingIn(run, ownConditions(run), aimC))
  if (!flow.ok) return flow
  const { q0W } = flow.value
  return ok({ q0W, evaporatedJ: 0, ownS: run.heatS, rungS: rungTimes(run, reference, aimC, q0W) })
}

/** Time from the reference's start to the boil at each station of the ladder, in its order [s]. */
function rungTimes(run: HeatRun, reference: Reference, aimC: number, q0W: number): Normalisation['rungS'] {
  const { airC, thetaK, windMS } = run
  const waterG = run.waterKg * 1000
  const startJ = waterG * run.enthalpy(reference.startC) + run.potJPerK * reference.startC
  const heatTo = (toC: number) => waterG * run.enthalpy(toC) + run.potJPerK * toC - startJ
  const thereC = run.targetC ?? boilingPointFromPressure(reference.pressureHPa * 100) - run.belowBoilK
  const heatJ = heatTo(aimC)
  const thereJ = aimC === thereC ? heatJ : heatTo(thereC)
  const rise = aimC - reference.startC
  const thereRise = thereC - reference.startC
  const excess = thereC - reference.airC
  const loss = lossCoefficient(run, windMS)
  const startRung = evenTime(q0W, heatJ, rise, aimC - airC, loss, thetaK, pastLid(run, 1))
  const boilRung = evenTime(q0W, thereJ, thereRise, thereC - airC, loss, thetaK, pastLid(run, 2))
  const airRung = evenTime(q0W, thereJ, thereRise, excess, loss, thetaK, pastLid(run, 3))
  const stays = windMS === reference.windMS || Number.isNaN(run.v0MS)
  const flowW = stays ? q0W : q0W * windFactor(run, reference.windMS)
  const lossThere = stays ? loss : lossCoefficient(run, reference.windMS)
  const windRung = stays ? airRung : evenTime(flowW, thereJ, thereRise, excess, lossThere, thetaK, pastLid(run, 4))
  const flame = flameHeat(run)
  const flameRung =
    flame === 1 ? windRung : evenTime(flowW * flame, thereJ, thereRise, excess, lossThere, thetaK, pastLid(run, 4))
  return [startRung, boilRung, airRung, windRung, flameRung]
}
