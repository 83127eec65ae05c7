/** A lane set up: the run begins to exist, with what is known before anything burns. */
import { eq, sql } from 'drizzle-orm'
import { burnerFuelMismatch } from '../../core/kit/burnerFuel'
import { KIND_OF_TEST } from '../../core/method/method'
import { fuelOfKind } from '../../core/constants/fuels'
import type { UnitSystem } from '../../core/quantity/kinds'
import { parseQuantity } from '../../core/quantity/parseQuantity'
import { LANES, type Preparation } from '../../shared/benchAct'
import { MEASURED_QUANTITIES, type MeasuredQuantity } from '../../shared/measuredQuantity'
import { sceneOf, waterKgOf } from '../../shared/rehearsal'
import { emptyTypedRun, type ReadRun } from '../../shared/typedRun'
import type { Connection } from '../database/connection'
import { hashOf } from '../database/hash'
import { resolveRun } from '../runs/repository/resolveRun'
import { insertDecisions, insertMeasurements } from '../runs/repository/insertRun'
import { run } from '../database/schema'
import { keepKeys } from '../runs/series'
import { freeLane } from './lanes'
import { refused, refusedFor, TAKEN, type Ack, type Deed } from './acknowledge'

const LANE_LOCK = 7_202_602

export async function prepare(tx: Connection, { act, deed: { preparation } }: Deed<'prepare'>): Promise<Ack> {
  const typed = {
    ...emptyTypedRun(act.runId, act.units),
    ...preparation,
    methodId: preparation.methodId || null,
    placeId: preparation.placeId || null,
    containerId: preparation.rehearsal ? null : preparation.containerId || null,
    startedAt: new Date(act.atMs).toISOString(),
  }
  const resolved = await resolveRun(tx, typed)
  if (!resolved.ok)
    return refusedFor([
      {
        path: resolved.path,
        text: `${resolved.what}: this one is not known here. It may have been deleted; choose again.`,
      },
    ])
  const why = burnerFuelMismatch(resolved.value.burner?.burner ?? null, resolved.value.fuelKind)
  if (why !== null && !preparation.overrides.burnerAndFuel?.trim())
    return refusedFor([{ path: 'overrides.burnerAndFuel', text: why }])
  await tx.execute(sql`select pg_advisory_xact_lock(${LANE_LOCK})`)
  if ((await tx.select({ id: run.id }).from(run).where(eq(run.id, act.runId))).length > 0)
    return refused('This lane was set up already. Set it up anew.')
  const lane = await freeLane(tx, preparation.lane, LANES)
  if (lane === null) return refused('All six lanes are taken. Finish one, then prepare this again.', 'lane')
  // What stands in for instruments needs none of theirs, nor their corrections.
  const instruments = preparation.rehearsal
    ? {}
    : Object.fromEntries(Object.entries(preparation.instruments).filter(([, id]) => id !== ''))
  const measurements = readingsOf(preparation, act.units)
  const rehearsal =
    preparation.rehearsal === null
      ? undefined
      : sceneOf(preparation.rehearsal, act.runId, {
          waterKg: waterKgOf(measurements) ?? resolved.value.method?.waterKg ?? null,
          altitudeM: resolved.value.place?.altitudeM ?? null,
          lid: resolved.value.lid,
          lhvMJPerKg: fuelOfKind(resolved.value.fuelKind)?.lowerHeatingValue.value ?? null,
          setting: preparation.setting || null,
          test: preparation.test,
        })
  await tx.insert(run).values({
    id: act.runId,
    origin: rehearsal ? 'rehearsal' : 'measured',
    kind: KIND_OF_TEST[preparation.test],
    state: 'draft',
    setupVersionId: resolved.value.setupVersionId,
    placeVersionId: resolved.value.placeVersionId,
    fuelBatchId: preparation.fuelBatchId,
    personId: preparation.personId,
    methodVersionId: resolved.value.methodVersionId,
    containerId: typed.containerId,
    setting: preparation.setting || null,
    breakIn: preparation.breakIn,
    startedAt: new Date(act.atMs),
    zone: preparation.zone,
    bodyHash: hashOf(preparation),
    lane,
    bench: { units: act.units, instruments, armedAtMs: act.atMs, ...(rehearsal ? { rehearsal } : {}) },
  })
  await keepKeys(tx, eq(run.id, act.runId))
  await insertMeasurements(
    tx,
    {
      runId: act.runId,
      personId: preparation.personId,
      atMs: act.atMs,
      instruments: rehearsal ? {} : resolved.value.instruments,
    },
    measurements,
  )
  await insertDecisions(tx, typed)
  return lane === preparation.lane ? TAKEN : { ...TAKEN, lane }
}

const readingsOf = ({ measured }: Preparation, units: UnitSystem): ReadRun['measurements'] =>
  (Object.entries(measured) as [MeasuredQuantity, string][]).flatMap(([quantity, text]) => {
    const read = text.trim() ? parseQuantity(text, MEASURED_QUANTITIES[quantity], units) : null
    return read?.ok ? [{ quantity, value: read.value.value, typed: read.value.typed, unit: read.value.unit }] : []
  })
