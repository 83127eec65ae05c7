import { getTableColumns, sql, type SQL } from 'drizzle-orm'
import { anyOf } from '../../database/anyOf'
import type { Connection } from '../../database/connection'
import { runReading, runSummary } from '../../database/schema'
import type { RunSummary } from '../runLine'

export type KeptSummary = RunSummary & { meanKey?: string | null }

type Column = [key: string, name: string]
const ALL: Column[] = Object.entries(getTableColumns(runSummary))
  .filter(([key]) => key !== 'tags')
  .map(([key, { name }]) => [key, name])
/** Without what stands as long as the readings do: most of a row's bytes. */
const FIGURES = ALL.filter(([key]) => key !== 'ribbon')

/** Writes rows of the logbook. Those without a ribbon are there already, and keep the one they have. */
export async function keepSummaries(db: Connection, rows: readonly KeptSummary[]): Promise<void> {
  const whole = rows.filter((row) => row.ribbon !== undefined)
  if (whole.length > 0) {
    // Another ribbon: what was kept beside the one before says nothing of it.
    await db.delete(runReading).where(
      anyOf(
        runReading.runId,
        whole.map((row) => row.runId),
      ),
    )
    await db.execute(sql`
      insert into ${runSummary} (${namesOf(ALL)}) select ${namesOf(ALL)} from ${recordset(ALL, whole)}
      on conflict (run_id) do update set ${settingOf(ALL, 'excluded')}`)
  }
  const figures = rows.filter((row) => row.ribbon === undefined)
  if (figures.length > 0)
    await db.execute(sql`
      update ${runSummary} set ${settingOf(FIGURES, 'new')}
      from ${recordset(FIGURES, figures)} as new where ${runSummary.runId} = new.run_id`)
}

const namesOf = (columns: readonly Column[]): SQL =>
  sql.join(
    columns.map(([, name]) => sql.identifier(name)),
    sql`, `,
  )
/**
 * Long words in an index are kept where they are the same: they stand beside their row, and written anew they would be
 * others. As long as no column that is indexed changes, the new row needs no entry in any of the eleven indexes.
 */
const KEPT_WHERE_SAME = ['words', 'meanKey']
const settingOf = (columns: readonly Column[], from: string): SQL =>
  sql.join(
    columns
      .filter(([key]) => key !== 'runId')
      .map(([key, name]) => sql`${sql.identifier(name)} = ${settingTo(key, name, from)}`),
    sql`, `,
  )
function settingTo(key: string, name: string, from: string): SQL {
  const own = sql`${runSummary}.${sql.identifier(name)}`
  const other = sql`${sql.identifier(from)}.${sql.identifier(name)}`
  return KEPT_WHERE_SAME.includes(key)
    ? sql`case when ${own} is not distinct from ${other} then ${own} else ${other} end`
    : other
}

/** Rows as one word: placeholders for each of their figures take longer to write than the rows. */
function recordset(columns: readonly Column[], rows: readonly KeptSummary[]): SQL {
  // In one order, as all who write many rows: two that cross would wait for each other.
  const ordered = [...rows].sort((a, b) => (a.runId < b.runId ? -1 : 1))
  const named = ordered.map((row) =>
    Object.fromEntries(columns.map(([key, name]) => [name, row[key as keyof KeptSummary] ?? null])),
  )
  return sql`json_populate_recordset(null::${runSummary}, ${JSON.stringify(named)}::json)`
}
