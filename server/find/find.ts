/** Finds runs, kit, methods and places by words that all occur in them, wherever. */
import { and, desc, eq, ilike, sql, type AnyColumn, type SQL } from 'drizzle-orm'
import type { Found } from '../../shared/found'
import type { Connection } from '../database/connection'
import { container, fuel, fuelBatch, method, place, runSummary, setup, thing } from '../database/schema'
import { whereOf } from '../runs/listRuns'
import { NO_FILTER } from '../../shared/runList'

const MOST_OF_A_KIND = 6

export async function find(db: Connection, text: string): Promise<Found[]> {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return []
  const named = (column: AnyColumn | SQL): SQL =>
    and(...words.map((word) => ilike(sql`${column}`, `%${word.replace(/[\\%_]/g, '\\$&')}%`)))!
  const batchName = sql<string>`${fuel.name} || case when ${fuelBatch.name} = '' then '' else ', ' || ${fuelBatch.name} end`
  const some = await Promise.all([
    db
      .select({ id: setup.id, words: setup.name })
      .from(setup)
      .where(named(setup.name))
      .orderBy(setup.name)
      .limit(MOST_OF_A_KIND)
      .then((rows) => rows.map((row) => ({ ...row, kind: 'set-up', to: `/kit/setups/${row.id}` }))),
    db
      .select({ id: thing.id, words: thing.name, kind: thing.kind })
      .from(thing)
      .where(named(thing.name))
      .orderBy(thing.name)
      .limit(MOST_OF_A_KIND)
      .then((rows) => rows.map((row) => ({ ...row, kind: row.kind as string, to: `/kit/things/${row.id}` }))),
    db
      .select({ id: fuelBatch.id, words: batchName })
      .from(fuelBatch)
      .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
      .where(named(batchName))
      .orderBy(batchName)
      .limit(MOST_OF_A_KIND)
      .then((rows) => rows.map((row) => ({ ...row, kind: 'fuel', to: `/kit/fuels/${row.id}` }))),
    db
      .select({ id: container.id, words: container.name })
      .from(container)
      .where(named(container.name))
      .orderBy(container.name)
      .limit(MOST_OF_A_KIND)
      .then((rows) => rows.map((row) => ({ ...row, kind: 'container', to: `/kit/containers/${row.id}` }))),
    db
      .select({ id: method.id, words: method.name })
      .from(method)
      .where(named(method.name))
      .orderBy(method.name)
      .limit(MOST_OF_A_KIND)
      .then((rows) => rows.map((row) => ({ ...row, kind: 'method', to: `/methods/${row.id}` }))),
    db
      .select({ id: place.id, words: place.name })
      .from(place)
      .where(named(place.name))
      .orderBy(place.name)
      .limit(MOST_OF_A_KIND)
      .then((rows) => rows.map((row) => ({ ...row, kind: 'place', to: `/kit/places/${row.id}` }))),
    runsNamed(db, text),
  ])
  return some.flat()
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
