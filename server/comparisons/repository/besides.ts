/** Runs and set-ups that stand beside a question: alike in heat, or without a figure that is compared. */
import { and, eq, sql } from 'drizzle-orm'
import type { ComparedMean } from '../../../core/compare/facts'
import type { Connection } from '../../database/connection'
import { fuel, fuelBatch, run, runSummary } from '../../database/schema'

/** By a version of a set-up, all versions that are heated as it is. */
export async function versionsHeatedAlike(
  db: Connection,
  versionIds: readonly string[],
): Promise<Map<string, Set<string>>> {
  const { rows } = await db.execute<{ asked: string; id: string }>(sql`
    select asked.id as asked, alike.id from setup_version asked
    join setup_version alike on alike.heat_hash = asked.heat_hash
    where asked.id = any(${sql.param([...versionIds])}::uuid[])`)
  const alike = new Map<string, Set<string>>()
  for (const { asked, id } of rows) alike.set(asked, (alike.get(asked) ?? new Set<string>()).add(id))
  return alike
}

interface Beside {
  seriesKey: string
  setupId: string
  kind: ComparedMean['test']['kind']
}
/** Runs of a series, and its void ones, with why they have no figure that is compared; null: they are of another test. */
export async function runsBeside(
  db: Connection,
  { seriesKey, setupId, kind }: Beside,
): Promise<{ id: string; startedAt: string; zone: string; why: string | null }[]> {
  const rows = await db
    .select({ line: runSummary.line, voided: runSummary.voided, seriesKey: run.seriesKey })
    .from(runSummary)
    .innerJoin(run, eq(run.id, runSummary.runId))
    .where(
      and(
        eq(runSummary.setupId, setupId),
        eq(runSummary.origin, 'measured'),
        sql`${runSummary.line}->>'kind' = ${kind}`,
      ),
    )
    .orderBy(sql`${runSummary.startedAt} desc`)
    .limit(MOST_BESIDE)
  return rows
    .filter((row) => row.seriesKey === seriesKey || row.voided)
    .map(({ line, voided }) => ({ id: line.id, startedAt: line.startedAt, zone: line.zone, why: whyNot(line, voided) }))
}
const MOST_BESIDE = 200

function whyNot({ worstFlag, status, ended, breakIn }: RunLineKept, voided: boolean): string | null {
  if (voided) return 'void'
  if (breakIn) return 'a break-in'
  if (worstFlag?.severity === 'error') return 'impossible, or its readings contradict each other: left out by itself'
  if (status === 'partly') return 'corrected only in part'
  if (ended !== 'boiled') return 'it never boiled'
  return status === 'not' ? 'no corrected figure' : null
}
type RunLineKept = (typeof runSummary.$inferSelect)['line']

/** Set-ups that burned this fuel in this kind of test, with how many of their runs are corrected, and in part. */
export async function setupsOfTest(
  db: Connection,
  { fuel: fuelKind, kind }: { fuel: string; kind: string },
): Promise<{ id: string; name: string; normalised: number; partly: number }[]> {
  const count = (status: string) =>
    sql<number>`(count(*) filter (where ${runSummary.line}->>'status' = ${status}))::int`
  return db
    .select({
      id: runSummary.setupId,
      name: runSummary.setup,
      normalised: count('normalised'),
      partly: count('partly'),
    })
    .from(runSummary)
    .innerJoin(run, eq(run.id, runSummary.runId))
    .innerJoin(fuelBatch, eq(fuelBatch.id, run.fuelBatchId))
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(
      and(
        eq(fuel.kind, fuelKind),
        eq(runSummary.origin, 'measured'),
        eq(runSummary.voided, false),
        sql`${runSummary.line}->>'kind' = ${kind}`,
      ),
    )
    .groupBy(runSummary.setupId, runSummary.setup)
    .orderBy(runSummary.setup)
}
