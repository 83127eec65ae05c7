/** What comparisons rest on, and the questions that were found. */
import { and, eq, isNull, sql } from 'drizzle-orm'
import type { ComparedFacts, ComparedMean, ComparedPart } from '../../../core/compare/facts'
import { lotSums, type LotSums } from '../../../core/compare/lotSums'
import type { SetupFlameAnswer } from '../../../core/formats/answer'
import type { BurnerProperties, PotProperties } from '../../../shared/thing'
import { byKey } from '../../database/byKey'
import type { Connection } from '../../database/connection'
import { notifyFigures } from '../../runs/repository/notify'
import { isOneOf } from './isOneOf'
import {
  fuel,
  fuelBatch,
  run,
  series,
  setup,
  setupPart,
  setupSummary,
  setupVersion,
  thing,
  thingVersion,
} from '../../database/schema'

/** Series whose figures stand and whose questions do not, with the revision that was read. */
export const changedSeries = (db: Connection, most: number): Promise<{ key: string; revision: number }[]> =>
  db
    .select({ key: series.key, revision: series.revision })
    .from(series)
    .where(and(isNull(series.staleSince), sql`${series.comparedRevision} is distinct from ${series.revision}`))
    .orderBy(series.key)
    .limit(most)

/** Whether any figure is still to come that questions rest on. */
export async function isWaiting(db: Connection): Promise<boolean> {
  const [row] = await db
    .select({ key: series.key })
    .from(series)
    .where(sql`${series.comparedRevision} is distinct from ${series.revision}`)
    .limit(1)
  return row !== undefined
}

/** Means of measured runs, by what they are of: each by the run that entered it last. */
export async function comparedMeans(db: Connection): Promise<ComparedMean[]> {
  const rows = await db
    .select({
      key: setupSummary.key,
      seriesKey: setupSummary.seriesKey,
      conventions: setupSummary.conventions,
      kind: setupSummary.kind,
      endC: setupSummary.endC,
      setting: setupSummary.setting,
      volumeKg: setupSummary.volumeKg,
      n: setupSummary.n,
      meanGPerL: setupSummary.meanGPerL,
      setupId: setup.id,
      setup: setup.name,
      setupVersionId: setupVersion.id,
      fuelKind: fuel.kind,
      fuel: fuel.name,
    })
    .from(setupSummary)
    .innerJoin(run, sql`${run.id} = ${setupSummary.runIds}[array_upper(${setupSummary.runIds}, 1)]`)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .innerJoin(fuelBatch, eq(fuelBatch.id, run.fuelBatchId))
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(eq(setupSummary.origin, 'measured'))
    .orderBy(setupSummary.key)
  const parts = await partsOfVersions(db, [...new Set(rows.map((row) => row.setupVersionId))])
  return rows.map(({ kind, endC, setting, volumeKg, ...own }) => ({
    ...own,
    parts: parts.get(own.setupVersionId) ?? [],
    test: { kind, endC, setting, volumeG: Math.round(volumeKg * 1000) },
  }))
}

async function partsOfVersions(db: Connection, ids: readonly string[]): Promise<Map<string, ComparedPart[]>> {
  if (ids.length === 0) return new Map()
  const rows = await db
    .select({
      of: setupPart.setupVersionId,
      role: setupPart.role,
      versionId: thingVersion.id,
      name: thing.name,
      properties: thingVersion.properties,
    })
    .from(setupPart)
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .innerJoin(thing, eq(thing.id, thingVersion.thingId))
    .where(sql`${setupPart.setupVersionId} = any(${sql.param([...ids])}::uuid[])`)
  const parts = rows.map(({ of, role, versionId, name, properties }) => ({
    of,
    part: {
      role,
      versionId,
      name,
      finned: role === 'pot' && (properties as PotProperties).finned,
      burner: role === 'burner' ? (properties as BurnerProperties).burner : null,
    },
  }))
  return new Map([...byKey(parts, ({ of }) => of)].map(([of, own]) => [of, own.map(({ part }) => part)]))
}

export async function factsOfMeans(db: Connection, keys: readonly string[]): Promise<Map<string, ComparedFacts[]>> {
  const rows = await db
    .select({ key: setupSummary.key, facts: setupSummary.facts })
    .from(setupSummary)
    .where(isOneOf(sql`${setupSummary.key}`, keys))
  return new Map(rows.map(({ key, facts }) => [key, facts]))
}

/** Of those that have a run to compare; one that was kept before there were sums is summed up now. */
export async function sumsOfMeans(db: Connection, keys: readonly string[]): Promise<Map<string, LotSums>> {
  const { sums, facts } = setupSummary
  const rows = await db
    .select({
      key: setupSummary.key,
      sums,
      facts: sql<ComparedFacts[] | null>`case when ${sums} is null then ${facts} end`,
    })
    .from(setupSummary)
    .where(isOneOf(sql`${setupSummary.key}`, keys))
  const sumsOf = (own: ComparedFacts[] | null) => (own === null || own.length === 0 ? null : lotSums(own))
  return new Map(
    rows.flatMap((row) => {
      const own = row.sums ?? sumsOf(row.facts)
      return own === null ? [] : [[row.key, own] as const]
    }),
  )
}

export async function flamesOf(db: Connection, keys: readonly string[]): Promise<Map<string, SetupFlameAnswer | null>> {
  const rows = await db
    .select({ key: series.key, flame: series.flame })
    .from(series)
    .where(isOneOf(sql`${series.key}`, keys))
  return new Map(rows.map(({ key, flame }) => [key, flame]))
}

/** Questions of these series are answered once more, in the background. */
export async function findAgain(tx: Connection, seriesKeys: readonly string[]): Promise<void> {
  if (seriesKeys.length === 0) return
  await tx
    .update(series)
    .set({ comparedRevision: null })
    .where(isOneOf(sql`${series.key}`, seriesKeys))
  await notifyFigures(tx)
}

/** How many runs are measured here: from so many on answers of them hold up others. */
export async function countMeasured(db: Connection): Promise<number> {
  const [row] = await db.select({ n: sql<number>`coalesce(sum(${setupSummary.n}), 0)::int` }).from(setupSummary)
  return row!.n
}

/** Every series whose figures stand, with the revision that was read. */
export const standingSeries = (db: Connection): Promise<{ key: string; revision: number }[]> =>
  db.select({ key: series.key, revision: series.revision }).from(series).where(isNull(series.staleSince))
