/** Finds runs, kit, methods and places by words that all occur in them, wherever. */
import { and, desc, ilike, sql, type AnyColumn, type SQL } from 'drizzle-orm'
import type { PgTable } from 'drizzle-orm/pg-core'
import type { Found } from '../../../shared/found'
import type { Connection } from '../../database/connection'
import { container, fuel, fuelBatch, method, place, runSummary, setup, thing } from '../../database/schema'
import { whereOf } from '../../runs/repository/listRuns'
import { NO_FILTER } from '../../../shared/runList'

const MOST_OF_A_KIND = 6

export async function find(db: Connection, text: string): Promise<Found[]> {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return []
  const kit = KIT.map((one) => named(db, one, words))
  return (await Promise.all([...kit, runsNamed(db, text)])).flat()
}

interface Findable {
  table: PgTable
  id: AnyColumn
  name: AnyColumn | SQL<string>
  /** What it is called: a word, or the column that says it. */
  kind: string | AnyColumn
  page: string
}
const BATCH_NAME = sql<string>`(select ${fuel.name} from ${fuel} where ${fuel.id} = ${fuelBatch.fuelId})
  || case when ${fuelBatch.name} = '' then '' else ', ' || ${fuelBatch.name} end`
const KIT: readonly Findable[] = [
  { table: setup, id: setup.id, name: setup.name, kind: 'set-up', page: '/kit/setups' },
  { table: thing, id: thing.id, name: thing.name, kind: thing.kind, page: '/kit/things' },
  { table: fuelBatch, id: fuelBatch.id, name: BATCH_NAME, kind: 'fuel', page: '/kit/fuels' },
  { table: container, id: container.id, name: container.name, kind: 'container', page: '/kit/containers' },
  { table: method, id: method.id, name: method.name, kind: 'method', page: '/methods' },
  { table: place, id: place.id, name: place.name, kind: 'place', page: '/kit/places' },
]

async function named(db: Connection, { table, id, name, kind, page }: Findable, words: string[]): Promise<Found[]> {
  const has = (word: string) => ilike(sql`${name}`, `%${word.replace(/[\\%_]/g, '\\$&')}%`)
  const rows = await db
    .select({
      id: sql<string>`${id}`,
      words: sql<string>`${name}`,
      kind: typeof kind === 'string' ? sql<string>`${kind}::text` : sql<string>`${kind}`,
    })
    .from(table)
    .where(and(...words.map(has)))
    .orderBy(sql`2`)
    .limit(MOST_OF_A_KIND)
  return rows.map((row) => ({ ...row, to: `${page}/${row.id}` }))
}

async function runsNamed(db: Connection, words: string): Promise<Found[]> {
  const rows = await db
    .select({ id: runSummary.runId, setup: runSummary.setup, place: runSummary.place, day: runSummary.day })
    .from(runSummary)
    .where(whereOf({ ...NO_FILTER, origin: 'all', voided: 'shown', words }))
    .orderBy(desc(runSummary.startedAt))
    .limit(MOST_OF_A_KIND)
  return rows.map(({ id, setup: name, place: where, day }) => ({
    id,
    kind: 'run',
    words: `${name}, ${where}, ${day}`,
    to: `/runs/${id}`,
  }))
}
