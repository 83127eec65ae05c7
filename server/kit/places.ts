/** Places, versioned where what a run rests on changes; and the people who test there. */
import { v7 as uuidv7 } from 'uuid'
import { plainText } from '../../shared/fields'
import type { PlaceLine, PlacePage } from '../../shared/kitRecords'
import { MAX_TEXT } from '../../shared/limits'
import { PLACE_FIELDS, PLACE_HEAT } from '../../shared/place'
import { readRecord, type TypedRecord } from '../../shared/record'
import { isZone } from '../../shared/zone'
import { typedFieldsFrom } from '../../shared/typedFrom'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { recomputeWhere } from '../runs/recompute'
import { inUse, invalid, invalidAt, saved, type Outcome } from './outcome'
import { keepPlaceRow, placeRow } from './repository/heads'
import { findPerson, insertPerson, type Person } from './repository/people'
import {
  insertPlaceVersion,
  isNowAt,
  placeRows,
  placeVersions,
  removePlace,
  runsByPlace,
  type PlaceRow,
  type PlaceVersionRow,
} from './repository/places'
import { atPlace, runsWhere } from './repository/runRefs'
import { deleteRecord, saveRecord, usedBy } from './saveRecord'

const lineOf = (
  row: PlaceRow,
  { n, createdAt, altitudeM, stationPressurePa, seaLevelPressurePa, windHeightM }: PlaceVersionRow,
  runs: number,
): PlaceLine => ({
  id: row.id,
  name: row.name,
  zone: row.zone,
  n,
  createdAt: createdAt.toISOString(),
  altitudeM,
  stationPressurePa,
  seaLevelPressurePa,
  windHeightM,
  runs,
})

export async function listPlaces(db: Connection): Promise<PlaceLine[]> {
  const rows = await placeRows(db)
  const uses = await runsByPlace(db)
  return rows
    .map(({ place: row, version }) => lineOf(row, version, uses.get(row.id) ?? 0))
    .sort((a, b) => (a.altitudeM ?? 0) - (b.altitudeM ?? 0))
}

interface Standing {
  row: PlaceRow
  versions: PlaceVersionRow[]
  record: TypedRecord
}

async function recordOf(db: Connection, id: string, lock = false): Promise<Standing | null> {
  const row = await placeRow(db, id, lock)
  if (row === null) return null
  const versions = await placeVersions(db, id)
  const fields = {
    ...typedFieldsFrom(PLACE_FIELDS, { ...versions[0]! }, versions[0]!.typed),
    name: row.name,
    zone: row.zone,
  }
  return { row, versions, record: { id, revision: row.revision, units: 'metric', personId: null, reason: '', fields } }
}

export async function findPlace(db: Connection, id: string): Promise<PlacePage | null> {
  const found = await recordOf(db, id)
  if (found === null) return null
  const use = await runsWhere(db, atPlace(db, id))
  return {
    record: found.record,
    line: lineOf(found.row, found.versions[0]!, use.count),
    versions: found.versions.map((version) => lineOf(found.row, version, use.count)),
    use,
  }
}

const PLACE = { what: 'place', standing: recordOf, page: findPlace }

export async function savePlace(db: Connection, input: unknown): Promise<Outcome<PlacePage>> {
  const read = readRecord(PLACE_FIELDS, input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  if (!isZone(values.zone as string))
    return invalidAt('fields.zone', `Time zone: read "${values.zone as string}", expected one such as Europe/Lisbon.`)
  if (values.seaLevelPressurePa !== null && values.altitudeM === null)
    return invalidAt(
      'fields.altitudeM',
      'Altitude: read nothing, but a pressure reduced to sea level says nothing without it. Type it.',
    )
  return saveRecord(db, PLACE, { typed }, (tx, standing) => keepPlace(tx, { typed, values, standing }))
}

async function keepPlace(
  tx: Connection,
  { typed, values, standing }: { typed: TypedRecord; values: Record<string, unknown>; standing: Standing | null },
): Promise<undefined> {
  const head = { name: values.name as string, zone: values.zone as string }
  await keepPlaceRow(tx, { id: typed.id, standing }, head)
  if (standing !== null && standing.row.name !== head.name) await recomputeWhere(tx, atPlace(tx, typed.id))
  const last = standing?.versions[0]
  const heat = Object.fromEntries(PLACE_HEAT.map((key) => [key, values[key] as number | null])) as Record<
    (typeof PLACE_HEAT)[number],
    number | null
  >
  if (last === undefined || PLACE_HEAT.some((key) => last[key] !== heat[key]))
    await insertPlaceVersion(tx, {
      id: uuidv7(),
      placeId: typed.id,
      n: (last?.n ?? 0) + 1,
      ...heat,
      typed: typed.fields,
    })
}

export function deletePlace(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, PLACE, id, async (tx, { row: { name } }) => {
    const use = usedBy(await runsWhere(tx, atPlace(tx, id)), (runs) => `${name} has ${runs}`, '')
    if (use) return use
    if (await isNowAt(tx, id))
      return inUse(`The bench stands at ${name} now. Choose another place in the conditions strip first.`)
    await removePlace(tx, id)
  })
}

/** Adds a tester; the same id again is one person. */
export async function savePerson(db: Connection, input: unknown): Promise<Outcome<Person>> {
  const { id, name } = (input ?? {}) as { id?: unknown; name?: unknown }
  const text = typeof name === 'string' ? name.trim() : ''
  if (!isUuid(typeof id === 'string' ? id : '')) return invalidAt('id', 'The record has no id. Reload and try again.')
  if (text === '' || !plainText('Name', MAX_TEXT.name).isValidSync(text))
    return invalidAt('name', `Name: expected 1 to ${MAX_TEXT.name} characters of plain text.`)
  await insertPerson(db, { id: id as string, name: text })
  return saved((await findPerson(db, id as string))!)
}
