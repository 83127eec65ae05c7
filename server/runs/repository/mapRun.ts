/** From the rows of a run to its record for the page, and to what the core reads. */
import { SETTINGS, type Setting } from '../../../core/formats/document'
import type { StoredRun } from '../../../core/formats/toRunDocument'
import { unitOf } from '../../../core/quantity/units'
import type { BurnerProperties, PotProperties, ScreenProperties } from '../../../shared/thing'
import type { RunRecord } from '../../../shared/runRecord'
import type { run } from '../../database/schema'
import type { RunFacts } from './factsOfRuns'
import type { NamedInstrument, RunKit } from './kitOfRuns'

interface RunParts {
  row: typeof run.$inferSelect
  kit: RunKit
  facts: RunFacts
  instruments: ReadonlyMap<string, NamedInstrument>
  trace: [number, number][]
  scaleTrace: [number, number][]
}

const takesBurnShare = ({ decided }: RunFacts): boolean => decided.get('fuelToBoil') === 'shareOfBurnTime'

export function recordOf({ row, kit, facts, instruments }: RunParts): RunRecord {
  const { method } = kit
  const place = placeOf(kit)
  const burnt = fuelOf(kit)
  return {
    id: row.id,
    origin: row.origin,
    kind: row.kind,
    state: row.state,
    startedAt: row.startedAt.toISOString(),
    zone: row.zone,
    notes: row.notes,
    revision: row.revision,
    setting: row.setting,
    breakIn: row.breakIn,
    method: method === null ? null : { id: method.id, name: method.name, n: method.n },
    container: kit.container === null ? null : { id: kit.container.id, name: kit.container.name },
    personId: row.personId,
    person: kit.person,
    placeId: place.placeId,
    place: place.name,
    placeAltitudeM: place.altitudeM,
    setup: kit.setup.name,
    setupId: kit.setup.id,
    setupN: kit.setup.n,
    fuelId: burnt.fuelId,
    fuel: burnt.fuel,
    batch: burnt.batch,
    batchId: burnt.batchId,
    batchOpenedOn: burnt.batchOpenedOn,
    takeBurnShare: takesBurnShare(facts),
    parts: kit.setup.parts,
    measurements: measurementsOf(facts, instruments),
    events: eventsOf(facts),
    history: [],
  }
}

const NOWHERE = {
  placeId: null,
  name: null,
  altitudeM: null,
  windHeightM: null,
  stationPressurePa: null,
  seaLevelPressurePa: null,
}
const placeOf = ({ place }: RunKit) => (place === null ? NOWHERE : { ...place.version, name: place.name })

const NO_FUEL = { fuelId: null, fuel: null, batch: null, batchId: null, batchOpenedOn: null }
const fuelOf = ({ fuel }: RunKit) =>
  fuel === null
    ? NO_FUEL
    : {
        fuelId: fuel.batch.fuelId,
        fuel: fuel.name,
        batch: fuel.batch.name,
        batchId: fuel.batch.id,
        batchOpenedOn: fuel.batch.openedOn,
      }

const measurementsOf = (
  { measurements }: RunFacts,
  instruments: ReadonlyMap<string, NamedInstrument>,
): RunRecord['measurements'] =>
  measurements.map(({ quantity, value, typed, typedUnit, correction, instrumentVersionId }) => ({
    quantity,
    value,
    typed,
    unit: typedUnit,
    correction,
    instrument: instrumentVersionId === null ? null : (instruments.get(instrumentVersionId)?.name ?? null),
  }))

const eventsOf = ({ events }: RunFacts): RunRecord['events'] =>
  events.map(({ id, kind, atMs, payload }) => ({
    id,
    kind,
    atMs,
    reason: payload.reason ?? null,
    massG: payload.massG ?? null,
    waterC: payload.waterC ?? null,
  }))

