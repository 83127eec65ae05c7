/** A run of several burns, or one whose pot or lid was off for a while, as one unbroken burn of the same flame. */
import type { Flag } from '../formats/answer'
import { unbrokenHeatingTime } from '../heating/gaps'
import type { Heating } from '../heating/heatingTime'
import { undisturbedTime } from '../heating/pieces'
import { aimTemperature, ownConditions, type HeatRun } from '../normalise/heatRun'
import { heatingIn, openEvaporation } from '../normalise/runHeating'
import { problemText } from '../result'
import { awayFor, type HeatingPiece } from '../run/heatingPieces'
import type { Readings } from './readings'

export interface OneBurn {
  run: HeatRun
  /** Fuel really burnt over that of one unbroken burn: more than 1 where gaps between burns cost heat. */
  gapsCost: number
  /** The same of what was done to pot and lid, which is no burn's own. */
  disturbed: number
  /** How well what pot and lid did is made good [s], standard. */
  disturbedU: number
}

/**
 * Several burns, and one whose pot or lid was off for a while, become one unbroken burn of the same flame; what that
 * cost is kept as a factor.
 */
export function asOneBurn(run: HeatRun, readings: Readings, flags: Flag[], open: boolean): OneBurn {
  const { spansS, pieces, burnS } = readings
  const own = ownConditions(run)
  const known =
    Number.isFinite(run.reachedC ?? aimTemperature(run, own)) &&
    Number.isFinite(run.startC) &&
    Number.isFinite(run.waterKg)
  if ((spansS.length <= 1 && pieces === null) || !known) return { run, ...UNDISTURBED }
  const heating = heatingIn(run, own, run.reachedC ?? aimTemperature(run, own))
  const unbroken =
    pieces === null ? unbrokenHeatingTime(spansS, heating) : undisturbedTime(pieces, heating, openEvaporation(run, own))
  if (!unbroken.ok) {
    flags.push({ code: unbroken.problem.code, severity: 'error', text: problemText(unbroken.problem) })
    return { run: { ...run, heatS: NaN }, ...UNDISTURBED }
  }
  const share = (unbroken.value + run.leadS) / (burnS + run.leadS)
  const whole = { ...run, heatS: unbroken.value, fuelKg: run.fuelKg * share }
  if (pieces === null) return { ...UNDISTURBED, run: whole, gapsCost: 1 / share }
  const gapsCost = costOfGaps(spansS, heating)
  const heatedS = pieces.reduce((sum, { s, heated }) => (heated ? sum + s : sum), 0)
  return {
    run: whole,
    gapsCost,
    disturbed: 1 / share / gapsCost,
    disturbedU: DISTURBED_U * Math.abs(unbroken.value - heatedS) + marksU(pieces, open),
  }
}
const UNDISTURBED = { gapsCost: 1, disturbed: 1, disturbedU: 0 }

/** By burns and gaps alone. */
function costOfGaps(spansS: readonly number[], heating: Heating): number {
  const unbroken = spansS.length <= 1 ? null : unbrokenHeatingTime(spansS, heating)
  if (unbroken === null || !unbroken.ok) return 1
  return spansS.reduce((sum, span, i) => (i % 2 === 0 ? sum + span : sum), 0) / unbroken.value
}

/** Of what cooling and evaporation took meanwhile. Source: estimate. */
const DISTURBED_U = 0.5
/** Of each mark of the pot, standard [s]; two stand about each piece. Source: estimate. */
const MARK_U_S = 1
const marksU = (pieces: readonly HeatingPiece[], open: boolean): number =>
  awayFor(pieces, open).offS > 0 ? MARK_U_S * Math.SQRT2 : 0
