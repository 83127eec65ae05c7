/** Runs that were rehearsed. */
import { and, desc, eq } from 'drizzle-orm'
import type { RehearsalScene } from '../../../core/simulate/rehearsal'
import { anyOf } from '../../database/anyOf'
import type { Connection } from '../../database/connection'
import { run } from '../../database/schema'

/** The newest that somebody finished. */
export async function newestRehearsals(db: Connection, personId: string, most: number): Promise<string[]> {
  const rows = await db
    .select({ id: run.id })
    .from(run)
    .where(and(eq(run.origin, 'rehearsal'), eq(run.state, 'finished'), eq(run.personId, personId)))
    .orderBy(desc(run.startedAt))
    .limit(most)
  return rows.map((row) => row.id)
}

/** The scenes of those that have one. */
export async function scenesOfRuns(
  db: Connection,
  ids: readonly string[],
): Promise<{ id: string; scene: RehearsalScene }[]> {
  const rows = await db.select({ id: run.id, bench: run.bench }).from(run).where(anyOf(run.id, ids))
  return rows.flatMap(({ id, bench }) => (bench?.rehearsal ? [{ id, scene: bench.rehearsal }] : []))
}
