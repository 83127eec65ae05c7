/** Things of the kit: listed, read whole, saved as versions, deleted while nothing uses them. */
import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { checkAge } from '../../core/kit/instrumentCorrection'
import type { ThingLine, ThingPage } from '../../shared/kitRecords'
import { readRecord, type TypedRecord } from '../../shared/record'
import {
  heatFields,
  isThingKind,
  propertiesFrom,
  thingFields,
  type InstrumentProperties,
  type ThingKind,
  type ThingProperties,
} from '../../shared/thing'
import { typedFieldsFrom } from '../../shared/typedFrom'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { hashOf } from '../database/hash'
import {
  instrumentCheck,
  measurement,
  photo,
  price,
  run,
  setup,
  setupPart,
  setupVersion,
  thing,
  thingVersion,
} from '../database/schema'
import { checksOf } from './checks'
import { editOf, inUse, invalid, invalidAt, notFound, saved, type Outcome } from './outcome'
import { photosOf } from './photos'
import { pricesOf } from './prices'
import { runsWhere, usesThing } from './runRefs'

type ThingRow = typeof thing.$inferSelect
type VersionRow = typeof thingVersion.$inferSelect

/**
 * Hash of what matters to heat; what is not measured does not count, so that a new property changes no old hash. A
 * thing of which nothing was
 * measured is like no other: two bare burners of a kind are two.
 */
function heatHashOf(kind: ThingKind, properties: ThingProperties, id: string): string {
  const known = Object.entries(properties).filter(([, value]) => value !== null)
  return hashOf({
    kind,
    properties: Object.fromEntries(known),
    ...(known.some(([, value]) => typeof value === 'number') ? {} : { id }),
  })
}

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
const readBy = (db: Connection, thingId: string) =>
  inArray(
    run.id,
    db
      .select({ id: measurement.runId })
      .from(measurement)
      .innerJoin(thingVersion, eq(thingVersion.id, measurement.instrumentVersionId))
      .where(eq(thingVersion.thingId, thingId)),
  )

async function setupsWith(db: Connection, thingId: string): Promise<{ id: string; name: string }[]> {
  return db
    .selectDistinct({ id: setup.id, name: setup.name })
    .from(setup)
    .innerJoin(setupVersion, eq(setupVersion.setupId, setup.id))
    .innerJoin(setupPart, eq(setupPart.setupVersionId, setupVersion.id))
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .where(eq(thingVersion.thingId, thingId))
    .orderBy(asc(setup.name))
}

async function recordOf(
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

/** Saves a new thing or an edit. Only a change that matters to heat makes a new version. */
export async function saveThing(db: Connection, input: unknown): Promise<Outcome<ThingPage>> {
  const kind = (input as { kind?: unknown } | null)?.kind
  if (!isThingKind(kind)) return invalidAt('kind', 'Kind: choose what it is from the list.')
  const read = readRecord(thingFields(kind), input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  return db.transaction(async (tx): Promise<Outcome<ThingPage>> => {
    const standing = await recordOf(tx, typed.id, true)
    if (standing !== null && standing.row.kind !== kind)
      return invalidAt(
        'id',
        `This id belongs to a ${standing.row.kind}, not to a ${kind}. Nothing was saved; reload and try again.`,
      )
    const edit = editOf(standing?.record ?? null, typed, 'thing')
    if (typeof edit !== 'string') return edit
    if (edit === 'known') return saved((await findThing(tx, typed.id))!)
    const madeFromId = (values.madeFromId as string | null) || null
    const loop = await madeFromProblem(tx, { id: typed.id, kind, madeFromId })
    if (loop !== null) return invalidAt('fields.madeFromId', loop)
    const head = {
      name: values.name as string,
      description: values.description as string,
      madeFromId,
      retiredAt: values.retired === true ? (standing?.row.retiredAt ?? new Date()) : null,
    }
    const properties = propertiesFrom(kind, values)
    if (standing === null) await tx.insert(thing).values({ id: typed.id, kind, ...head })
    else
      await tx
        .update(thing)
        .set({ ...head, revision: standing.row.revision + 1 })
        .where(eq(thing.id, typed.id))
    if (
      standing === null ||
      heatHashOf(kind, standing.version.properties, typed.id) !== heatHashOf(kind, properties, typed.id)
    ) {
      const own = Object.fromEntries(heatFields(kind).map(({ key }) => [key, typed.fields[key]!]))
      await tx.insert(thingVersion).values({
        id: uuidv7(),
        thingId: typed.id,
        n: (standing?.version.n ?? 0) + 1,
        properties,
        typed: own,
        heatHash: heatHashOf(kind, properties, typed.id),
        reason: typed.reason,
      })
    }
    return saved((await findThing(tx, typed.id))!)
  })
}

/** A thing can be made from another of its kind, but not, through any others, from itself. */
async function madeFromProblem(
  db: Connection,
  { id, kind, madeFromId }: { id: string; kind: ThingKind; madeFromId: string | null },
): Promise<string | null> {
  const path: string[] = []
  for (let next = madeFromId; next !== null;) {
    if (next === id)
      return path.length === 0
        ? 'Made from: it cannot be made from itself. Choose another, or none.'
        : `Made from: that goes round in a loop (${path.join(', which was made from ')}, which was made from this one). Choose another, or none.`
    const [row] = isUuid(next) ? await db.select().from(thing).where(eq(thing.id, next)) : []
    if (row === undefined || row.kind !== kind)
      return `Made from: this is not a ${kind} of the kit. Choose one from the list.`
    path.push(row.name)
    next = row.madeFromId
  }
  return null
}

export async function deleteThing(db: Database, id: string): Promise<Outcome<null>> {
  return db.transaction(async (tx): Promise<Outcome<null>> => {
    const standing = await recordOf(tx, id, true)
    if (standing === null) return notFound('thing')
    const { name } = standing.row
    const use = await runsWhere(tx, usesThing(tx, id))
    if (use.count > 0)
      return inUse(
        `${name} is in ${use.count} ${use.count === 1 ? 'run' : 'runs'}, and a run keeps what it was burned with. Retire it instead: it is then no longer offered.`,
        use.runs,
      )
    const setups = await setupsWith(tx, id)
    if (setups.length > 0)
      return inUse(
        `${name} is a part of ${setups.map((one) => one.name).join(', ')}. Delete or swap it there first, or retire it.`,
      )
    const read = await runsWhere(tx, readBy(tx, id))
    if (read.count > 0)
      return inUse(
        `${name} read ${read.count} ${read.count === 1 ? 'run' : 'runs'}. Retire it instead: it is then no longer offered.`,
        read.runs,
      )
    const made = await tx.select({ name: thing.name }).from(thing).where(eq(thing.madeFromId, id))
    if (made.length > 0)
      return inUse(`${made.map((one) => one.name).join(', ')} was made from ${name}. Change that first, or retire it.`)
    for (const table of [photo, price, instrumentCheck]) await tx.delete(table).where(eq(table.thingId, id))
    await tx.delete(thingVersion).where(eq(thingVersion.thingId, id))
    await tx.delete(thing).where(and(eq(thing.id, id)))
    return saved(null)
  })
}
