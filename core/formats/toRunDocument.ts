/** From a stored run, in SI, to the contract's document, in the contract's units. */
import { pressureFacts, type PressureFacts } from '../air/pressureOf'
import type { TraceReading } from './traceReading'
import { densityAt, fuelOfKind } from '../constants/fuels'
import type { PotMaterial } from '../constants/physical'
import { twelveDigits } from '../quantity/twelveDigits'
import { liquidDensity } from '../water/liquid'
import { containerOf, inDimension, scaled, startU, thermometerOf, type Fineness } from './storedReadings'
import {
  DEFAULT_UNCERTAINTY,
  type BurnerKind,
  type EventDocument,
  type Head,
  type Origin,
  type RunDocument,
  type Screen,
  type Setting,
  type TestKind,
} from './document'

/** A run as it is stored: current values only, null or absent where not measured. */
export interface StoredRun {
  id: string
  setup: string | null
  origin: Origin
  kind: TestKind
  placeAltitudeM: number | null
  placeWindHeightM: number | null
  placeStationPressurePa: number | null
  placeSeaLevelPressurePa: number | null
  /** Resolution and accuracy [SI, ± half-width] of what it was read by. */
  scale: Fineness | null
  thermometer: (Fineness & { correctionK: number | null; lagS: number | null }) | null
  /** What its fuel came from. */
  container: { id: string; tareKg: number | null; fullKg: number | null } | null
  boilBy: 'call' | 'trace' | null
  setting: Setting | null
  /** Current measurements in SI, with the dimension they were typed in. */
  measured: Partial<Record<string, { value: number; dimension: string }>>
  burner: { kind: BurnerKind; head: Head | null } | null
  pot: { massKg: number | null; material: PotMaterial | null; diameterM: number | null; finned: boolean } | null
  lid: boolean
  screen: Screen
  fuel: { kind: string; lhvJPerKg: number | null; densityKgPerM3: number | null } | null
  takeBurnShare: boolean
  events: EventDocument[]
  trace: [number, number][]
  /** [seconds, kg] */
  scaleTrace: [number, number][]
  given: GivenByDocument | null
  /** In place of its trace: what that said. */
  traceReading?: TraceReading
}

/**
 * What a document that came in gave and no reading or part here holds, left open ones too: it stands over what would be
 * reckoned here.
 */
export type GivenByDocument = Partial<
  Pick<
    RunDocument,
    'lossWPerK' | 'uncertainty' | 'burner' | 'lid' | 'screen' | 'container' | 'instruments' | 'thermometer'
  >
> & {
  scaleAccuracyG?: number
  waterBy?: RunDocument['water']['by']
}

/** Water read off a cup or a bottle, once: about 1 % (standard). Its marks are worse (`by`). Source: estimate. */
const WATER_BY_VOLUME_U = 0.01

/** The document that screen, CSV, JSON and command line all reduce. */
export function toRunDocument(run: StoredRun): RunDocument {
  const water = waterMassOf(run)
  const { scaleAccuracyG, waterBy, ...given } = run.given ?? {}
  const fuel = fuelOf(run)
  return {
    id: run.id,
    setup: run.setup,
    origin: run.origin,
    kind: run.kind,
    place: placeOf(run),
    water: { ...waterOf(run, water.massG), ...(waterBy === undefined ? {} : { by: waterBy }) },
    pot: potOf(run.pot),
    lid: run.lid,
    screen: run.screen,
    burner: { kind: run.burner?.kind ?? null, head: run.burner?.head ?? null },
    fuel: scaleAccuracyG === undefined ? fuel : { ...fuel, scaleAccuracyG },
    lossWPerK: null,
    setting: run.setting,
    container: containerOf(run),
    instruments: instrumentsOf(run),
    thermometer: thermometerOf(run),
    boilBy: run.boilBy,
    uncertainty: { ...DEFAULT_UNCERTAINTY, waterG: water.uG, ...startU(run) },
    events: run.events,
    trace: run.trace,
    scaleTrace: run.scaleTrace.map(([s, massKg]): [number, number] => [s, twelveDigits(massKg * 1000)]),
    ...(run.traceReading === undefined ? {} : { traceReading: run.traceReading }),
    ...given,
  }
}

const instrumentsOf = ({ scale, thermometer }: StoredRun): RunDocument['instruments'] => ({
  scale: scale?.id ?? null,
  thermometer: thermometer?.id ?? null,
})

function placeOf(run: StoredRun): RunDocument['place'] {
  const { air, wind, windHeight, humidity } = run.measured
  return {
    ...pressureIn(run),
    airC: scaled(air?.value, 1),
    windMS: scaled(wind?.value, 1),
    windHeightM: scaled(windHeight?.value ?? run.placeWindHeightM, 1),
    humidityPct: scaled(humidity?.value, 100),
  }
}

