/** From a stored run, in SI, to the contract's document, in the contract's units. */
import { fuelOfKind } from '../constants/fuels'
import type { PotMaterial } from '../constants/physical'
import type { RunEvent } from '../run/events'
import { liquidDensity } from '../water/liquid'
import { DEFAULT_UNCERTAINTY, type BurnerKind, type Head, type Origin, type RunDocument, type Screen, type TestKind } from './document'

/** A run as it is stored: current values only, null or absent where not measured. */
export interface StoredRun {
  id: string
  setup: string | null
  origin: Origin
  kind: TestKind
  placeAltitudeM: number | null
  placeWindHeightM: number | null
  /** Current measurements in SI, with the dimension they were typed in. */
  measured: Partial<Record<string, { value: number, dimension: string }>>
  burner: { kind: BurnerKind, head: Head | null } | null
  pot: { massKg: number | null, material: PotMaterial | null, diameterM: number | null, finned: boolean } | null
  lid: boolean
  screen: Screen
  fuel: { kind: string, lhvJPerKg: number | null, densityKgPerM3: number | null } | null
  takeBurnShare: boolean
  events: RunEvent[]
  trace: [number, number][]
}

/** Water read off a cup or a bottle is known to about 1 % (standard). Source: estimate. */
const WATER_BY_VOLUME_U = 0.01

/** Twelve significant digits, as every export. */
const exported = (value: number): number => Number(value.toPrecision(12))
const scaled = (value: number | null | undefined, factor: number): number | null => (value === null || value === undefined ? null : exported(value * factor))

/** The document that screen, CSV, JSON and command line all reduce. */
export function toRunDocument(run: StoredRun): RunDocument {
  const si = (quantity: string) => run.measured[quantity]?.value ?? null
  const water = waterOf(run)
  return {
    id: run.id, setup: run.setup, origin: run.origin, kind: run.kind,
    place: {
      altitudeM: scaled(si('altitude') ?? run.placeAltitudeM, 1), stationPressureHPa: scaled(si('stationPressure'), 0.01), seaLevelPressureHPa: scaled(si('seaLevelPressure'), 0.01),
      airC: scaled(si('air'), 1), windMS: scaled(si('wind'), 1), windHeightM: scaled(si('windHeight') ?? run.placeWindHeightM, 1), humidityPct: scaled(si('humidity'), 100),
    },
    water: { massG: water.massG, startC: scaled(si('waterStart'), 1), endMassG: scaled(si('waterEndMass'), 1000), endC: scaled(si('waterLast'), 1), snowG: null },
    pot: { massG: scaled(run.pot?.massKg, 1000), material: run.pot?.material ?? null, diameterMm: scaled(run.pot?.diameterM, 1000), finned: run.pot?.finned ?? null },
    lid: run.lid, screen: run.screen, burner: { kind: run.burner?.kind ?? null, head: run.burner?.head ?? null },
    fuel: fuelOf(run), lossWPerK: null,
    uncertainty: { ...DEFAULT_UNCERTAINTY, waterG: water.uG },
    events: run.events, trace: run.trace,
  }
}

/** Water by volume becomes a mass at its own temperature. */
function waterOf({ measured }: StoredRun): { massG: number | null, uG: number } {
  const water = measured.water
  if (!water) return { massG: null, uG: DEFAULT_UNCERTAINTY.waterG }
  if (water.dimension === 'mass') return { massG: exported(water.value * 1000), uG: DEFAULT_UNCERTAINTY.waterG }
  const massG = exported(water.value * liquidDensity(Math.min(100, Math.max(0, measured.waterStart?.value ?? 20))) * 1000)
  return { massG, uG: exported(Math.max(DEFAULT_UNCERTAINTY.waterG, massG * WATER_BY_VOLUME_U)) }
}

function fuelOf({ measured, fuel, takeBurnShare }: StoredRun): RunDocument['fuel'] {
  const used = measured.fuelUsed
  const byVolume = used?.dimension === 'volume'
  const builtIn = fuel === null ? null : fuelOfKind(fuel.kind)
  return {
    kind: builtIn === null ? null : fuel!.kind, lhvMJPerKg: scaled(fuel?.lhvJPerKg, 1e-6),
    usedG: used && !byVolume ? exported(used.value * 1000) : null, usedMl: used && byVolume ? exported(used.value * 1e6) : null,
    beforeG: scaled(measured.fuelBefore?.value, 1000), afterG: scaled(measured.fuelAfter?.value, 1000), leftoverG: null,
    densityGPerMl: byVolume && fuel?.densityKgPerM3 ? scaled(fuel.densityKgPerM3, 0.001) : null, moisturePct: null, charG: null,
    scaleResolutionG: scaled(measured.scaleResolution?.value, 1000), scaleAccuracyG: null, loadG: null, burnOutShare: takeBurnShare,
  }
}
