/** Set-ups are made, changed by new versions, and deleted while nothing was burned on them. */
import { setupWarnings } from '../../core/kit/setupWarnings'
import type { SetupPage, SetupVersionLine, TypedSetup } from '../../shared/kitRecords'
import { readRecord, type TypedRecord } from '../../shared/record'
import { readOverrides } from '../../shared/overrides'
import { partsForWarnings } from '../../shared/setupParts'
import { PART_ROLES, SETUP_FIELDS, type PartRole, type ThingProperties } from '../../shared/thing'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { hashOf } from '../database/hash'
import { recomputeWhere } from '../runs/recompute'
import { invalid, invalidAt, type Outcome } from './outcome'
import { keepSetupRow } from './repository/heads'
import { onSetup, runsWhere } from './repository/runRefs'
import { insertDecisions, insertSetupVersion, removeSetup, thingVersionOf } from './repository/setups'
import { deleteRecord, retiredSince, saveRecord, usedBy } from './saveRecord'
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
    await keepSetupRow(tx, { id: typed.id, standing }, head)
    if (standing !== null && standing.row.name !== name) await recomputeWhere(tx, onSetup(tx, typed.id))
    const gapM = values.gapM as number | null
    if (standing !== null && standing.version.gapM === gapM && sameParts(standing.version, chosen.parts)) return
    const n = (standing?.version.n ?? 0) + 1
    const version = {
      setupId: typed.id,
      n,
      gapM,
      gapTyped: typed.fields.gapM as string,
      reason: typed.reason,
      heatHash: setupHeatHash(gapM, chosen.parts),
    }
    const versionId = await insertSetupVersion(tx, version, chosen.parts)
    await insertDecisions(tx, versionId, decisionsFrom(overrides, typed.personId))
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

/** Why it is burned so all the same, by warning. */
const decisionsFrom = (overrides: Record<string, string>, personId: string | null) =>
  Object.entries(overrides)
    .map(([warning, reason]) => ({ warning, reason: reason.trim(), personId }))
    .filter(({ reason }) => reason !== '')

interface ChosenPart {
  role: PartRole
  thingVersionId: string
  heatHash: string
  properties: ThingProperties
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
    const row = isUuid(id) ? await thingVersionOf(db, id) : null
    if (row === null)
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

export function deleteSetup(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, SETUP, id, async (tx, { row: { name } }) => {
    const use = usedBy(
      await runsWhere(tx, onSetup(tx, id)),
      (runs) => `${name} has ${runs}, and a run keeps what it was burned with`,
    )
    if (use) return use
    await removeSetup(tx, id)
  })
}
