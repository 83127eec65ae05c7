/** Runs and set-ups that stand beside a question: alike in heat, or without a figure that is compared. */
import { and, eq, sql } from 'drizzle-orm'
import type { ComparedMean } from '../../../core/compare/facts'
import type { MethodBody } from '../../../core/method/method'
import type { Connection } from '../../database/connection'
import { fuel, fuelBatch, methodVersion, run, runSummary } from '../../database/schema'

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

/** Batches of fuel by their id. */
export async function batchesOf(db: Connection): Promise<Map<string, { fuelId: string; name: string }>> {
  const rows = await db
    .select({ id: fuelBatch.id, fuelId: fuelBatch.fuelId, batch: fuelBatch.name, fuel: fuel.name })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
  return new Map(rows.map(({ id, fuelId, batch, fuel: of }) => [id, { fuelId, name: `${of}, ${batch}` }]))
}

/** Containers of the kit by the kind of their fuel: the commonest size, tare and filling in grams. */
export async function fullContainers(db: Connection): Promise<Map<string, { contentG: number; shellG: number }>> {
  const { rows } = await db.execute<{ kind: string; contentG: number; shellG: number }>(sql`
    select distinct on (f.kind) f.kind, c.full_kg * 1000 as "contentG", c.tare_kg * 1000 as "shellG"
    from container c join fuel_batch b on b.id = c.fuel_batch_id join fuel f on f.id = b.fuel_id
    where c.full_kg is not null and c.tare_kg is not null and c.retired_at is null
    group by f.kind, c.full_kg, c.tare_kg order by f.kind, count(*) desc, c.full_kg`)
  return new Map(rows.map(({ kind, ...size }) => [kind, size]))
}

/** The methods that runs of a series were done by; null: by none. */
export async function methodsOfSeries(db: Connection, seriesKey: string): Promise<(MethodBody | null)[]> {
  const rows = await db
    .selectDistinctOn([run.methodVersionId], { body: methodVersion.body })
    .from(run)
    .leftJoin(methodVersion, eq(methodVersion.id, run.methodVersionId))
    .where(eq(run.seriesKey, seriesKey))
    .orderBy(run.methodVersionId)
  return rows.map(({ body }) => body)
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

interface OfTest {
  fuel: string
  kind: string
  /** Set-ups that are known. */
  except: readonly string[]
}
/** Other set-ups that burned this fuel in this kind of test, with how many of their runs are corrected, and in part. */
export async function setupsOfTest(
  db: Connection,
  { fuel: fuelKind, kind, except }: OfTest,
): Promise<{ id: string; name: string; normalised: number; partly: number }[]> {
  const count = (status: string) => sql`(count(*) filter (where s.line->>'status' = ${status}))::int`
  // Set-up by set-up, so that none reads the whole logbook.
  const { rows } = await db.execute<{ id: string; name: string; normalised: number; partly: number }>(sql`
    select st.id, st.name, own.normalised, own.partly from setup st cross join lateral (
      select count(*) as n, ${count('normalised')} as normalised, ${count('partly')} as partly
      from run_summary s join fuel f on f.id = s.fuel_id
      where s.setup_id = st.id and f.kind = ${fuelKind} and s.origin = 'measured' and not s.voided
        and s.line->>'kind' = ${kind}) own
    where st.id <> all(${sql.param([...except])}::uuid[]) and own.n > 0 order by st.name`)
  return rows
}
