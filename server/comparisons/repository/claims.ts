/** What makers say of set-ups. */
import { and, asc, count, desc, eq, isNotNull, ne, sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { claim, run, setup, setupVersion } from '../../database/schema'

export type ClaimRow = typeof claim.$inferSelect & { setup: string }

/** Those that stand, of a set-up or of all, in the order in which they were typed. */
export async function claimRows(db: Connection, setupId: string | null): Promise<ClaimRow[]> {
  const stands = eq(claim.withdrawn, false)
  const rows = await db
    .select({ claim, setup: setup.name })
    .from(claim)
    .innerJoin(setup, eq(setup.id, claim.setupId))
    .where(setupId === null ? stands : and(stands, eq(claim.setupId, setupId)))
    .orderBy(asc(claim.createdAt), asc(claim.id))
  return rows.map(({ claim: one, setup: name }) => ({ ...one, setup: name }))
}

/** The same id again is one claim. */
export async function insertClaim(db: Connection, row: typeof claim.$inferInsert): Promise<void> {
  await db.insert(claim).values(row).onConflictDoNothing()
}

/** False: there is none of this id on this set-up. */
export async function withdrawClaimRow(db: Connection, setupId: string, id: string): Promise<boolean> {
  const rows = await db
    .update(claim)
    .set({ withdrawn: true })
    .where(and(eq(claim.id, id), eq(claim.setupId, setupId)))
    .returning({ id: claim.id })
  return rows.length > 0
}

/** The series of a set-up that the most of its burn-offs are of; null: there is none. */
export async function burnedMost(db: Connection, setupId: string): Promise<string | null> {
  const [row] = await db
    .select({ key: run.seriesKey, n: count() })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .where(
      and(
        eq(setupVersion.setupId, setupId),
        eq(run.origin, 'measured'),
        isNotNull(run.seriesKey),
        ne(run.seriesKey, sql`${run.id}::text`),
        sql`${run.kind} in ('burnOff', 'boilBurnOut')`,
      ),
    )
    .groupBy(run.seriesKey)
    .orderBy(desc(count()), asc(run.seriesKey))
    .limit(1)
  return row?.key ?? null
}
