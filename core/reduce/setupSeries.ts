/** What a set-up's own runs say together: wind, burn rate, heat loss, and how far they reach. */
import { WATER_SPECIFIC_HEAT } from '../constants/physical'
import { isImpossiblePower } from '../plausibility/powerLimit'
import { heatFlowFromTime } from '../heating/heatFlow'
import { boilingPointFromPressure } from '../water/saturation'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import type { Rung } from '../formats/answer'
import { normalise, fuelOnLadder } from '../normalise/normalise'
import { efficiency } from '../normalise/figures'
import {
  aimTemperature,
  copyHeatRun,
  gramsPerLitre,
  heatingIn,
  ownConditions,
  type HeatRun,
} from '../normalise/heatRun'
import type { Reference, RungName } from '../normalise/reference'
import { CLASS_REACH_MS, CLASS_SPREAD, classGamma } from '../normalise/windClass'
import { windLimits, type WindLimits } from '../normalise/windLimits'
import { fitWind, type WindEffect, type WindPoint } from '../normalise/windSeries'
import { flameLine, lineAt, type FlameLine } from '../statistics/flameLine'
import { firepower } from './firepower'
import type { Prepared } from './heatRunFromReadings'
import type { Readings } from './readings'

/** A run with its heat balance ready, before its set-up's series is known. */
export interface Member {
  input: RunInput
  readings: Readings
  prepared: Prepared
  /** Its time, fuel and conditions are all there: it can be normalised. */
  normalisable: boolean
}

export interface SetupSeries {
  wind: WindEffect | null
  windLimits: WindLimits | null
  /** Film coefficient from the set-up's own cool-down runs [W/(m²·K)]. */
  film: { value: number; u: number } | null
  /** Which of the winds that were tried this one is: readings of one fan setting share their error. */
  settingOf: (windMS: number) => number
  /** Factor of the supply rung for a run, 1 where it is not asked for; null where no line says. */
  supplyFactor: (run: HeatRun) => number | null
  supplyU: (run: HeatRun) => number
  supplyReferenceGPerMin: number | null
  /** What its runs reached, by rung. */
  reach: (rung: RungName, asked: number | null) => Rung['reach']
  /** Largest firepower of its runs [W]: what a turn-down is measured against. */
  highFirepowerW: number | null
}

/** Speeds further apart than this are two settings of the fan [m/s]. Source: estimate. */
const SETTINGS_APART_MS = 0.5

const burnRateOf = (run: HeatRun): number => (run.fuelKg * 60_000) / (run.heatS + run.leadS)

/** @param members the runs of one set-up and origin; one run alone where it names no set-up */
export function setupSeries(
  members: readonly Member[],
  options: ReduceOptions,
  film: SetupSeries['film'],
): SetupSeries {
  const normalisable = members.filter((member) => member.normalisable)
  const points = normalisable.flatMap((member) => windPoint(member) ?? [])
  const wind = windOf(points, members)
  const settings = windSettings(members.flatMap(({ readings }) => readings.windMS ?? []))
  const supply = options.supply ? supplyOf(normalisable, wind, options) : null
  return {
    wind,
    film,
    windLimits: wind === null ? null : limitsOf(points, wind, options.reference),
    settingOf: (windMS) => settings.findIndex((top) => windMS <= top),
    supplyFactor: (run) => (!options.supply ? 1 : supply === null ? null : supply.factor(burnRateOf(run))),
    supplyU: (run) => (supply === null ? 0 : supply.u(burnRateOf(run))),
    supplyReferenceGPerMin: supply?.reference ?? null,
    reach: reachOf(members),
    highFirepowerW: highestFirepower(members),
  }
}

/**
 * A run with the set-up's wind in it: γ stays unknown where the wind was not measured, or lies beyond what a class
 * default knows.
 */
export function withWind(run: HeatRun, windMS: number | null, wind: WindEffect | null, reference: Reference): HeatRun {
  if (wind === null || windMS === null) return run
  if (wind.basis === 'classDefault' && Math.max(windMS, reference.windMS) > CLASS_REACH_MS) return run
  const windy = copyHeatRun(run)
  windy.gamma = wind.gamma
  windy.windExponent = wind.exponent
  return windy
}

function windOf(points: readonly RunInWind[], members: readonly Member[]): WindEffect | null {
  const own = fitWind(points)
  if (own !== null) return own
  const gamma =
    members
      .map(({ input }) => classGamma({ head: input.burner.head, screen: input.screen }))
      .find((one) => one !== null) ?? null
  return gamma === null ? null : { gamma, gammaU: gamma * Math.log(CLASS_SPREAD), exponent: 1, basis: 'classDefault' }
}

interface RunInWind extends WindPoint {
  run: HeatRun
}

/**
 * More heat in the water than in the fuel, or more power than any such burner has: a slip, which must not lean on the
 * figures of other runs.
 */
function isSlip({ input, prepared: { run } }: Member): boolean {
  const eta = efficiency(run, 0)
  if (eta > 1) return true
  const burner = input.burner.kind
  const watts = firepower(run.fuelKg, run.heatS + run.leadS, run.lhvJPerKg)
  const waterW =
    (run.waterKg * WATER_SPECIFIC_HEAT.value * (aimTemperature(run, ownConditions(run)) - run.startC)) / run.heatS
  return (watts !== null && isImpossiblePower(burner, watts)) || isImpossiblePower(burner, waterW)
}

