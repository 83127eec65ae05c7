/** Things of the kit: listed, read whole, saved as versions, deleted while nothing uses them. */
import { photosOf } from './repository/photos'
import { pricesOf } from './repository/prices'
import { thingRow } from './repository/heads'
import { checkAge } from '../../core/kit/instrumentCorrection'
import type { ThingLine, ThingPage } from '../../shared/kitRecords'
import type { TypedRecord } from '../../shared/record'
import { heatFields, type InstrumentProperties } from '../../shared/thing'
import { typedFieldsFrom } from '../../shared/typedFrom'
import type { Connection } from '../database/connection'
import { checksOf, standingChecks } from './repository/checks'
import { readBy, runsWhere, withThing } from './repository/runRefs'
import {
  runsByInstrument,
  runsByPart,
  runsByThing,
  setupsWith,
  thingRows,
  versionsOfThing,
  type ThingRow,
  type ThingVersionRow,
} from './repository/things'

export async function listThings(db: Connection, nowMs: number): Promise<ThingLine[]> {
  const rows = await thingRows(db)
  const counts = await runsByThing(db)
  const checks = await standingChecks(db)
  return rows
    .map(({ thing: row, version }) => {
      const own = checks.get(row.id) ?? []
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
  const versions = await versionsOfThing(db, id)
  const ids = versions.map((version) => version.id)
  const isInstrument = row.kind === 'instrument'
  const uses = isInstrument ? await runsByInstrument(db, ids) : await runsByPart(db, ids)
  return {
    record,
    kind: row.kind,
    retired: row.retiredAt !== null,
    madeFrom: await nameOf(db, row.madeFromId),
    prices: await pricesOf(db, { thingId: id }),
    setups: await setupsWith(db, id),
    use: await runsWhere(db, isInstrument ? readBy(db, id) : withThing(db, id)),
    versions: versions.map((version) => versionLine(version, uses.get(version.id) ?? 0)),
    checks: isInstrument ? await checksOf(db, id) : [],
    photos: await photosOf(db, { thingId: id }),
  }
}

const versionLine = (
  { id, n, properties, reason, createdAt }: ThingVersionRow,
  runs: number,
): ThingPage['versions'][number] => ({ id, n, properties, reason, createdAt: createdAt.toISOString(), runs })

async function nameOf(db: Connection, id: string | null): Promise<ThingPage['madeFrom']> {
  const row = id === null ? null : await thingRow(db, id)
  return row === null ? null : { id: row.id, name: row.name }
}

export async function recordOf(
  db: Connection,
  id: string,
  lock = false,
): Promise<{ row: ThingRow; version: ThingVersionRow; record: TypedRecord } | null> {
  const row = await thingRow(db, id, lock)
  if (row === null) return null
  const [version] = await versionsOfThing(db, id)
  return { row, version: version!, record: typedThing(row, version!) }
}

function typedThing(row: ThingRow, version: ThingVersionRow): TypedRecord {
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
