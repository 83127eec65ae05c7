/** Things of the kit: listed, read whole, saved as versions, deleted while nothing uses them. */
import { asc, desc, eq, inArray, sql } from 'drizzle-orm'
import { checkAge } from '../../core/kit/instrumentCorrection'
import type { ThingLine, ThingPage } from '../../shared/kitRecords'
import type { TypedRecord } from '../../shared/record'
import { heatFields, type InstrumentProperties } from '../../shared/thing'
import { typedFieldsFrom } from '../../shared/typedFrom'
import type { Connection } from '../database/connection'
import {
  instrumentCheck,
  measurement,
  run,
  setup,
  setupPart,
  setupVersion,
  thing,
  thingVersion,
} from '../database/schema'
import { checksOf } from './checks'
import { photosOf } from './photos'
import { pricesOf } from './prices'
import { runsWhere, usesThing } from './runRefs'

type ThingRow = typeof thing.$inferSelect

type VersionRow = typeof thingVersion.$inferSelect

export async function listThings(db: Connection, nowMs: number): Promise<ThingLine[]> {
  const rows = await db
    .selectDistinctOn([thing.id], { thing, version: thingVersion })
    .from(thing)
    .innerJoin(thingVersion, eq(thingVersion.thingId, thing.id))
    .orderBy(thing.id, desc(thingVersion.n))
  const uses = await db
    .select({ thingId: thingVersion.thingId, count: sql<number>`count(distinct ${run.id})::int` })
    .from(run)
    .innerJoin(setupPart, eq(setupPart.setupVersionId, run.setupVersionId))
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .groupBy(thingVersion.thingId)
  const counts = new Map(uses.map((use) => [use.thingId, use.count]))
  const checks = await db.select().from(instrumentCheck).where(eq(instrumentCheck.withdrawn, false))
  return rows
    .map(({ thing: row, version }) => {
      const own = checks
        .filter((check) => check.thingId === row.id)
        .map((check) => ({ ...check, atMs: check.at.getTime() }))
      const { days, overdueDays } = checkAge(own, (version.properties as InstrumentProperties).checkDays ?? null, nowMs)
      return {
        id: row.id,
        kind: row.kind,
        name: row.name,
        description: row.description,
        n: version.n,
        versionId: version.id,
        properties: version.properties,
        retired: row.retiredAt !== null,
        runs: counts.get(row.id) ?? 0,
        lastCheckDays: days,
        overdueDays,
      }
    })
    .sort((a, b) => a.name.localeCompare(b.name))
}

export async function findThing(db: Connection, id: string): Promise<ThingPage | null> {
  const found = await recordOf(db, id)
  if (found === null) return null
  const { row, record } = found
  const versions = await db
    .select()
    .from(thingVersion)
    .where(eq(thingVersion.thingId, id))
    .orderBy(desc(thingVersion.n))
  const ids = versions.map((version) => version.id)
  const uses =
    row.kind === 'instrument'
      ? await db
          .select({
            versionId: measurement.instrumentVersionId,
            count: sql<number>`count(distinct ${measurement.runId})::int`,
          })
          .from(measurement)
          .where(inArray(measurement.instrumentVersionId, ids))
          .groupBy(measurement.instrumentVersionId)
      : await db
          .select({ versionId: setupPart.thingVersionId, count: sql<number>`count(*)::int` })
          .from(run)
          .innerJoin(setupPart, eq(setupPart.setupVersionId, run.setupVersionId))
          .where(inArray(setupPart.thingVersionId, ids))
          .groupBy(setupPart.thingVersionId)
  const [from] =
    row.madeFromId === null
      ? []
      : await db.select({ id: thing.id, name: thing.name }).from(thing).where(eq(thing.id, row.madeFromId))
  return {
    record,
    kind: row.kind,
    retired: row.retiredAt !== null,
    madeFrom: from ?? null,
    prices: await pricesOf(db, { thingId: id }),
    setups: await setupsWith(db, id),
    use: await runsWhere(db, row.kind === 'instrument' ? readBy(db, id) : usesThing(db, id)),
    versions: versions.map(({ id: versionId, n, properties, reason, createdAt }) => ({
      id: versionId,
      n,
      properties,
      reason,
      createdAt: createdAt.toISOString(),
      runs: uses.find((use) => use.versionId === versionId)?.count ?? 0,
    })),
    checks: row.kind === 'instrument' ? await checksOf(db, id) : [],
    photos: await photosOf(db, { thingId: id }),
  }
}

/** Runs with a reading taken by any version of an instrument. */
export const readBy = (db: Connection, thingId: string) =>
  inArray(
    run.id,
    db
      .select({ id: measurement.runId })
      .from(measurement)
      .innerJoin(thingVersion, eq(thingVersion.id, measurement.instrumentVersionId))
      .where(eq(thingVersion.thingId, thingId)),
  )

export async function setupsWith(db: Connection, thingId: string): Promise<{ id: string; name: string }[]> {
  return db
    .selectDistinct({ id: setup.id, name: setup.name })
    .from(setup)
    .innerJoin(setupVersion, eq(setupVersion.setupId, setup.id))
    .innerJoin(setupPart, eq(setupPart.setupVersionId, setupVersion.id))
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .where(eq(thingVersion.thingId, thingId))
    .orderBy(asc(setup.name))
}

export async function recordOf(
  db: Connection,
  id: string,
  lock = false,
): Promise<{ row: ThingRow; version: VersionRow; record: TypedRecord } | null> {
  const query = db.select().from(thing).where(eq(thing.id, id))
  const [row] = lock ? await query.for('update') : await query
  if (row === undefined) return null
  const [version] = await db
    .select()
    .from(thingVersion)
    .where(eq(thingVersion.thingId, id))
    .orderBy(desc(thingVersion.n))
    .limit(1)
  return { row, version: version!, record: typedThing(row, version!) }
}

function typedThing(row: ThingRow, version: VersionRow): TypedRecord {
  // The instrument's fineness is typed in its own unit, which the stored SI value does not tell by itself.
  const shown = row.kind === 'instrument' ? inOwnUnit(version.properties as InstrumentProperties) : version.properties
  return {
    id: row.id,
    revision: row.revision,
    units: 'metric',
    personId: null,
    reason: '',
    fields: {
      ...typedFieldsFrom(heatFields(row.kind), { ...shown }, version.typed),
      name: row.name,
      description: row.description,
      retired: row.retiredAt !== null,
      madeFromId: row.madeFromId ?? '',
    },
  }
}

const inOwnUnit = (properties: InstrumentProperties): Record<string, unknown> => {
  const factor = { temperature: 1, mass: 1e-3, wind: 1, pressure: 100, humidity: 0.01 }[properties.measures]
  return {
    ...properties,
    resolution: properties.resolution / factor,
    accuracy: properties.accuracy == null ? null : properties.accuracy / factor,
  }
}
