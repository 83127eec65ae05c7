/** Places, versioned where what a run rests on changes; and the people who test there. */
import { desc, eq, inArray, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { plainText } from '../../shared/fields'
import type { PlaceLine, PlacePage } from '../../shared/kitRecords'
import { MAX_TEXT } from '../../shared/limits'
import { PLACE_FIELDS, PLACE_HEAT } from '../../shared/place'
import { readRecord, type TypedRecord } from '../../shared/record'
import { isZone } from '../../shared/typedRun'
import { typedFieldsFrom } from '../../shared/typedFrom'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { nowPlace, person, place, placeVersion, run, windSurvey } from '../database/schema'
import { inUse, invalid, invalidAt, saved, type Outcome } from './outcome'
import { deleteRecord, keepHead, saveRecord, usedBy } from './saveRecord'
import { recomputeWhere } from '../runs/recompute'
import { runsWhere } from './runRefs'

type Row = typeof place.$inferSelect
type VersionRow = typeof placeVersion.$inferSelect
const lineOf = (
  row: Row,
  { n, createdAt, altitudeM, stationPressurePa, seaLevelPressurePa, windHeightM }: VersionRow,
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

/** The condition of runs burned there, at any version of it. */
const burnedAt = (db: Connection, id: string) =>
  inArray(run.placeVersionId, db.select({ id: placeVersion.id }).from(placeVersion).where(eq(placeVersion.placeId, id)))

export async function listPlaces(db: Connection): Promise<PlaceLine[]> {
  const rows = await db
    .selectDistinctOn([place.id], { place, version: placeVersion })
    .from(place)
    .innerJoin(placeVersion, eq(placeVersion.placeId, place.id))
    .orderBy(place.id, desc(placeVersion.n))
  const uses = await db
    .select({ id: placeVersion.placeId, count: sql<number>`count(*)::int` })
    .from(run)
    .innerJoin(placeVersion, eq(placeVersion.id, run.placeVersionId))
    .groupBy(placeVersion.placeId)
  return rows
    .map(({ place: row, version }) => lineOf(row, version, uses.find((use) => use.id === row.id)?.count ?? 0))
    .sort((a, b) => (a.altitudeM ?? 0) - (b.altitudeM ?? 0))
}

interface Standing {
  row: Row
  versions: VersionRow[]
  record: TypedRecord
}

async function recordOf(db: Connection, id: string, lock = false): Promise<Standing | null> {
  const query = db.select().from(place).where(eq(place.id, id))
  const [row] = lock ? await query.for('update') : await query
  if (row === undefined) return null
  const versions = await db
    .select()
    .from(placeVersion)
    .where(eq(placeVersion.placeId, id))
    .orderBy(desc(placeVersion.n))
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
  const use = await runsWhere(db, burnedAt(db, id))
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
  await keepHead(tx, place, { id: typed.id, standing }, head)
  if (standing !== null && standing.row.name !== head.name) await recomputeWhere(tx, burnedAt(tx, typed.id))
  const last = standing?.versions[0]
  const heat = Object.fromEntries(PLACE_HEAT.map((key) => [key, values[key] as number | null])) as Record<
    (typeof PLACE_HEAT)[number],
    number | null
  >
  if (last === undefined || PLACE_HEAT.some((key) => last[key] !== heat[key]))
    await tx
      .insert(placeVersion)
      .values({ id: uuidv7(), placeId: typed.id, n: (last?.n ?? 0) + 1, ...heat, typed: typed.fields })
}

export function deletePlace(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, PLACE, id, async (tx, { row: { name } }) => {
    const use = usedBy(await runsWhere(tx, burnedAt(tx, id)), (runs) => `${name} has ${runs}`, '')
    if (use) return use
    const [here] = await tx.select().from(nowPlace).where(eq(nowPlace.placeId, id))
    if (here !== undefined)
      return inUse(`The bench stands at ${name} now. Choose another place in the conditions strip first.`)
    await tx.delete(windSurvey).where(eq(windSurvey.placeId, id))
    await tx.delete(placeVersion).where(eq(placeVersion.placeId, id))
    await tx.delete(place).where(eq(place.id, id))
  })
}

/** Adds a tester; the same id again is one person. */
export async function savePerson(db: Connection, input: unknown): Promise<Outcome<{ id: string; name: string }>> {
  const { id, name } = (input ?? {}) as { id?: unknown; name?: unknown }
  const text = typeof name === 'string' ? name.trim() : ''
  if (!isUuid(typeof id === 'string' ? id : '')) return invalidAt('id', 'The record has no id. Reload and try again.')
  if (text === '' || !plainText('Name', MAX_TEXT.name).isValidSync(text))
    return invalidAt('name', `Name: expected 1 to ${MAX_TEXT.name} characters of plain text.`)
  await db
    .insert(person)
    .values({ id: id as string, name: text })
    .onConflictDoNothing()
  const [row] = await db
    .select({ id: person.id, name: person.name })
    .from(person)
    .where(eq(person.id, id as string))
  return saved(row!)
}