function windPoint(member: Member): RunInWind | null {
  const {
    readings,
    input,
    prepared: { run },
  } = member
  if (readings.windMS === null || isSlip(member)) return null
  const own = ownConditions(run)
  const endC = run.reachedC ?? aimTemperature(run, own)
  const flow = heatFlowFromTime(run.heatS, heatingIn(run, own, endC))
  if (!flow.ok) return null
  const burnRateKgPerS = run.fuelKg / (run.heatS + run.leadS)
  const u = Math.hypot(input.uncertainty.startC / (endC - run.startC), (readings.used?.uRandomKg ?? 0) / run.fuelKg)
  return { run, u, windMS: readings.windMS, lnHeatPerFuel: Math.log(flow.value.q0W / burnRateKgPerS) }
}

/** Upper ends of the groups of speeds that lie near one another [m/s]. */
function windSettings(windsMS: number[]): number[] {
  const sorted = [...windsMS].sort((a, b) => a - b)
  return sorted.filter((wind, i) => i === sorted.length - 1 || sorted[i + 1]! - wind > SETTINGS_APART_MS)
}

/** At the reference, for the set-up's middle run: its water and pot, and the flame it would have in calm. */
function limitsOf(
  points: readonly RunInWind[],
  { gamma, exponent }: WindEffect,
  reference: Reference,
): WindLimits | null {
  const calm = points
    .map(({ run, windMS, lnHeatPerFuel }) => ({ run, heat: lnHeatPerFuel + gamma * windMS ** exponent }))
    .sort((a, b) => a.heat - b.heat)
  const middle = calm[Math.floor(calm.length / 2)]
  if (middle === undefined) return null
  const { run, heat } = middle
  return windLimits(
    { ...run, gamma, windExponent: exponent },
    Math.exp(heat) * (run.fuelKg / (run.heatS + run.leadS)),
    reference,
  )
}

interface Supply {
  factor: (rate: number) => number
  u: (rate: number) => number
  reference: number
}

/**
 * The set-up's own burn-rate line, and the burn rate it is read at: the reference's, else the geometric mean of the
 * calm runs.
 */
function supplyOf(normalisable: readonly Member[], wind: WindEffect | null, options: ReduceOptions): Supply | null {
  const points = normalisable.flatMap((member) => {
    const {
      prepared: { run },
      readings,
    } = member
    if (readings.times.boilS === null || isSlip(member)) return []
    const normalisation = normalise(
      withWind(run, readings.windMS, wind, options.reference),
      options.reference,
      options.model,
    )
    const gPerL = normalisation.ok ? gramsPerLitre(fuelOnLadder(run, normalisation.value)[4], run) : NaN
    return Number.isFinite(gPerL) ? [{ burnRateGPerMin: burnRateOf(run), gPerL, calm: readings.windMS === 0 }] : []
  })
  const line = flameLine(points)
  const calm = points.filter((point) => point.calm)
  const reference =
    options.reference.burnRateGPerMin ??
    (calm.length === 0
      ? null
      : Math.exp(calm.reduce((sum, point) => sum + Math.log(point.burnRateGPerMin), 0) / calm.length))
  if (line === null || reference === null) return null
  const factor = (rate: number) => lineAt(line, reference).gPerL / lineAt(line, rate).gPerL
  return { reference, factor, u: (rate) => factor(rate) * slopeU(line, rate, reference) }
}

/** Relative uncertainty of the ratio of two points of one line: their common part cancels. */
function slopeU(line: FlameLine, rate: number, reference: number): number {
  const { residualSumOfSquares, freedom, unscaledCovariance } = line.fit
  if (freedom < 1) return 0
  const [here, there] = [lineAt(line, rate).gPerL, lineAt(line, reference).gPerL]
  const row = line.coefficients.map(
    (_, power) => (reference - line.meanRate) ** power / there - (rate - line.meanRate) ** power / here,
  )
  const variance = row.reduce(
    (sum, a, i) => sum + a * row.reduce((inner, b, j) => inner + b * unscaledCovariance[i]![j]!, 0),
    0,
  )
  return Math.sqrt((Math.max(variance, 0) * residualSumOfSquares) / freedom)
}

/** A run without a set-up has no series to have been tried in. */
function reachOf(members: readonly Member[]): SetupSeries['reach'] {
  if (members[0]?.input.setup == null) return () => null
  const tested: Partial<Record<RungName, [number, number] | null>> = {
    start: range(members.map(({ input }) => input.water.startC)),
    boilingPoint: range(
      members.map(({ readings }) =>
        readings.pressure === null ? null : boilingPointFromPressure(readings.pressure.pressurePa),
      ),
    ),
    surroundings: range(members.map(({ input }) => input.place.airC)),
    wind: range(members.map(({ readings }) => readings.windMS)),
    supply: range(members.map(({ normalisable, prepared }) => (normalisable ? burnRateOf(prepared.run) : null))),
  }
  return (rung, asked) => {
    const of = tested[rung]
    return of === undefined || of === null || asked === null ? null : { tested: of, asked }
  }
}

function range(values: readonly (number | null)[]): [number, number] | null {
  const known = values.filter((value) => value !== null)
  return known.length === 0 ? null : [Math.min(...known), Math.max(...known)]
}

function highestFirepower(members: readonly Member[]): number | null {
  const watts = members.flatMap((member) => {
    const { run } = member.prepared
    const value = firepower(run.fuelKg, run.heatS + run.leadS, run.lhvJPerKg)
    return value !== null && Number.isFinite(value) && !isSlip(member) ? [value] : []
  })
  return watts.length === 0 ? null : Math.max(...watts)
}
