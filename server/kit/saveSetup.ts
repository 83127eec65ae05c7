/** Set-ups are made, changed by new versions, and deleted while nothing was burned on them. */
import { eq, inArray } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { setupWarnings } from '../../core/kit/setupWarnings'
import type { SetupPage, SetupVersionLine, TypedSetup } from '../../shared/kitRecords'
import { readRecord, type TypedRecord } from '../../shared/record'
import { readOverrides } from '../../shared/overrides'
import { partsForWarnings } from '../../shared/setupParts'
import { PART_ROLES, SETUP_FIELDS, type PartRole } from '../../shared/thing'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { hashOf } from '../database/hash'
import { photo, run, setup, setupDecision, setupPart, setupVersion, thing, thingVersion } from '../database/schema'
import { invalid, invalidAt, type Outcome } from './outcome'
import { deleteRecord, keepHead, retiredSince, saveRecord, usedBy } from './saveRecord'
import { recomputeWhere } from '../runs/recompute'
import { runsWhere } from './runRefs'
import { findSetup, recordOf } from './setups'

const SETUP = { what: 'set-up', standing: recordOf, page: findSetup }

/**
 * Saves a new set-up or an edit; other parts or another gap make a new version, with what is dangerous explained and a
 * reason asked for.
 */
export async function saveSetup(db: Connection, input: unknown): Promise<Outcome<SetupPage>> {
  const read = readRecord(SETUP_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  const reasons = readOverrides(input)
  if (!reasons.ok) return invalid(reasons.problems)
  const { overrides } = reasons
  const chosen = await chosenParts(db, (input as Partial<TypedSetup>).parts)
  if ('problem' in chosen) return invalidAt(chosen.path, chosen.problem)
  const versionIds = Object.fromEntries(chosen.parts.map((part) => [part.role, part.thingVersionId]))
  const sent = { ...typed, parts: versionIds, overrides: {} }
  return saveRecord(db, SETUP, { typed: sent, compared: withParts }, async (tx, standing) => {
    const answered = answeredIn(standing?.version, chosen.parts)
    const unanswered = setupWarnings(partsForWarnings(chosen.parts)).filter(
      ({ code }) => !overrides[code]?.trim() && !answered.includes(code),
    )
    if (unanswered.length > 0) return invalid(unanswered.map(({ code, text }) => ({ path: `overrides.${code}`, text })))
    const name = values.name as string
    const head = { name, description: values.description as string, retiredAt: retiredSince(values, standing) }
    await keepHead(tx, setup, { id: typed.id, standing }, head)
    if (standing !== null && standing.row.name !== name)
      await recomputeWhere(tx, inArray(run.setupVersionId, versionsOf(tx, typed.id)))
    const gapM = values.gapM as number | null
    if (standing !== null && standing.version.gapM === gapM && sameParts(standing.version, chosen.parts)) return
    const n = (standing?.version.n ?? 0) + 1
    const versionId = await insertVersion(tx, { typed, n, gapM, parts: chosen.parts })
    await keepDecisions(tx, { versionId, overrides, personId: typed.personId })
  })
}

/** The parts are compared with the fields: two pages that swap different parts differ. */
const withParts = (record: TypedRecord): TypedRecord => ({
  ...record,
  fields: { ...record.fields, ...(record as TypedSetup).parts } as TypedRecord['fields'],
})

/** The warnings that were decided for these very parts. */
const answeredIn = (version: SetupVersionLine | undefined, parts: readonly ChosenPart[]): string[] =>
  version !== undefined && sameParts(version, parts) ? version.decisions.map((one) => one.warning) : []

const versionsOf = (tx: Connection, setupId: string) =>
  tx.select({ id: setupVersion.id }).from(setupVersion).where(eq(setupVersion.setupId, setupId))

/** Why it is burned so all the same, by warning. */
async function keepDecisions(
  tx: Connection,
  { versionId, overrides, personId }: { versionId: string; overrides: Record<string, string>; personId: string | null },
): Promise<void> {
  const reasons = Object.entries(overrides).filter(([, reason]) => reason.trim())
  if (reasons.length === 0) return
  await tx.insert(setupDecision).values(
    reasons.map(([warning, reason]) => ({
      id: uuidv7(),
      setupVersionId: versionId,
      warning,
      reason: reason.trim(),
      personId,
    })),
  )
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
  { typed, n, gapM, parts }: { typed: TypedRecord; n: number; gapM: number | null; parts: ChosenPart[] },
): Promise<string> {
  const id = uuidv7()
  await db.insert(setupVersion).values({
    id,
    setupId: typed.id,
    n,
    gapM,
    gapTyped: typed.fields.gapM as string,
    reason: typed.reason,
    heatHash: setupHeatHash(gapM, parts),
  })
  await db
    .insert(setupPart)
    .values(parts.map(({ role, thingVersionId }) => ({ setupVersionId: id, role, thingVersionId })))
  return id
}

export function deleteSetup(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, SETUP, id, async (tx, { row: { name } }) => {
    const use = usedBy(
      await runsWhere(tx, eq(setupVersion.setupId, id)),
      (runs) => `${name} has ${runs}, and a run keeps what it was burned with`,
    )
    if (use) return use
    const versions = versionsOf(tx, id)
    await tx.delete(photo).where(eq(photo.setupId, id))
    await tx.delete(setupDecision).where(inArray(setupDecision.setupVersionId, versions))
    await tx.delete(setupPart).where(inArray(setupPart.setupVersionId, versions))
    await tx.delete(setupVersion).where(eq(setupVersion.setupId, id))
    await tx.delete(setup).where(eq(setup.id, id))
  })
}
