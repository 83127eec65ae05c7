/** Set-ups: named combinations of things, versioned where what matters to heat changes. */
import { photosOf } from './repository/photos'
import { setupRow } from './repository/heads'
import { setupWarnings } from '../../core/kit/setupWarnings'
import type { SetupLine, SetupPage, SetupPartLine, SetupVersionLine, TypedSetup } from '../../shared/kitRecords'
import { partsForWarnings } from '../../shared/setupParts'
import { SETUP_FIELDS, type PartProperties } from '../../shared/thing'
import { typedFieldsFrom } from '../../shared/typedFrom'
import type { Connection } from '../database/connection'
import { onSetup, runsWhere } from './repository/runRefs'
import {
  decisionLines,
  partLines,
  runsBySetup,
  runsByVersion,
  setupRows,
  versionRows,
  versionsOfSetup,
  type SetupRow,
  type SetupVersionRow,
} from './repository/setups'

/** Newest versions, by name. */
export async function listSetups(db: Connection): Promise<SetupLine[]> {
  const rows = await setupRows(db)
  const versions = await versionRows(
    db,
    rows.map((row) => row.versionId),
  )
  const lines = new Map((await versionLines(db, versions)).map((line) => [line.id, line]))
  const uses = await runsBySetup(db)
  return rows
    .map(({ setup: { id, name, description, retiredAt }, versionId }) => ({
      id,
      name,
      description,
      retired: retiredAt !== null,
      runs: uses.get(id) ?? 0,
      version: lines.get(versionId)!,
    }))
    .sort((a, b) => a.name.localeCompare(b.name))
}

export async function findSetup(db: Connection, id: string): Promise<SetupPage | null> {
  const standing = await recordOf(db, id)
  if (standing === null) return null
  return {
    record: standing.record,
    retired: standing.row.retiredAt !== null,
    versions: await versionLines(db, await versionsOfSetup(db, id)),
    use: await runsWhere(db, onSetup(db, id)),
    photos: await photosOf(db, { setupId: id }),
  }
}

/** In the order given. */
async function versionLines(db: Connection, versions: readonly SetupVersionRow[]): Promise<SetupVersionLine[]> {
  const ids = versions.map((version) => version.id)
  if (ids.length === 0) return []
  const usesOf = await runsByVersion(db, ids)
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
): Promise<{ row: SetupRow; version: SetupVersionLine; record: TypedSetup } | null> {
  const row = await setupRow(db, id, lock)
  if (row === null) return null
  const [last] = await versionsOfSetup(db, id)
  const [version] = await versionLines(db, [last!])
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
