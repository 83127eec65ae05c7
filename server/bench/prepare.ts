/** A lane set up: the run begins to exist, with what is known before anything burns. */
import { burnerFuelMismatch } from '../../core/kit/burnerFuel'
import { KIND_OF_TEST } from '../../core/method/method'
import { fuelOfKind } from '../../core/constants/fuels'
import type { UnitSystem } from '../../core/quantity/kinds'
import { parseQuantity } from '../../core/quantity/parseQuantity'
import type { Preparation } from '../../shared/benchAct'
import { LANES, type LaneName } from '../../shared/lanes'
import { MEASURED_QUANTITIES, type MeasuredQuantity } from '../../shared/measuredQuantity'
import { sceneOf, waterKgOf } from '../../shared/rehearsal'
import { emptyTypedRun } from '../../shared/typedRun'
import type { ReadRun } from '../../shared/readRun'
import type { Connection } from '../database/connection'
import { hashOf } from '../database/hash'
import { resolveRun, type ResolvedRun } from '../runs/repository/resolveRun'
import { insertDecisions, insertMeasurements } from '../runs/repository/insertRun'
import { keepKeyOf } from '../runs/repository/series'
import { freeLane } from './lanes'
import { insertDraft, isRun, lockLanes } from './repository/lanes'
import { refused, refusedFor, TAKEN, type Ack, type Deed } from './acknowledge'

export async function prepare(tx: Connection, { act, deed: { preparation } }: Deed<'prepare'>): Promise<Ack> {
  const typed = typedOf(act, preparation)
  const resolved = await resolveRun(tx, typed)
  if (!resolved.ok) {
    const text = `${resolved.what}: this one is not known here. It may have been deleted; choose again.`
    return refusedFor([{ path: resolved.path, text }])
  }
  const why = burnerFuelMismatch(resolved.value.burner?.burner ?? null, resolved.value.fuelKind)
  if (why !== null && !preparation.overrides.burnerAndFuel?.trim())
    return refusedFor([{ path: 'overrides.burnerAndFuel', text: why }])
  await lockLanes(tx)
  if (await isRun(tx, act.runId)) return refused('This lane was set up already. Set it up anew.')
  const lane = await freeLane(tx, preparation.lane, LANES)
  if (lane === null) return refused('All six lanes are taken. Finish one, then prepare this again.', 'lane')
  await keepDraft(tx, { act, preparation, lane, resolved: resolved.value })
  await insertDecisions(tx, typed)
  return lane === preparation.lane ? TAKEN : { ...TAKEN, lane }
}

const typedOf = ({ runId, units, atMs }: Prepared['act'], preparation: Preparation) => ({
  ...emptyTypedRun(runId, units),
  ...preparation,
  methodId: preparation.methodId || null,
  placeId: preparation.placeId || null,
  containerId: containerOf(preparation),
  startedAt: new Date(atMs).toISOString(),
})
/** A rehearsal burns from none. */
const containerOf = ({ rehearsal, containerId }: Preparation) => (rehearsal ? null : containerId || null)

interface Prepared {
  act: Deed<'prepare'>['act']
  preparation: Preparation
  lane: LaneName
  resolved: ResolvedRun
}

/** The run as a draft on its lane, with what was measured before. */
async function keepDraft(tx: Connection, { act, preparation, lane, resolved }: Prepared): Promise<void> {
  const measurements = readingsOf(preparation, act.units)
  const rehearsal = rehearsalOf(preparation, { act, measurements, resolved })
  // What stands in for instruments needs none of theirs, nor their corrections.
  const chosen = Object.entries(preparation.instruments).filter(([, id]) => id !== '')
  const instruments = rehearsal ? {} : Object.fromEntries(chosen)
  await insertDraft(tx, {
    id: act.runId,
    origin: rehearsal ? 'rehearsal' : 'measured',
    kind: KIND_OF_TEST[preparation.test],
    state: 'draft',
    setupVersionId: resolved.setupVersionId,
    placeVersionId: resolved.placeVersionId,
    fuelBatchId: preparation.fuelBatchId,
    personId: preparation.personId,
    methodVersionId: resolved.methodVersionId,
    containerId: containerOf(preparation),
    setting: preparation.setting || null,
    breakIn: preparation.breakIn,
    startedAt: new Date(act.atMs),
    zone: preparation.zone,
    bodyHash: hashOf(preparation),
    lane,
    bench: { units: act.units, instruments, armedAtMs: act.atMs, ...(rehearsal ? { rehearsal } : {}) },
  })
  await keepKeyOf(tx, act.runId)
  const { runId, atMs } = act
  const by = { runId, personId: preparation.personId, atMs, instruments: rehearsal ? {} : resolved.instruments }
  await insertMeasurements(tx, by, measurements)
}

function rehearsalOf(
  preparation: Preparation,
  { act, measurements, resolved }: Pick<Prepared, 'act' | 'resolved'> & { measurements: ReadRun['measurements'] },
) {
  if (preparation.rehearsal === null) return undefined
  return sceneOf(preparation.rehearsal, act.runId, {
    waterKg: waterKgOf(measurements) ?? resolved.method?.waterKg ?? null,
    altitudeM: resolved.place?.altitudeM ?? null,
    lid: resolved.lid,
    lhvMJPerKg: fuelOfKind(resolved.fuelKind)?.lowerHeatingValue.value ?? null,
    setting: preparation.setting || null,
    test: preparation.test,
  })
}

const readingsOf = ({ measured }: Preparation, units: UnitSystem): ReadRun['measurements'] =>
  (Object.entries(measured) as [MeasuredQuantity, string][]).flatMap(([quantity, text]) => {
    const read = text.trim() ? parseQuantity(text, MEASURED_QUANTITIES[quantity], units) : null
    return read?.ok ? [{ quantity, value: read.value.value, typed: read.value.typed, unit: read.value.unit }] : []
  })
