/** A lane set up: the run begins to exist, with what is known before anything burns. */
import { sql } from 'drizzle-orm'
import { burnerFuelMismatch } from '../../core/kit/burnerFuel'
import { KIND_OF_TEST } from '../../core/method/method'
import { parseQuantity } from '../../core/quantity/parseQuantity'
import { LANES } from '../../shared/benchAct'
import { MEASURED_QUANTITIES, type MeasuredQuantity } from '../../shared/measuredQuantity'
import { emptyTypedRun, type ReadRun } from '../../shared/typedRun'
import type { Connection } from '../database/connection'
import { hashOf } from '../database/hash'
import { insertDecisions, insertMeasurements, resolveRun } from '../database/repositories/runs'
import { run } from '../database/schema'
import { freeLane } from './lanes'
import { refused, refusedFor, TAKEN, type Ack, type Deed } from './takeActs'

const LANE_LOCK = 7_202_602

export async function arm(tx: Connection, { act, deed: { arming } }: Deed<'arm'>): Promise<Ack> {
  const typed = { ...emptyTypedRun(act.runId, act.units), ...arming, methodId: arming.methodId || null, placeId: arming.placeId || null, containerId: arming.containerId || null, startedAt: new Date(act.atMs).toISOString() }
  const resolved = await resolveRun(tx, typed)
  if (!resolved.ok) return refusedFor([{ path: resolved.path, text: `${resolved.what}: this one is not known here. It may have been deleted; choose again.` }])
  const why = burnerFuelMismatch(resolved.value.burner?.burner ?? null, resolved.value.fuelKind)
  if (why !== null && !arming.overrides.burnerAndFuel?.trim()) return refusedFor([{ path: 'overrides.burnerAndFuel', text: why }])
  await tx.execute(sql`select pg_advisory_xact_lock(${LANE_LOCK})`)
  const lane = await freeLane(tx, arming.lane, LANES)
  if (lane === null) return refused('All six lanes are taken. Finish one, then arm this again.', 'lane')
  const instruments = Object.fromEntries(Object.entries(arming.instruments).filter(([, id]) => id !== ''))
  await tx.insert(run).values({
    id: act.runId, origin: 'measured', kind: KIND_OF_TEST[arming.test], state: 'draft', setupVersionId: resolved.value.setupVersionId, placeVersionId: resolved.value.placeVersionId, fuelBatchId: arming.fuelBatchId, personId: arming.personId,
    methodVersionId: resolved.value.methodVersionId, containerId: typed.containerId, setting: arming.setting || null, breakIn: arming.breakIn, startedAt: new Date(act.atMs), zone: arming.zone, bodyHash: hashOf(arming),
    lane, bench: { units: act.units, instruments, armedAtMs: act.atMs },
  })
  const measurements = (Object.entries(arming.measured) as [MeasuredQuantity, string][]).flatMap(([quantity, text]): ReadRun['measurements'] => {
    const read = text.trim() ? parseQuantity(text, MEASURED_QUANTITIES[quantity], act.units) : null
    return read?.ok ? [{ quantity, value: read.value.value, typed: read.value.typed, unit: read.value.unit }] : []
  })
  await insertMeasurements(tx, { runId: act.runId, personId: arming.personId, atMs: act.atMs, instruments: resolved.value.instruments }, measurements)
  await insertDecisions(tx, typed)
  return lane === arming.lane ? TAKEN : { ...TAKEN, lane }
}
