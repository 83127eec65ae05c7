/** Kit that was made for an import, offered no more. */
import { and, eq, inArray, isNull, notExists, sql } from 'drizzle-orm'
import type { ImportMade } from '../../../shared/tableImport/imports'
import type { Connection } from '../../database/connection'
import { fuelBatch, run, setup, setupPart, setupVersion, thing, thingVersion } from '../../database/schema'

/**
 * What an import made and no standing run uses is offered no more. Places and people stay: they are names, and harm
 * nothing.
 */
export async function retireUnused(tx: Connection, { setups, things, batches }: ImportMade): Promise<void> {
  const now = new Date()
  if (setups.length > 0) await retireSetups(tx, setups, now)
  if (things.length > 0) await retireThings(tx, things, now)
  if (batches.length > 0) await retireBatches(tx, batches, now)
}

const COUNTS = inArray(run.state, ['finished', 'draft', 'live'])

async function retireSetups(tx: Connection, ids: string[], now: Date): Promise<void> {
  const used = tx
    .select({ one: sql`1` })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .where(and(COUNTS, eq(setupVersion.setupId, setup.id)))
  await tx
    .update(setup)
    .set({ retiredAt: now })
    .where(and(inArray(setup.id, ids), isNull(setup.retiredAt), notExists(used)))
}

async function retireThings(tx: Connection, ids: string[], now: Date): Promise<void> {
  const inSetup = tx
    .select({ one: sql`1` })
    .from(setupPart)
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .innerJoin(setupVersion, eq(setupVersion.id, setupPart.setupVersionId))
    .innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .where(and(eq(thingVersion.thingId, thing.id), isNull(setup.retiredAt)))
  await tx
    .update(thing)
    .set({ retiredAt: now })
    .where(and(inArray(thing.id, ids), isNull(thing.retiredAt), notExists(inSetup)))
}

async function retireBatches(tx: Connection, ids: string[], now: Date): Promise<void> {
  const used = tx
    .select({ one: sql`1` })
    .from(run)
    .where(and(COUNTS, eq(run.fuelBatchId, fuelBatch.id)))
  await tx
    .update(fuelBatch)
    .set({ retiredAt: now })
    .where(and(inArray(fuelBatch.id, ids), isNull(fuelBatch.retiredAt), notExists(used)))
}
