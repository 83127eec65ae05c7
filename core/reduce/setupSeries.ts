/** What a set-up's own runs say together: its flame, its bench burn rates, its heat loss, and how far they reach. */
import { altitudeFromStationPressure } from '../air/pressure'
import { inGrams } from '../quantity/shown'
import { WATER_SPECIFIC_HEAT } from '../constants/physical'
import { isImpossiblePower } from '../plausibility/powerLimit'
import { boilingPointFromPressure } from '../water/saturation'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import type { Basis, Rung } from '../formats/answer'
import { benchRates, WEAK, type BenchRates } from '../flame/benchRates'
import { flamePriors } from '../flame/flameClass'
import { lnBurnRate, lnHeatFlow } from '../flame/flameRow'
import { volumeStep, type VolumeOf, type VolumeStep } from '../flame/otherVolume'
import { setupFlame, type FlameMember, type SetupFlame } from '../flame/setupFlame'
import { efficiency } from '../normalise/figures'
import { aimTemperature, ownConditions, type HeatRun } from '../normalise/heatRun'
import { LadderTimes } from '../normalise/normalise'
import type { RungName } from '../normalise/reference'
import { firepower } from './firepower'
import { sharedInputsOf } from './flameBudget'
import type { Prepared } from './heatRunFromReadings'
import type { Readings } from './readings'
import { byVolume, isAlikeVolume } from './setupMeans'
import { CALM_MS, uncertainInputs } from './uncertainInputs'

/** A run with its heat balance ready, before its set-up's series is known. */
export interface Member {
  input: RunInput
  readings: Readings
  prepared: Prepared
  /** Its time, fuel and conditions are all there: it can be normalised. */
  normalisable: boolean
}

export interface SetupSeries {
  flame: SetupFlame
  /** For the ladders of its runs as their readings are moved. */
  movedTimes: LadderTimes
  /** Film coefficient from the set-up's own cool-down runs [W/(m²·K)]. */
  film: { value: number; u: number } | null
  /** What the flame rung brings a run to. */
  benchOf: (member: Pick<Member, 'input' | 'readings'>, run: HeatRun) => BenchOf
  benchRates: BenchRates
  /** What another volume does to its flame. */
  volumeStep: (fromKg: number, toKg: number) => VolumeStep
  /** What its runs reached, by rung. */
  reach: (rung: RungName, asked: number | null) => Rung['reach']
  /** Largest firepower of its runs [W]: what a turn-down is measured against. */
  highFirepowerW: number | null
}

/** Where the flame rung goes: NaN: nowhere, the run's own rate stands. */
export interface BenchOf {
  kgPerS: number
  /** How many runs say so; null: none, or nobody asked. */
  runs: number | null
  basis: Basis
  /** What is missing where the flame is weak and nothing says by how much. */
  open: 'series.burnRate' | null
}

const burnRateOf = (run: HeatRun): number => (run.fuelKg * 60_000) / (run.heatS + run.leadS)
const altitudeKm = (pressurePa: number): number => altitudeFromStationPressure(pressurePa) / 1000

/** @param members the runs of one set-up and origin; one run alone where it names no set-up */
export function setupSeries(
  members: readonly Member[],
  options: ReduceOptions,
  film: SetupSeries['film'],
): SetupSeries {
  const fitted = members.filter((member) => isFitted(member))
  const volumes = volumesOf(fitted)
  const rows = fitted.map((member) => rowOf(member, options, volumes))
  const flame = setupFlame(rows, priorsOf(members, film), volumes.lnFurther)
  const rates = benchRates(fitted.map(burnRate))
  return {
    flame,
    movedTimes: new LadderTimes(options.reference, options.model),
    film,
    benchRates: rates,
    benchOf: (member, run) => benchOf(member, run, options, rates),
    volumeStep: (fromKg, toKg) => volumeStep(flame.fit, volumes.alike, { fromKg, toKg }),
    reach: reachOf(members),
    highFirepowerW: highestFirepower(members),
  }
}

/** Runs that heat water with one flame whose wind was read. A batch of wood has no one flame. */
function isFitted(member: Member): boolean {
  const { input, normalisable, readings, prepared } = member
  if (!normalisable || input.kind === 'wood' || readings.windMS === null || isSlip(member)) return false
  const endS = readings.times.boilS ?? readings.times.endedS ?? Infinity
  const changes = input.events.some(({ kind, s }) => kind === 'settingChanged' && s < endS)
  return !changes && Number.isFinite(lnHeatFlow(prepared.run))
}

function priorsOf(members: readonly Member[], film: SetupSeries['film']) {
  const told = members.find(({ input: { burner } }) => burner.head !== null || burner.kind !== null) ?? members[0]!
  const measured = members.flatMap(({ input: { lossWPerK } }) =>
    lossWPerK === null || !(lossWPerK.value > 0) ? [] : [lossWPerK.u / lossWPerK.value],
  )
  const lossU = measured.length > 0 ? Math.min(...measured) : film === null ? null : film.u / film.value
  return flamePriors(told.input, { isGas: told.readings.fuel?.form === 'gas', lossU })
}

