/** Set-ups: named combinations of things, versioned where what matters to heat changes. */
import { desc, eq, inArray, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { setupWarnings } from '../../core/kit/setupWarnings'
import type { SetupLine, SetupPage, SetupPartLine, SetupVersionLine, TypedSetup } from '../../shared/kitRecords'
import { readRecord, type TypedRecord } from '../../shared/record'
import { partsForWarnings } from '../../shared/setupParts'
import { PART_ROLES, SETUP_FIELDS, type PartProperties, type PartRole } from '../../shared/thing'
import { typedFieldsFrom } from '../../shared/typedFrom'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { anyOf } from '../database/anyOf'
import { byKey } from '../database/byKey'
import { hashOf } from '../database/hash'
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
} from '../database/schema'
import { editOf, inUse, invalid, invalidAt, notFound, saved, type Outcome } from './outcome'
import { recomputeWhere } from '../runs/recompute'
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
    .where(anyOf(setupPart.setupVersionId, ids))
  const newest = await db
    .selectDistinctOn([thingVersion.thingId], { thingId: thingVersion.thingId, id: thingVersion.id, n: thingVersion.n })
    .from(thingVersion)
    .where(anyOf(thingVersion.thingId, [...new Set(parts.map((part) => part.thingId))]))
    .orderBy(thingVersion.thingId, desc(thingVersion.n))
  const decisions = await db
    .select({ decision: setupDecision, person: person.name })
    .from(setupDecision)
    .leftJoin(person, eq(person.id, setupDecision.personId))
    .where(anyOf(setupDecision.setupVersionId, ids))
  const uses = await db
    .select({ id: run.setupVersionId, count: sql<number>`count(*)::int` })
    .from(run)
    .where(anyOf(run.setupVersionId, ids))
    .groupBy(run.setupVersionId)
  const partsOf = byKey(parts, (part) => part.setupVersionId)
  const newestOf = new Map(newest.map((one) => [one.thingId, one]))
  const usesOf = new Map(uses.map((use) => [use.id, use.count]))
  const decisionsOf = byKey(decisions, (one) => one.decision.setupVersionId)
  return versions.map(({ id, n, gapM, reason, createdAt }) => {
    const mine = partsOf.get(id) ?? []
    const own: SetupPartLine[] = PART_ROLES.flatMap((role) => mine.filter((part) => part.role === role)).map(
      ({ setupVersionId: _, ...part }) => {
        const last = newestOf.get(part.thingId)!
        return { ...part, newestN: last.n, newestVersionId: last.id }
      },
    )
    return {
      id,
      n,
      gapM,
      reason,
      createdAt: createdAt.toISOString(),
      parts: own,
      runs: usesOf.get(id) ?? 0,
      massKg: massOf(own),
      warnings: setupWarnings(partsForWarnings(own)),
      decisions: (decisionsOf.get(id) ?? []).map(({ decision, person: who }) => ({
        warning: decision.warning,
        reason: decision.reason,
        person: who,
        at: decision.recordedAt.toISOString(),
      })),
    }
  })
}

function massOf(parts: readonly SetupPartLine[]): SetupVersionLine['massKg'] {
  const mass = (part: SetupPartLine) => (part.properties as PartProperties).massKg
  return {
    total: parts.reduce((sum, part) => sum + (mass(part) ?? 0), 0),
    unweighed: parts.filter((part) => mass(part) === null).map((part) => part.name),
  }
}

