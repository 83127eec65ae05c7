/** From the contract's document, in g, mm, hPa and per cent, to a run in SI. */
import type { FuelInput, RunInput } from '../run/runInput'
import type { RunDocument } from './document'

const inSI =
  (factor: number) =>
  (value: number | null): number | null =>
    value === null ? null : value * factor

/** Divided rather than multiplied by 0.001, which no binary number is. */
const parted =
  (divisor: number) =>
  (value: number | null): number | null =>
    value === null ? null : value / divisor

const kg = parted(1000)
const m = parted(1000)
const pa = inSI(100)
const fraction = parted(100)

export function readDocument(document: RunDocument): RunInput {
  const { pot } = document
  return {
    id: document.id,
    setup: document.setup,
    origin: document.origin,
    kind: document.kind,
    place: readPlaceOf(document.place),
    water: readWaterOf(document.water),
    pot: { massKg: kg(pot.massG), material: pot.material, diameterM: m(pot.diameterMm), finned: pot.finned },
    lid: document.lid,
    screen: document.screen,
    burner: document.burner,
    fuel: readFuelOf(document.fuel),
    lossWPerK: document.lossWPerK,
    setting: document.setting,
    container: document.container,
    instruments: document.instruments,
    thermometer: document.thermometer,
    boilBy: document.boilBy,
    uncertainty: readUncertaintyOf(document.uncertainty),
    events: document.events.map(({ massG, ...event }) => ({
      ...event,
      massKg: massG === null || massG === undefined ? null : massG / 1000,
    })),
    trace: document.trace,
    traceReading: document.traceReading,
    scaleTrace: document.scaleTrace.map(([s, grams]): [number, number] => [s, grams / 1000]),
  }
}

const readPlaceOf = (place: RunDocument['place']): RunInput['place'] => ({
  altitudeM: place.altitudeM,
  stationPressurePa: pa(place.stationPressureHPa),
  seaLevelPressurePa: pa(place.seaLevelPressureHPa),
  airC: place.airC,
  windMS: place.windMS,
  windHeightM: place.windHeightM,
  humidity: fraction(place.humidityPct),
})

const readWaterOf = (water: RunDocument['water']): RunInput['water'] => ({
  massKg: kg(water.massG),
  startC: water.startC,
  endMassKg: kg(water.endMassG),
  endC: water.endC,
  snowKg: kg(water.snowG),
  by: water.by,
})

const readUncertaintyOf = (uncertainty: RunDocument['uncertainty']): RunInput['uncertainty'] => ({
  startC: uncertainty.startC,
  airC: uncertainty.airC,
  boilCallS: uncertainty.boilCallS,
  waterKg: uncertainty.waterG / 1000,
  windMS: uncertainty.windMS,
  pressurePa: uncertainty.pressureHPa * 100,
})

const readFuelOf = (fuel: RunDocument['fuel']): FuelInput => ({
  kind: fuel.kind,
  lhvJPerKg: inSI(1e6)(fuel.lhvMJPerKg),
  usedKg: kg(fuel.usedG),
  beforeKg: kg(fuel.beforeG),
  afterKg: kg(fuel.afterG),
  leftoverKg: kg(fuel.leftoverG),
  usedM3: parted(1e6)(fuel.usedMl),
  densityKgPerM3: inSI(1000)(fuel.densityGPerMl),
  moisture: fraction(fuel.moisturePct),
  charKg: kg(fuel.charG),
  scaleResolutionKg: kg(fuel.scaleResolutionG),
  scaleAccuracyKg: kg(fuel.scaleAccuracyG),
  loadKg: kg(fuel.loadG),
  burnOutShare: fuel.burnOutShare,
})
