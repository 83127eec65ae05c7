/**
 * Batches of fuel. A property that moves figures may be changed after runs used it, with a reason; both values stay.
 */
import { asc, desc, eq, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { BATCH_FIELDS, BATCH_HEAT } from '../../shared/fuelBatch'
import type { BatchLine, BatchPage } from '../../shared/kitRecords'
import { readRecord, type TypedRecord } from '../../shared/record'
import { typedFieldsFrom } from '../../shared/typedFrom'
import type { Connection, Database } from '../database/connection'
import { amendment, container, fuel, fuelBatch, person, price, run } from '../database/schema'
import { recomputeWhere } from '../runs/recompute'
import { inUse, invalid, invalidAt, type Outcome } from './outcome'
import { countedRuns, deleteRecord, keepHead, retiredSince, saveRecord, usedBy } from './saveRecord'
import { pricesOf } from './prices'
import { runsWhere } from './runRefs'

export async function listBatches(db: Connection): Promise<BatchLine[]> {
  const rows = await db
    .select({ batch: fuelBatch, fuel })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .orderBy(asc(fuel.name), asc(fuelBatch.name))
  const uses = await db
    .select({ id: run.fuelBatchId, count: sql<number>`count(*)::int` })
    .from(run)
    .groupBy(run.fuelBatchId)
  const prices = await db.select().from(price).orderBy(desc(price.fromDay))
  return rows.map(({ batch, fuel: { name, kind } }) => {
    const last = prices.find((one) => one.fuelBatchId === batch.id)
    return {
      id: batch.id,
      fuel: name,
      kind,
      batch: batch.name,
      openedOn: batch.openedOn,
      storage: batch.storage,
      retired: batch.retiredAt !== null,
      runs: uses.find((use) => use.id === batch.id)?.count ?? 0,
      price: last
        ? { id: last.id, fromDay: last.fromDay, amount: last.amount, currency: last.currency, forKg: last.forKg }
        : null,
    }
  })
}

async function recordOf(
  db: Connection,
  id: string,
  lock = false,
): Promise<{ row: typeof fuelBatch.$inferSelect; kind: string; record: TypedRecord } | null> {
  const query = db
    .select({ row: fuelBatch, fuel })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(eq(fuelBatch.id, id))
  const [found] = lock ? await query.for('update', { of: fuelBatch }) : await query
  if (found === undefined) return null
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
  const amendments = await db
    .select({ one: amendment, person: person.name })
    .from(amendment)
    .leftJoin(person, eq(person.id, amendment.personId))
    .where(eq(amendment.subjectId, id))
    .orderBy(desc(amendment.recordedAt))
  return {
    record: found.record,
    kind: found.kind,
    prices: await pricesOf(db, { fuelBatchId: id }),
    use: await runsWhere(db, eq(run.fuelBatchId, id)),
    amendments: amendments.map(({ one: { field, was, now, reason, recordedAt }, person: who }) => ({
      field,
      was,
      now,
      reason,
      person: who,
      at: recordedAt.toISOString(),
    })),
    containers: await db
      .select({ id: container.id, name: container.name })
      .from(container)
      .where(eq(container.fuelBatchId, id))
      .orderBy(asc(container.name)),
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
    const uses = standing === null ? 0 : (await runsWhere(tx, eq(run.fuelBatchId, typed.id))).count
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
    await keepHead(tx, fuelBatch, { id: typed.id, standing }, row)
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
  await tx.insert(amendment).values(
    fields.map((field) => ({
      id: uuidv7(),
      subject: 'fuelBatch' as const,
      subjectId: now.id,
      field,
      was: String(was.fields[field] ?? ''),
      now: String(now.fields[field] ?? ''),
      reason: now.reason.trim(),
      personId: now.personId,
    })),
  )
  await recomputeWhere(tx, eq(run.fuelBatchId, now.id))
}

/** The fuel of this kind and name; made where there is none. */
async function fuelOf(db: Connection, kind: string, name: string): Promise<string> {
  const rows = await db.select().from(fuel).where(eq(fuel.kind, kind))
  const known = rows.find((row) => row.name === name)
  if (known) return known.id
  const id = uuidv7()
  await db.insert(fuel).values({ id, kind, name })
  return id
}

export function deleteBatch(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, BATCH, id, async (tx, { row: { name } }) => {
    const use = usedBy(await runsWhere(tx, eq(run.fuelBatchId, id)), (runs) => `${name} was burned in ${runs}`)
    if (use) return use
    const held = await tx.select({ name: container.name }).from(container).where(eq(container.fuelBatchId, id))
    if (held.length > 0)
      return inUse(`${name} is in ${held.map((one) => one.name).join(', ')}. Delete that first, or retire the batch.`)
    await tx.delete(price).where(eq(price.fuelBatchId, id))
    await tx.delete(fuelBatch).where(eq(fuelBatch.id, id))
  })
}