async function recordOf(
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

/**
 * Saves a new set-up or an edit; other parts or another gap make a new version, with what is dangerous explained and a
 * reason asked for.
 */
export async function saveSetup(db: Connection, input: unknown): Promise<Outcome<SetupPage>> {
  const read = readRecord(SETUP_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  const { parts, overrides } = input as Partial<TypedSetup>
  return db.transaction(async (tx): Promise<Outcome<SetupPage>> => {
    const standing = await recordOf(tx, typed.id, true)
    const chosen = await chosenParts(tx, parts)
    if ('problem' in chosen) return invalidAt(chosen.path, chosen.problem)
    // The parts are compared with the fields: two pages that swap different parts differ.
    const asFields = (record: TypedSetup): TypedRecord => ({
      ...record,
      fields: { ...record.fields, ...record.parts } as TypedRecord['fields'],
    })
    const sent = asFields({
      ...typed,
      parts: Object.fromEntries(chosen.parts.map((part) => [part.role, part.thingVersionId])),
      overrides: {},
    })
    const edit = editOf(standing === null ? null : asFields(standing.record), sent, 'set-up')
    if (typeof edit !== 'string') return edit.theirs === undefined ? edit : { ...edit, theirs: standing!.record }
    if (edit === 'known') return saved((await findSetup(tx, typed.id))!)
    const unanswered = setupWarnings(partsForWarnings(chosen.parts)).filter(
      (warning) =>
        !overrides?.[warning.code]?.trim() &&
        !standing?.version.decisions.some(
          (one) => one.warning === warning.code && sameParts(standing.version, chosen.parts),
        ),
    )
    if (unanswered.length > 0) return invalid(unanswered.map(({ code, text }) => ({ path: `overrides.${code}`, text })))
    const head = {
      name: values.name as string,
      description: values.description as string,
      retiredAt: values.retired === true ? (standing?.row.retiredAt ?? new Date()) : null,
    }
    if (standing === null) await tx.insert(setup).values({ id: typed.id, ...head })
    else
      await tx
        .update(setup)
        .set({ ...head, revision: standing.row.revision + 1 })
        .where(eq(setup.id, typed.id))
    if (standing !== null && standing.row.name !== head.name)
      await recomputeWhere(
        tx,
        inArray(
          run.setupVersionId,
          tx.select({ id: setupVersion.id }).from(setupVersion).where(eq(setupVersion.setupId, typed.id)),
        ),
      )
    const gapM = values.gapM as number | null
    if (standing === null || standing.version.gapM !== gapM || !sameParts(standing.version, chosen.parts)) {
      const versionId = await insertVersion(tx, {
        setupId: typed.id,
        n: (standing?.version.n ?? 0) + 1,
        gapM,
        gapTyped: typed.fields.gapM as string,
        reason: typed.reason,
        parts: chosen.parts,
      })
      const reasons = Object.entries(overrides ?? {}).filter(([, reason]) => reason.trim())
      if (reasons.length > 0)
        await tx.insert(setupDecision).values(
          reasons.map(([warning, reason]) => ({
            id: uuidv7(),
            setupVersionId: versionId,
            warning,
            reason: reason.trim(),
            personId: typed.personId,
          })),
        )
    }
    return saved((await findSetup(tx, typed.id))!)
  })
}

interface ChosenPart {
  role: PartRole
  thingVersionId: string
  heatHash: string
  properties: (typeof thingVersion.$inferSelect)['properties']
}
const sameParts = (version: SetupVersionLine, parts: readonly ChosenPart[]) =>
  version.parts.length === parts.length &&
  parts.every((part) => version.parts.some((one) => one.role === part.role && one.versionId === part.thingVersionId))

/** The parts by role, each a version of a thing of that very kind. */
async function chosenParts(
  db: Connection,
  parts: TypedSetup['parts'] | undefined,
): Promise<{ parts: ChosenPart[] } | { path: string; problem: string }> {
  const chosen: ChosenPart[] = []
  for (const role of PART_ROLES) {
    const id = parts?.[role]
    if (!id) continue
    const [row] = isUuid(id)
      ? await db
          .select({ version: thingVersion, kind: thing.kind })
          .from(thingVersion)
          .innerJoin(thing, eq(thing.id, thingVersion.thingId))
          .where(eq(thingVersion.id, id))
      : []
    if (row === undefined)
      return { path: `parts.${role}`, problem: `This ${role} is not known here. Choose one from the list.` }
    if (row.kind !== role)
      return { path: `parts.${role}`, problem: `That is a ${row.kind}, not a ${role}. Choose one from the list.` }
    chosen.push({ role, thingVersionId: id, heatHash: row.version.heatHash, properties: row.version.properties })
  }
  return chosen.some((part) => part.role === 'burner')
    ? { parts: chosen }
    : { path: 'parts.burner', problem: 'Burner: read nothing, expected a burner. Choose one.' }
}

/** The heat hash of a set-up: its gap, and the hashes of its parts. */
const setupHeatHash = (gapM: number | null, parts: readonly { role: PartRole; heatHash: string }[]): string =>
  hashOf({
    gapM,
    parts: PART_ROLES.flatMap((role) =>
      parts.filter((part) => part.role === role).map((part) => [role, part.heatHash]),
    ),
  })

async function insertVersion(
  db: Connection,
  {
    setupId,
    n,
    gapM,
    gapTyped,
    reason,
    parts,
  }: { setupId: string; n: number; gapM: number | null; gapTyped: string; reason: string; parts: ChosenPart[] },
): Promise<string> {
  const id = uuidv7()
  await db.insert(setupVersion).values({ id, setupId, n, gapM, gapTyped, reason, heatHash: setupHeatHash(gapM, parts) })
  await db
    .insert(setupPart)
    .values(parts.map(({ role, thingVersionId }) => ({ setupVersionId: id, role, thingVersionId })))
  return id
}

export async function deleteSetup(db: Database, id: string): Promise<Outcome<null>> {
  return db.transaction(async (tx): Promise<Outcome<null>> => {
    const standing = await recordOf(tx, id, true)
    if (standing === null) return notFound('set-up')
    const use = await runsWhere(tx, eq(setupVersion.setupId, id))
    if (use.count > 0)
      return inUse(
        `${standing.row.name} has ${use.count} ${use.count === 1 ? 'run' : 'runs'}, and a run keeps what it was burned with. Retire it instead: it is then no longer offered.`,
        use.runs,
      )
    const versions = tx.select({ id: setupVersion.id }).from(setupVersion).where(eq(setupVersion.setupId, id))
    await tx.delete(photo).where(eq(photo.setupId, id))
    await tx.delete(setupDecision).where(inArray(setupDecision.setupVersionId, versions))
    await tx.delete(setupPart).where(inArray(setupPart.setupVersionId, versions))
    await tx.delete(setupVersion).where(eq(setupVersion.setupId, id))
    await tx.delete(setup).where(eq(setup.id, id))
    return saved(null)
  })
}
