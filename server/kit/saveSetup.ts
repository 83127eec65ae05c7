/** Set-ups are made, changed by new versions, and deleted while nothing was burned on them. */
import { eq, inArray } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { setupWarnings } from '../../core/kit/setupWarnings'
import type { SetupPage, SetupVersionLine, TypedSetup } from '../../shared/kitRecords'
import { readRecord, type TypedRecord } from '../../shared/record'
import { partsForWarnings } from '../../shared/setupParts'
import { PART_ROLES, SETUP_FIELDS, type PartRole } from '../../shared/thing'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { hashOf } from '../database/hash'
import { photo, run, setup, setupDecision, setupPart, setupVersion, thing, thingVersion } from '../database/schema'
import { editOf, inUse, invalid, invalidAt, notFound, saved, type Outcome } from './outcome'
import { recomputeWhere } from '../runs/recompute'
import { runsWhere } from './runRefs'
import { findSetup, recordOf } from './setups'

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
