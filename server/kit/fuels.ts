/**
 * Batches of fuel. A property that moves figures may be changed after runs used it, with a reason; both values stay.
 */
import { BATCH_FIELDS, BATCH_HEAT } from '../../shared/fuelBatch'
import type { BatchLine, BatchPage } from '../../shared/kitRecords'
import { readRecord, type TypedRecord } from '../../shared/record'
import { typedFieldsFrom } from '../../shared/typedFrom'
import type { Connection, Database } from '../database/connection'
import { recomputeWhere } from '../runs/recompute'
import { inUse, invalid, invalidAt, type Outcome } from './outcome'
import {
  amendmentsOf,
  batchRow,
  batchRows,
  containersOf,
  fuelOf,
  insertAmendments,
  removeBatch,
  runsByBatch,
  type BatchRow,
} from './repository/batches'
import { keepBatchRow } from './repository/heads'
import { newestPrices, pricesOf } from './repository/prices'
import { ofBatch, runsWhere } from './repository/runRefs'
import { countedRuns, deleteRecord, retiredSince, saveRecord, usedBy } from './saveRecord'

export async function listBatches(db: Connection): Promise<BatchLine[]> {
  const rows = await batchRows(db)
  const uses = await runsByBatch(db)
  const prices = await newestPrices(db)
  return rows.map(({ batch, fuel: { name, kind } }) => ({
    id: batch.id,
    fuel: name,
    kind,
    batch: batch.name,
    openedOn: batch.openedOn,
    storage: batch.storage,
    retired: batch.retiredAt !== null,
    runs: uses.get(batch.id) ?? 0,
    price: prices.get(batch.id) ?? null,
  }))
}

async function recordOf(
  db: Connection,
  id: string,
  lock = false,
): Promise<{ row: BatchRow; kind: string; record: TypedRecord } | null> {
  const found = await batchRow(db, id, lock)
  if (found === null) return null
  const {
    row,
    fuel: { kind, name },
  } = found
  const fields = {
    ...typedFieldsFrom(BATCH_FIELDS, { ...row }, row.typed),
    kind,
    fuel: name,
    batch: row.name,
    openedOn: row.openedOn ?? '',
    retired: row.retiredAt !== null,
  }
  return { row, kind, record: { id, revision: row.revision, units: 'metric', personId: null, reason: '', fields } }
}

export async function findBatch(db: Connection, id: string): Promise<BatchPage | null> {
  const found = await recordOf(db, id)
  if (found === null) return null
  return {
    record: found.record,
    kind: found.kind,
    prices: await pricesOf(db, { fuelBatchId: id }),
    use: await runsWhere(db, ofBatch(id)),
    amendments: await amendmentsOf(db, id),
    containers: await containersOf(db, id),
  }
}

const BATCH = { what: 'batch', standing: recordOf, page: findBatch }

export async function saveBatch(db: Connection, input: unknown): Promise<Outcome<BatchPage>> {
  const read = readRecord(BATCH_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  if ((values.lhvJPerKg !== null || values.densityKgPerM3 !== null) && !values.source)
    return invalidAt('fields.source', 'Source of these: read nothing, expected where the value comes from. Type it.')
  return saveRecord(db, BATCH, { typed }, async (tx, standing) => {
    const uses = standing === null ? 0 : (await runsWhere(tx, ofBatch(typed.id))).count
    // While no run was burned with it, a property is as good as new.
    const amended =
      uses === 0 ? [] : BATCH_HEAT.filter((key) => (standing!.record.fields[key] ?? '') !== (typed.fields[key] ?? ''))
    if (amended.length > 0 && !typed.reason.trim())
      return invalidAt(
        'reason',
        `This changes the figures of ${countedRuns(uses)}. Type why; the old value stays in the history.`,
      )
    const fuelId = await fuelOf(tx, values.kind as string, values.fuel as string)
    const row = { fuelId, ...batchFrom(values), typed: typed.fields, retiredAt: retiredSince(values, standing) }
    await keepBatchRow(tx, { id: typed.id, standing }, row)
    if (amended.length > 0) await amend(tx, amended, { was: standing!.record, now: typed })
  })
}

const batchFrom = (values: Record<string, unknown>) => ({
  name: values.batch as string,
  openedOn: values.openedOn as string | null,
  storage: values.storage as string,
  composition: values.composition as string,
  lhvJPerKg: values.lhvJPerKg as number | null,
  densityKgPerM3: values.densityKgPerM3 as number | null,
  source: values.source as string,
})

/** Keeps both values of each, and has the figures of its runs follow. */
async function amend(
  tx: Connection,
  fields: readonly string[],
  { was, now }: { was: TypedRecord; now: TypedRecord },
): Promise<void> {
  await insertAmendments(
    tx,
    now.id,
    fields.map((field) => ({
      field,
      was: String(was.fields[field] ?? ''),
      now: String(now.fields[field] ?? ''),
      reason: now.reason.trim(),
      personId: now.personId,
    })),
  )
  await recomputeWhere(tx, ofBatch(now.id))
}

export function deleteBatch(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, BATCH, id, async (tx, { row: { name } }) => {
    const use = usedBy(await runsWhere(tx, ofBatch(id)), (runs) => `${name} was burned in ${runs}`)
    if (use) return use
    const held = await containersOf(tx, id)
    if (held.length > 0)
      return inUse(`${name} is in ${held.map((one) => one.name).join(', ')}. Delete that first, or retire the batch.`)
    await removeBatch(tx, id)
  })
}
