/** The winds a tester asks about: where fuel doubles, and where it no longer boils. */
import { heatingTime, surplus } from '../heating/heatingTime'
import { aimTemperature, heatingIn, type Conditions, type HeatRun } from './heatRun'
import type { Reference } from './reference'
import { findRoot } from '../numeric/findRoot'

/** Nobody cooks in more [m/s]. */
const STRONGEST_MS = 40

export interface WindLimits {
  /** Fuel twice that in calm [m/s]; null: not below 40 m/s. */
  doublingMS: number | null
  /** No longer boils [m/s]; null: not below 40 m/s. */
  stallMS: number | null
}

/**
 * At the reference, for a run's water and pot with the set-up's flame: t(v) = 2·t(0), and q0·e^{−γvⁿ}(1 − (Tb−Ta)/Θ) =
 * K_loss(v)(Tb−Ta).
 * @param calmQ0W heat flow in calm [W]. Sources: newton, windSeries.
 */
export function windLimits(run: HeatRun, calmQ0W: number, reference: Reference): WindLimits {
  const heatingAt = (windMS: number) => {
    const at: Conditions = {
      startC: reference.startC,
      pressurePa: reference.pressureHPa * 100,
      airC: reference.airC,
      windMS,
      meltJ: 0,
      station: 4,
    }
    return heatingIn(run, at, aimTemperature(run, at))
  }
  const flowAt = (windMS: number) => calmQ0W * Math.exp(-run.gamma * windMS ** run.windExponent)
  const left = (windMS: number) => {
    const heating = heatingAt(windMS)
    return surplus(flowAt(windMS), heating.endC, heating)
  }
  if (!(left(0) > 0)) return { doublingMS: null, stallMS: null }
  const stallMS = left(STRONGEST_MS) < 0 ? findRoot(left, 0, STRONGEST_MS, 1e-10) : null
  const calmS = heatingTime(flowAt(0), heatingAt(0))
  // Towards the stall the time has no bound: its reciprocal has.
  const halved = (windMS: number) => calmS / heatingTime(flowAt(windMS), heatingAt(windMS)) - 0.5
  const upper = stallMS ?? STRONGEST_MS
  return { stallMS, doublingMS: halved(upper) < 0 ? findRoot(halved, 0, upper, 1e-10) : null }
}
