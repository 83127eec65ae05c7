/** Set-ups with their versions, parts and decisions. */
import { desc, eq, inArray, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { SetupPartLine, SetupVersionLine } from '../../../shared/kitRecords'
import { PART_ROLES, type BurnerProperties, type PartRole } from '../../../shared/thing'
import { anyOf } from '../../database/anyOf'
import { byKey } from '../../database/byKey'
import type { Connection } from '../../database/connection'
import {
  person,
  photo,
  run,
  setup,
  setupDecision,
  setupPart,
  setupVersion,
  thing,
  thingVersion,
} from '../../database/schema'

export type SetupRow = typeof setup.$inferSelect
export type SetupVersionRow = typeof setupVersion.$inferSelect

/** Each with the id of its newest version. */
export const setupRows = (db: Connection): Promise<{ setup: SetupRow; versionId: string }[]> =>
  db
    .selectDistinctOn([setup.id], { setup, versionId: setupVersion.id })
    .from(setup)
    .innerJoin(setupVersion, eq(setupVersion.setupId, setup.id))
    .orderBy(setup.id, desc(setupVersion.n))

/** Of one set-up, newest first. */
export const versionsOfSetup = (db: Connection, setupId: string): Promise<SetupVersionRow[]> =>
  db.select().from(setupVersion).where(eq(setupVersion.setupId, setupId)).orderBy(desc(setupVersion.n))

export const versionRows = (db: Connection, ids: readonly string[]): Promise<SetupVersionRow[]> =>
  db.select().from(setupVersion).where(anyOf(setupVersion.id, ids))

/** How many runs each set-up has. */
export async function runsBySetup(db: Connection): Promise<Map<string, number>> {
  const rows = await db
    .select({ id: setupVersion.setupId, count: sql<number>`count(*)::int` })
    .from(run)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .groupBy(setupVersion.setupId)
  return new Map(rows.map((row) => [row.id, row.count]))
}

/** How many runs each of these versions has. */
export async function runsByVersion(db: Connection, versionIds: readonly string[]): Promise<Map<string, number>> {
  const rows = await db
    .select({ id: run.setupVersionId, count: sql<number>`count(*)::int` })
    .from(run)
    .where(anyOf(run.setupVersionId, versionIds))
    .groupBy(run.setupVersionId)
  return new Map(rows.map((row) => [row.id, row.count]))
}

/** The parts of set-up versions, in the order of their roles, each with the newest version of its thing. */
export async function partLines(db: Connection, versionIds: readonly string[]): Promise<Map<string, SetupPartLine[]>> {
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

/** The burner of each version of each set-up. */
export async function burnersOfVersions(db: Connection): Promise<Map<string, BurnerProperties>> {
  const rows = await db
    .select({ id: setupPart.setupVersionId, properties: thingVersion.properties })
    .from(setupPart)
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .where(eq(setupPart.role, 'burner'))
  return new Map(rows.map((one) => [one.id, one.properties as BurnerProperties]))
}

export async function decisionLines(
  db: Connection,
  versionIds: readonly string[],
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

/** A version of a thing, and what kind of thing it is of. */
export async function thingVersionOf(
  db: Connection,
  id: string,
): Promise<{ version: typeof thingVersion.$inferSelect; kind: string } | null> {
  const [row] = await db
    .select({ version: thingVersion, kind: thing.kind })
    .from(thingVersion)
    .innerJoin(thing, eq(thing.id, thingVersion.thingId))
    .where(eq(thingVersion.id, id))
  return row ?? null
}

/** @returns its id */
export async function insertSetupVersion(
  tx: Connection,
  version: Omit<typeof setupVersion.$inferInsert, 'id'>,
  parts: readonly { role: PartRole; thingVersionId: string }[],
): Promise<string> {
  const id = uuidv7()
  await tx.insert(setupVersion).values({ id, ...version })
  await tx
    .insert(setupPart)
    .values(parts.map(({ role, thingVersionId }) => ({ setupVersionId: id, role, thingVersionId })))
  return id
}

export async function insertDecisions(
  tx: Connection,
  setupVersionId: string,
  decisions: readonly { warning: string; reason: string; personId: string | null }[],
): Promise<void> {
  if (decisions.length > 0)
    await tx.insert(setupDecision).values(decisions.map((one) => ({ id: uuidv7(), setupVersionId, ...one })))
}

export async function removeSetup(tx: Connection, id: string): Promise<void> {
  const versions = tx.select({ id: setupVersion.id }).from(setupVersion).where(eq(setupVersion.setupId, id))
  await tx.delete(photo).where(eq(photo.setupId, id))
  await tx.delete(setupDecision).where(inArray(setupDecision.setupVersionId, versions))
  await tx.delete(setupPart).where(inArray(setupPart.setupVersionId, versions))
  await tx.delete(setupVersion).where(eq(setupVersion.setupId, id))
  await tx.delete(setup).where(eq(setup.id, id))
}
