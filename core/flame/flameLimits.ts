/** The winds a tester asks about: where fuel doubles, and where it no longer boils; with what is known of them. */
import { evaporationPower } from '../heating/evaporation'
import { heatingTime, surplus, type Heating } from '../heating/heatingTime'
import { findRoot } from '../numeric/findRoot'
import { aimTemperature, copyHeatRun, type Conditions, type HeatRun } from '../normalise/heatRun'
import { heatingIn, meanOpenEvaporation, openEvaporation } from '../normalise/runHeating'
import type { Reference } from '../normalise/reference'
import { BELOW_LEVEL_K } from '../trace/plateau'
import { THETA, windLoss } from './flameRow'
import { columnsOf, FIGURED, shiftFlame, withFlame, type SetupFlame } from './setupFlame'
import { NORMAL_95 } from '../statistics/student'

/** Nobody cooks in more [m/s]. */
const STRONGEST_MS = 40

export interface WindLimits {
  /** Fuel twice that in calm [m/s]; null: not below 40 m/s. */
  doublingMS: number | null
  /** No longer boils [m/s]; null: not below 40 m/s. */
  stallMS: number | null
}

/**
 * At the reference, for a run's water and pot: t(v) = 2·t(0), and q0(v)·(1 − (Tb−Ta)/Θ) = K_loss(v)(Tb−Ta) + P_ev.
 * @param run with the set-up's flame in it; `calmQ0W`: its heat flow in calm [W]. Sources: newton, flameModel.
 */
export function windLimits(run: HeatRun, calmQ0W: number, reference: Reference): WindLimits {
  const heatingAt = (windMS: number) => {
    const at = atReference(reference, windMS)
    return heatingIn(run, at, aimTemperature(run, at))
  }
  const flowAt = (windMS: number) => calmQ0W / (1 + (windMS / run.v0MS) ** run.windPower)
  const left = (windMS: number) => {
    const heating = heatingAt(windMS)
    return surplus(flowAt(windMS), heating.endC, { ...heating, ...vapourAtBoil(run, atReference(reference, windMS)) })
  }
  if (!(left(0) > 0)) return { doublingMS: null, stallMS: null }
  const stallMS = left(STRONGEST_MS) < 0 ? findRoot(left, 0, STRONGEST_MS, 1e-8) : null
  const calmS = heatingTime(flowAt(0), heatingAt(0))
  // Towards the stall the time has no bound: its reciprocal has.
  const halved = (windMS: number) => calmS / heatingTime(flowAt(windMS), heatingAt(windMS)) - 0.5
  const upper = stallMS ?? STRONGEST_MS
  // Where it stalls it takes more than twice, however little more it took just below.
  return { stallMS, doublingMS: halved(upper) < 0 ? findRoot(halved, 0, upper, 1e-8) : stallMS }
}

/** What evaporates just below the boil, in that wind: far more than on the mean of the way up. */
function vapourAtBoil(run: HeatRun, at: Conditions): Pick<Heating, 'vapourW' | 'evaporation'> {
  const calledC = aimTemperature(run, at) - BELOW_LEVEL_K
  const open = { ...openEvaporation(run, at), heldFromC: calledC }
  return { evaporation: null, vapourW: run.evaporationScale * evaporationPower(open, calledC) }
}

const atReference = (reference: Reference, windMS: number): Conditions => ({
  startC: reference.startC,
  pressurePa: reference.pressureHPa * 100,
  airC: reference.airC,
  windMS,
  meltJ: 0,
  station: 4,
})

/** A limit with its 95 % interval [m/s]. */
export interface Limit {
  value: number
  u: number
  low: number
  high: number
}

/** Past the lid, which alone makes a stall come later than it does. Source: estimate. */
const LID_LEAK = { share: 0.05, u: 0.05 }
const WIND_SLOPE_U = 0.3

/**
 * Both winds of a set-up, by its middle run and its calm heat flow, with the posterior, the lid's leak, Θ and the loss's
 * growth with wind moved one by one.
 * @returns null where a limit is not below 40 m/s
 */
export function flameLimits(
  flame: SetupFlame,
  { run, isOpen, lnCalmHeat }: { run: HeatRun; isOpen: boolean; lnCalmHeat: number },
  { reference, thetaU }: { reference: Reference; thetaU: number },
): { doublingMS: Limit | null; stallMS: Limit | null } {
  const base = withFlame(run, flame, { windMS: 0, isOpen, aboveKm: 0 })
  if (!isOpen) {
    const open = meanOpenEvaporation(base, atReference(reference, 0), aimTemperature(base, atReference(reference, 0)))
    base.evaporationScale = LID_LEAK.share
    base.lidVapourW = [open, open, open, open, open]
  }
  const middle = windLimits(base, Math.exp(lnCalmHeat), reference)
  const effects = movesOf(flame, isOpen, thetaU).map((move) => {
    const moved = copyHeatRun(base)
    const byLevel = move(moved)
    return windLimits(moved, Math.exp(lnCalmHeat + byLevel), reference)
  })
  return {
    doublingMS: limitOf(middle, effects, 'doublingMS'),
    stallMS: limitOf(middle, effects, 'stallMS'),
  }
}

/** Each moves a run by one independent standard error, and returns what that does to ln of the calm heat flow. */
function movesOf(flame: SetupFlame, isOpen: boolean, thetaU: number): ((run: HeatRun) => number)[] {
  const at = { isOpen, aboveKm: 0 }
  const parameters = [THETA.a, ...FIGURED]
  const covariance = parameters.map((i) => Float64Array.from(parameters, (k) => flame.fit.covariance[i]![k]!))
  return [
    ...columnsOf(covariance).map((column) => (run: HeatRun) => {
      shiftFlame(run, column.slice(1), 1, at)
      return column[0]!
    }),
    (run) => {
      run.thetaK += thetaU
      return 0
    },
    (run) => {
      run.windSlopePerMS *= 1 + WIND_SLOPE_U
      return 0
    },
    (run) => {
      if (!isOpen) run.evaporationScale += LID_LEAK.u
      return 0
    },
  ]
}

/** In logarithms, so that no limit is below nought. */
function limitOf(middle: WindLimits, moved: readonly WindLimits[], which: keyof WindLimits): Limit | null {
  const value = middle[which]
  if (value === null) return null
  const ln = Math.hypot(...moved.map((one) => Math.log((one[which] ?? STRONGEST_MS) / value)))
  return { value, u: value * ln, low: value * Math.exp(-NORMAL_95 * ln), high: value * Math.exp(NORMAL_95 * ln) }
}

const GHOST_MS = 2

/**
 * Where the calm figure may lie where the wind was not read [g/L]: between no wind and 2 m/s at the pot. For the drawing
 * only: it enters no figure.
 */
export const windGhost = (gPerL: number, { fit: { theta } }: SetupFlame): [number, number] => [
  gPerL * Math.exp(-windLoss(GHOST_MS, theta[THETA.lnV0]!, theta[THETA.windPower]!)),
  gPerL,
]