const waterOf = ({ measured }: StoredRun, massG: number | null): RunDocument['water'] => ({
  massG,
  startC: scaled(measured.waterStart?.value, 1),
  endMassG: scaled(measured.waterEndMass?.value, 1000),
  endC: scaled(measured.waterLast?.value, 1),
  snowG: scaled(measured.snow?.value, 1000),
  by: measured.water?.dimension === 'volume' ? 'marks' : 'weighed',
})

const potOf = (pot: StoredRun['pot']): RunDocument['pot'] => ({
  massG: scaled(pot?.massKg, 1000),
  material: pot?.material ?? null,
  diameterMm: scaled(pot?.diameterM, 1000),
  finned: pot?.finned ?? null,
})

function pressureIn(
  run: StoredRun,
): Pick<RunDocument['place'], 'altitudeM' | 'stationPressureHPa' | 'seaLevelPressureHPa'> {
  const { measured } = run
  const read = {
    altitudeM: measured.altitude?.value ?? null,
    stationPressurePa: measured.stationPressure?.value ?? null,
    seaLevelPressurePa: measured.seaLevelPressure?.value ?? null,
  }
  const { altitudeM, stationPressurePa, seaLevelPressurePa } = pressureFacts(read, placePressure(run))
  return {
    altitudeM: scaled(altitudeM, 1),
    stationPressureHPa: scaled(stationPressurePa, 0.01),
    seaLevelPressureHPa: scaled(seaLevelPressurePa, 0.01),
  }
}

/** What is known of the place of a stored run. */
export const placePressure = (run: StoredRun): PressureFacts => ({
  altitudeM: run.placeAltitudeM,
  stationPressurePa: run.placeStationPressurePa,
  seaLevelPressurePa: run.placeSeaLevelPressurePa,
})

/** Water by volume becomes a mass at its own temperature. */
function waterMassOf({ measured }: StoredRun): { massG: number | null; uG: number } {
  const water = measured.water
  if (!water) return { massG: null, uG: DEFAULT_UNCERTAINTY.waterG }
  if (water.dimension === 'mass') return { massG: twelveDigits(water.value * 1000), uG: DEFAULT_UNCERTAINTY.waterG }
  const massG = twelveDigits(
    water.value * liquidDensity(Math.min(100, Math.max(0, measured.waterStart?.value ?? 20))) * 1000,
  )
  return { massG, uG: twelveDigits(Math.max(DEFAULT_UNCERTAINTY.waterG, massG * WATER_BY_VOLUME_U)) }
}

function fuelOf({ measured, fuel, takeBurnShare, scale }: StoredRun): RunDocument['fuel'] {
  const [used, load] = [measured.fuelUsed, measured.fuelLoad]
  // A load by volume stands for the fuel used, where that was not measured by itself.
  const volume = inDimension(used ?? load, 'volume')
  return {
    kind: builtInKind(fuel),
    lhvMJPerKg: scaled(fuel?.lhvJPerKg, 1e-6),
    usedG: used === volume ? null : grams(used),
    usedMl: scaled(volume?.value, 1e6),
    beforeG: grams(measured.fuelBefore),
    afterG: grams(measured.fuelAfter),
    leftoverG: grams(measured.fuelLeftover),
    densityGPerMl: volume === null ? null : densityOf(fuel, measured.fuelTemp?.value ?? null),
    moisturePct: scaled(measured.moisture?.value, 100),
    charG: grams(measured.char),
    scaleResolutionG: scaled(measured.scaleResolution?.value ?? scale?.resolution, 1000),
    scaleAccuracyG: scaleAccuracyOf(scale),
    loadG: grams(inDimension(load, 'mass')),
    burnOutShare: takeBurnShare,
  }
}

type Measured = StoredRun['measured'][string]
const grams = (mass: Measured | null): number | null => scaled(mass?.value, 1000)
const builtInKind = (fuel: StoredRun['fuel']): string | null =>
  fuel === null || fuelOfKind(fuel.kind) === null ? null : fuel.kind
/** Standard uncertainty of an accuracy given as limits [g]. */
const scaleAccuracyOf = (scale: StoredRun['scale']): number | null =>
  scale?.accuracy == null ? null : twelveDigits((scale.accuracy * 1000) / Math.sqrt(3))
/**
 * Density of the batch, or of the fuel at a temperature that was read [g/mL]; null: the core takes the built-in one at
 * the air's.
 */
function densityOf(fuel: StoredRun['fuel'], fuelC: number | null): number | null {
  if (fuel?.densityKgPerM3) return scaled(fuel.densityKgPerM3, 0.001)
  const builtIn = fuel === null || fuelC === null ? null : fuelOfKind(fuel.kind)
  return builtIn === null ? null : scaled(densityAt(builtIn, fuelC!), 0.001)
}