export function storedOf(parts: RunParts): StoredRun {
  const { row, kit, facts } = parts
  const place = placeOf(kit)
  // A rehearsal's time is its stove's, however fast it ran.
  const pace = row.bench?.rehearsal?.choice.speed ?? 1
  return {
    id: row.id,
    setup: kit.setup.name,
    origin: row.origin,
    kind: row.kind,
    placeAltitudeM: place.altitudeM,
    placeWindHeightM: place.windHeightM,
    placeStationPressurePa: place.stationPressurePa,
    placeSeaLevelPressurePa: place.seaLevelPressurePa,
    scale: scaleOf(parts),
    thermometer: thermometerOf(parts),
    container: kit.container,
    boilBy: boilDecision(facts.decided.get('boil')),
    setting: row.setting,
    measured: Object.fromEntries(
      facts.measurements.map((one) => [one.quantity, { value: one.value, dimension: unitOf(one.typedUnit).dimension }]),
    ),
    ...heatedBy(kit),
    takeBurnShare: takesBurnShare(facts),
    events: facts.events.map(
      ({ kind, atMs, payload: { massG = null, waterC = null, reason = null, setting, windMS } }) => ({
        kind,
        s: (atMs * pace) / 1000,
        massG,
        waterC,
        reason,
        ...(kind === 'settingChanged' && isSetting(setting) ? { setting } : {}),
        ...(windMS === undefined ? {} : { windMS }),
      }),
    ),
    trace: atPace(parts.trace, pace),
    scaleTrace: atPace(parts.scaleTrace, pace),
    given: row.given,
  }
}

const isSetting = (setting: unknown): setting is Setting => SETTINGS.includes(setting as Setting)

function heatedBy({ setup: { parts }, fuel }: RunKit): Pick<StoredRun, 'burner' | 'pot' | 'lid' | 'screen' | 'fuel'> {
  const property = <T>(role: string) => (parts.find((one) => one.role === role)?.properties ?? null) as T | null
  const burner = property<BurnerProperties>('burner')
  return {
    burner: burner === null ? null : { kind: burner.burner, head: burner.head },
    pot: property<PotProperties>('pot'),
    lid: parts.some((one) => one.role === 'lid'),
    screen: property<ScreenProperties>('screen')?.form ?? 'none',
    fuel:
      fuel === null
        ? null
        : { kind: fuel.kind, lhvJPerKg: fuel.batch.lhvJPerKg, densityKgPerM3: fuel.batch.densityKgPerM3 },
  }
}

/** The first of these that was read by an instrument, and that. */
function readingBy({ facts, instruments }: RunParts, quantities: readonly string[]) {
  const reading = facts.measurements.find(
    (one) => one.instrumentVersionId !== null && quantities.includes(one.quantity),
  )
  const instrument = instruments.get(reading?.instrumentVersionId ?? '')
  return reading === undefined || instrument === undefined ? null : { reading, instrument }
}

const finenessOf = ({ thingId, properties: { resolution, accuracy = null } }: NamedInstrument) => ({
  id: thingId,
  resolution,
  accuracy,
})

function scaleOf(parts: RunParts): StoredRun['scale'] {
  const read = readingBy(parts, ['fuelBefore', 'fuelAfter', 'fuelUsed', 'fuelLoad', 'fuelLeftover'])
  return read === null ? null : finenessOf(read.instrument)
}

function thermometerOf(parts: RunParts): StoredRun['thermometer'] {
  const read = readingBy(parts, ['waterStart'])
  if (read === null) return null
  const { reading, instrument } = read
  return { ...finenessOf(instrument), correctionK: reading.correction, lagS: instrument.properties.lagS ?? null }
}

const atPace = (samples: [number, number][], pace: number): [number, number][] =>
  pace === 1 ? samples : samples.map(([s, value]) => [s * pace, value])

const boilDecision = (answer: string | undefined): StoredRun['boilBy'] =>
  answer === 'call' || answer === 'trace' ? answer : null
