/** Runs that use something of the kit, newest first. */
import { desc, eq, inArray, sql, type SQL } from 'drizzle-orm'
import type { RunRef } from '../../shared/record'
import type { Connection } from '../database/connection'
import { run, setup, setupPart, setupVersion, thingVersion } from '../database/schema'

const MOST = 50

export interface RunUse {
  count: number
  runs: RunRef[]
}

/** Those that a condition on run and set-up version picks. */
export async function runsWhere(db: Connection, where: SQL): Promise<RunUse> {
  const [counted] = await db
    .select({ count: sql<number>`count(*)::int` })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .where(where)
  const rows = await db
    .select({ id: run.id, startedAt: run.startedAt, zone: run.zone, setup: setup.name })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .where(where)
    .orderBy(desc(run.startedAt))
    .limit(MOST)
  return { count: counted!.count, runs: rows.map((row) => ({ ...row, startedAt: row.startedAt.toISOString() })) }
}

/** With any version of a thing in their set-up. */
export const usesThing = (db: Connection, thingId: string): SQL =>
  inArray(
    run.setupVersionId,
    db
      .select({ id: setupPart.setupVersionId })
      .from(setupPart)
      .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
      .where(eq(thingVersion.thingId, thingId)),
  )
