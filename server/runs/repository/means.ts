/** The means of set-ups, and what they were before a day. */
import { and, desc, eq, getTableColumns, inArray, isNotNull, sql } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { runSummary, setupSummary } from '../../database/schema'

const { runIds: _, figuresGPerL: __, ...SHOWN } = getTableColumns(setupSummary)
export type MeanRow = Omit<typeof setupSummary.$inferSelect, 'runIds' | 'figuresGPerL'>

export const measuredMeans = (db: Connection): Promise<MeanRow[]> =>
  db.select(SHOWN).from(setupSummary).where(eq(setupSummary.origin, 'measured'))

/** Means of one kind of test that were repeated, for how a burn scatters on this bench. */
export const repeatedMeans = async (
  db: Connection,
  kinds: readonly MeanRow['kind'][],
): Promise<{ n: number; mean: number; sd: number }[]> => {
  const { n, meanGPerL, sdGPerL, origin, kind } = setupSummary
  const rows = await db
    .select({ n, mean: meanGPerL, sd: sdGPerL })
    .from(setupSummary)
    .where(and(eq(origin, 'measured'), inArray(kind, [...kinds]), isNotNull(sdGPerL)))
  return rows.map(({ sd, ...own }) => ({ ...own, sd: sd! }))
}

/** The set-ups of the means that runs of a day enter, by the means' keys. */
export async function setupsOfDay(db: Connection, day: string): Promise<Map<string, { id: string; name: string }>> {
  const rows = await db
    .selectDistinctOn([runSummary.meanKey], { key: runSummary.meanKey, id: runSummary.setupId, name: runSummary.setup })
    .from(runSummary)
    .where(and(eq(runSummary.day, day), eq(runSummary.origin, 'measured'), isNotNull(runSummary.meanKey)))
    .orderBy(runSummary.meanKey, desc(runSummary.startedAt))
  return new Map(rows.map(({ key, ...setup }) => [key!, setup]))
}

/** The figures of earlier days that enter each of these means [g/L]. */
export async function figuresBefore(
  db: Connection,
  keys: readonly string[],
  day: string,
): Promise<{ key: string; figures: number[] }[]> {
  const { rows } = await db.execute<{ key: string; figures: number[] }>(
    sql`select s.key, to_json(array_agg(one.figure)) as figures
      from setup_summary s, unnest(s.run_ids, s.figures_g_per_l) as one (id, figure)
      join run_summary w on w.run_id = one.id where s.key = any(${sql.param([...keys])}::text[]) and w.day < ${day} group by s.key`,
  )
  return rows
}
