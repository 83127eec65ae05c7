/**
 * The outbox: changes in the order of committing. NOTIFY tells every server process that there is something to ask for.
 */
import { and, asc, eq, gt, max, sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { change } from '../../database/schema'

const BENCH_STREAM = 'bench'
export const CHANGE_CHANNEL = 'vulcanum_change'
/** Numbers are given one transaction at a time, so that a lower one never commits after a higher. */
const ORDER_LOCK = 7_202_601

/** In the transaction of the facts: one more change, told at its commit. */
export async function appendChange(tx: Connection, subjectId: string, stream = BENCH_STREAM): Promise<void> {
  await tx.execute(sql`select pg_advisory_xact_lock(${ORDER_LOCK})`)
  const [row] = await tx
    .select({ last: max(change.seq) })
    .from(change)
    .where(eq(change.stream, stream))
  const seq = (row?.last ?? 0) + 1
  await tx.insert(change).values({ stream, seq, subjectId })
  await tx.execute(sql`select pg_notify(${CHANGE_CHANNEL}, ${`${stream} ${seq}`})`)
}

export async function lastSeq(db: Connection, stream = BENCH_STREAM): Promise<number> {
  const [row] = await db
    .select({ last: max(change.seq) })
    .from(change)
    .where(eq(change.stream, stream))
  return row?.last ?? 0
}

/** What changed after a number. */
export const changesAfter = (db: Connection, seq: number, stream = BENCH_STREAM) =>
  db
    .select({ seq: change.seq, subjectId: change.subjectId })
    .from(change)
    .where(and(eq(change.stream, stream), gt(change.seq, seq)))
    .orderBy(asc(change.seq))
