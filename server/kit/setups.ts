/** Set-ups: named combinations of things, versioned where what matters to heat changes. */
import { desc, eq, sql } from 'drizzle-orm'
import { setupWarnings } from '../../core/kit/setupWarnings'
import type { SetupLine, SetupPage, SetupPartLine, SetupVersionLine, TypedSetup } from '../../shared/kitRecords'
import { partsForWarnings } from '../../shared/setupParts'
import { PART_ROLES, SETUP_FIELDS, type PartProperties } from '../../shared/thing'
import { typedFieldsFrom } from '../../shared/typedFrom'
import type { Connection } from '../database/connection'
import { anyOf } from '../database/anyOf'
import { byKey } from '../database/byKey'
import { person, run, setup, setupDecision, setupPart, setupVersion, thing, thingVersion } from '../database/schema'
import { photosOf } from './photos'
import { runsWhere } from './runRefs'

/** Newest versions, by name. */
export async function listSetups(db: Connection): Promise<SetupLine[]> {
  const rows = await db
    .selectDistinctOn([setup.id], { setup, versionId: setupVersion.id })
    .from(setup)
    .innerJoin(setupVersion, eq(setupVersion.setupId, setup.id))
    .orderBy(setup.id, desc(setupVersion.n))
  const lines = await versionLines(
    db,
    rows.map((row) => row.versionId),
  )
  const uses = await db
    .select({ setupId: setupVersion.setupId, count: sql<number>`count(*)::int` })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .groupBy(setupVersion.setupId)
  return rows
    .map(({ setup: row, versionId }) => ({
      id: row.id,
      name: row.name,
      description: row.description,
      retired: row.retiredAt !== null,
      runs: uses.find((use) => use.setupId === row.id)?.count ?? 0,
      version: lines.find((line) => line.id === versionId)!,
    }))
    .sort((a, b) => a.name.localeCompare(b.name))
}

export async function findSetup(db: Connection, id: string): Promise<SetupPage | null> {
  const standing = await recordOf(db, id)
  if (standing === null) return null
  const ids = (
    await db
      .select({ id: setupVersion.id })
      .from(setupVersion)
      .where(eq(setupVersion.setupId, id))
      .orderBy(desc(setupVersion.n))
  ).map((row) => row.id)
  const lines = await versionLines(db, ids)
  return {
    record: standing.record,
    retired: standing.row.retiredAt !== null,
    versions: lines.sort((a, b) => b.n - a.n),
    use: await runsWhere(db, eq(setupVersion.setupId, id)),
    photos: await photosOf(db, { setupId: id }),
  }
}

async function versionLines(db: Connection, ids: string[]): Promise<SetupVersionLine[]> {
  if (ids.length === 0) return []
  const versions = await db.select().from(setupVersion).where(anyOf(setupVersion.id, ids))
  const uses = await db
    .select({ id: run.setupVersionId, count: sql<number>`count(*)::int` })
    .from(run)
    .where(anyOf(run.setupVersionId, ids))
    .groupBy(run.setupVersionId)
  const usesOf = new Map(uses.map((use) => [use.id, use.count]))
  const partsOf = await partLines(db, ids)
  const decisionsOf = await decisionLines(db, ids)
  return versions.map(({ id, n, gapM, reason, createdAt }) => {
    const parts = partsOf.get(id) ?? []
    return {
      id,
      n,
      gapM,
      reason,
      createdAt: createdAt.toISOString(),
      parts,
      runs: usesOf.get(id) ?? 0,
      massKg: massOf(parts),
      warnings: setupWarnings(partsForWarnings(parts)),
      decisions: decisionsOf.get(id) ?? [],
    }
  })
}

/** The parts of set-up versions, in the order of their roles, each with the newest version of its thing. */
async function partLines(db: Connection, versionIds: string[]): Promise<Map<string, SetupPartLine[]>> {
  const parts = await db
    .select({
      setupVersionId: setupPart.setupVersionId,
      role: setupPart.role,
      thingId: thing.id,
      versionId: thingVersion.id,
      n: thingVersion.n,
      name: thing.name,
      properties: thingVersion.properties,
    })
    .from(setupPart)
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .innerJoin(thing, eq(thing.id, thingVersion.thingId))
    .where(anyOf(setupPart.setupVersionId, versionIds))
  const newest = await db
    .selectDistinctOn([thingVersion.thingId], { thingId: thingVersion.thingId, id: thingVersion.id, n: thingVersion.n })
    .from(thingVersion)
    .where(anyOf(thingVersion.thingId, [...new Set(parts.map((part) => part.thingId))]))
    .orderBy(thingVersion.thingId, desc(thingVersion.n))
  const newestOf = new Map(newest.map((one) => [one.thingId, one]))
  const inOrder = parts.sort((a, b) => PART_ROLES.indexOf(a.role) - PART_ROLES.indexOf(b.role))
  const lineOf = ({ setupVersionId: _, ...part }: (typeof parts)[number]): SetupPartLine => {
    const last = newestOf.get(part.thingId)!
    return { ...part, newestN: last.n, newestVersionId: last.id }
  }
  return new Map([...byKey(inOrder, (part) => part.setupVersionId)].map(([id, mine]) => [id, mine.map(lineOf)]))
}

async function decisionLines(
  db: Connection,
  versionIds: string[],
): Promise<Map<string, SetupVersionLine['decisions']>> {
  const rows = await db
    .select({ decision: setupDecision, person: person.name })
    .from(setupDecision)
    .leftJoin(person, eq(person.id, setupDecision.personId))
    .where(anyOf(setupDecision.setupVersionId, versionIds))
  const lineOf = ({ decision: { warning, reason, recordedAt }, person: who }: (typeof rows)[number]) => ({
    warning,
    reason,
    person: who,
    at: recordedAt.toISOString(),
  })
  return new Map([...byKey(rows, (one) => one.decision.setupVersionId)].map(([id, mine]) => [id, mine.map(lineOf)]))
}

function massOf(parts: readonly SetupPartLine[]): SetupVersionLine['massKg'] {
  const mass = (part: SetupPartLine) => (part.properties as PartProperties).massKg
  return {
    total: parts.reduce((sum, part) => sum + (mass(part) ?? 0), 0),
    unweighed: parts.filter((part) => mass(part) === null).map((part) => part.name),
  }
}

export async function recordOf(
  db: Connection,
  id: string,
  lock = false,
): Promise<{ row: typeof setup.$inferSelect; version: SetupVersionLine; record: TypedSetup } | null> {
  const query = db.select().from(setup).where(eq(setup.id, id))
  const [row] = lock ? await query.for('update') : await query
  if (row === undefined) return null
  const [last] = await db
    .select()
    .from(setupVersion)
    .where(eq(setupVersion.setupId, id))
    .orderBy(desc(setupVersion.n))
    .limit(1)
  const [version] = await versionLines(db, [last!.id])
  const fields = {
    ...typedFieldsFrom(SETUP_FIELDS, { gapM: last!.gapM }, last!.gapTyped ? { gapM: last!.gapTyped } : {}),
    name: row.name,
    description: row.description,
    retired: row.retiredAt !== null,
  }
  return {
    row,
    version: version!,
    record: {
      id,
      revision: row.revision,
      units: 'metric',
      personId: null,
      reason: '',
      fields,
      parts: Object.fromEntries(version!.parts.map((part) => [part.role, part.versionId])),
      overrides: {},
    },
  }
}