interface Volumes {
  of: (run: HeatRun) => number
  alike: VolumeOf
  lnFurther: number[]
}

/** Groups of like volumes, the commonest first, with how much larger each further one is. */
function volumesOf(members: readonly Member[]): Volumes {
  const groups = byVolume(members.map(({ prepared }) => prepared.run))
  groups.sort((a, b) => b.length - a.length || a[0]!.waterKg - b[0]!.waterKg)
  const middles = groups.map((group) => group.reduce((sum, { waterKg }) => sum + waterKg, 0) / group.length)
  return {
    of: (run) => groups.findIndex((group) => group.includes(run)),
    alike(waterKg) {
      const at = middles.findIndex((kg) => isAlikeVolume(kg, waterKg))
      return at < 0 ? null : at
    },
    lnFurther: middles.slice(1).map((kg) => Math.log(kg / middles[0]!)),
  }
}

function rowOf(member: Member, options: ReduceOptions, volumes: Volumes): FlameMember {
  const { input, readings, prepared } = member
  const { run } = prepared
  const causes = uncertainInputs(input, readings, options, prepared)
  return {
    id: input.id,
    run,
    windMS: readings.windMS!,
    altitudeKm: altitudeKm(run.pressurePa),
    isOpen: input.lid === false,
    volume: volumes.of(run),
    weighedLossKg: weighedLoss(input),
    inputs: causes.filter(({ sharedBy, scales }) => sharedBy === null && !scales),
    shared: sharedInputsOf(causes),
  }
}

const weighedLoss = ({ water: { massKg, snowKg, endMassKg } }: RunInput): number | null =>
  massKg === null || endMassKg === null ? null : massKg + (snowKg ?? 0) - endMassKg

/** A container fuller than this gives as a full one does. */
const FULL_ENOUGH = 1 / 3
const FULL = 2 / 3
const WARM_C = 10
const ROOM_C = 15
const isCold = ({ place: { airC } }: RunInput): boolean => airC === null || airC < WARM_C
const isNearlyEmpty = ({ container }: RunInput): boolean =>
  container?.fillShare != null && container.fillShare <= FULL_ENOUGH

const burnRate = ({ input, readings, prepared }: Member) => ({
  setting: input.setting,
  lnKgPerS: lnBurnRate(prepared.run),
  isBench: readings.windMS! <= CALM_MS && !isCold(input) && !isNearlyEmpty(input),
  isFull: (input.place.airC ?? 0) >= ROOM_C && (input.container?.fillShare ?? 1) >= FULL,
})

const NOWHERE: BenchOf = { kgPerS: NaN, runs: null, basis: 'assumed', open: null }

function benchOf(
  { input, readings }: Pick<Member, 'input' | 'readings'>,
  run: HeatRun,
  { flame, reference }: ReduceOptions,
  rates: BenchRates,
): BenchOf {
  if (!flame) return NOWHERE
  if (reference.burnRateGPerMin !== null)
    return { kgPerS: reference.burnRateGPerMin / 60_000, runs: Infinity, basis: 'assumed', open: null }
  const bench = rates.of(input.setting)
  if (bench !== null) return { kgPerS: Math.exp(bench.lnKgPerS), runs: bench.n, basis: 'ownSeries', open: null }
  // Gas alone weakens with the cold, or as its can empties.
  const mayBeWeak = readings.fuel?.form === 'gas' && input.burner.kind !== 'liquid-pressure'
  const isWeak = mayBeWeak && (isTooCold(input) || isNearlyEmpty(input)) && isUnder(rates, { input, readings, run })
  return isWeak ? { ...NOWHERE, open: 'series.burnRate' } : NOWHERE
}

const isTooCold = ({ place: { airC } }: RunInput): boolean => airC !== null && airC < WARM_C

/** Clearly under the lowest rate of a calm, warm run; where there is none, nothing says that it is not. */
function isUnder(
  rates: BenchRates,
  { input, readings, run }: Pick<Member, 'input' | 'readings'> & { run: HeatRun },
): boolean {
  const lnRate = lnBurnRate(run)
  const fuelU = (readings.used?.uRandomKg ?? 0) / run.fuelKg
  const callU = input.uncertainty.boilCallS / (run.heatS + run.leadS)
  return rates.lowest(input.setting) - lnRate > Math.max(WEAK, 2 * Math.hypot(fuelU, callU))
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
    flame: range(members.map(({ normalisable, prepared }) => (normalisable ? burnRateOf(prepared.run) : null))),
    volume: range(members.map(({ prepared: { run } }) => (run.waterKg > 0 ? inGrams(run.waterKg) : null))),
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
