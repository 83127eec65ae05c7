/** Things are made, changed by new versions, and deleted while nothing rests on them. */
import { and, eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { ThingPage } from '../../shared/kitRecords'
import { readRecord } from '../../shared/record'
import {
  heatFields,
  isThingKind,
  propertiesFrom,
  thingFields,
  type ThingKind,
  type ThingProperties,
} from '../../shared/thing'
import { isUuid } from '../../shared/uuid'
import type { Connection, Database } from '../database/connection'
import { hashOf } from '../database/hash'
import { instrumentCheck, photo, price, thing, thingVersion } from '../database/schema'
import { editOf, inUse, invalid, invalidAt, notFound, saved, type Outcome } from './outcome'
import { runsWhere, usesThing } from './runRefs'
import { findThing, readBy, setupsWith, recordOf } from './things'

/**
 * Hash of what matters to heat; what is not measured does not count, so that a new property changes no old hash. A
 * thing of which nothing was
 * measured is like no other: two bare burners of a kind are two.
 */
function heatHashOf(kind: ThingKind, properties: ThingProperties, id: string): string {
  const known = Object.entries(properties).filter(([, value]) => value !== null)
  return hashOf({
    kind,
    properties: Object.fromEntries(known),
    ...(known.some(([, value]) => typeof value === 'number') ? {} : { id }),
  })
}

/** Saves a new thing or an edit. Only a change that matters to heat makes a new version. */
export async function saveThing(db: Connection, input: unknown): Promise<Outcome<ThingPage>> {
  const kind = (input as { kind?: unknown } | null)?.kind
  if (!isThingKind(kind)) return invalidAt('kind', 'Kind: choose what it is from the list.')
  const read = readRecord(thingFields(kind), input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  return db.transaction(async (tx): Promise<Outcome<ThingPage>> => {
    const standing = await recordOf(tx, typed.id, true)
    if (standing !== null && standing.row.kind !== kind)
      return invalidAt(
        'id',
        `This id belongs to a ${standing.row.kind}, not to a ${kind}. Nothing was saved; reload and try again.`,
      )
    const edit = editOf(standing?.record ?? null, typed, 'thing')
    if (typeof edit !== 'string') return edit
    if (edit === 'known') return saved((await findThing(tx, typed.id))!)
    const madeFromId = (values.madeFromId as string | null) || null
    const loop = await madeFromProblem(tx, { id: typed.id, kind, madeFromId })
    if (loop !== null) return invalidAt('fields.madeFromId', loop)
    const head = {
      name: values.name as string,
      description: values.description as string,
      madeFromId,
      retiredAt: values.retired === true ? (standing?.row.retiredAt ?? new Date()) : null,
    }
    const properties = propertiesFrom(kind, values)
    if (standing === null) await tx.insert(thing).values({ id: typed.id, kind, ...head })
    else
      await tx
        .update(thing)
        .set({ ...head, revision: standing.row.revision + 1 })
        .where(eq(thing.id, typed.id))
    if (
      standing === null ||
      heatHashOf(kind, standing.version.properties, typed.id) !== heatHashOf(kind, properties, typed.id)
    ) {
      const own = Object.fromEntries(heatFields(kind).map(({ key }) => [key, typed.fields[key]!]))
      await tx.insert(thingVersion).values({
        id: uuidv7(),
        thingId: typed.id,
        n: (standing?.version.n ?? 0) + 1,
        properties,
        typed: own,
        heatHash: heatHashOf(kind, properties, typed.id),
        reason: typed.reason,
      })
    }
    return saved((await findThing(tx, typed.id))!)
  })
}

/** A thing can be made from another of its kind, but not, through any others, from itself. */
async function madeFromProblem(
  db: Connection,
  { id, kind, madeFromId }: { id: string; kind: ThingKind; madeFromId: string | null },
): Promise<string | null> {
  const path: string[] = []
  for (let next = madeFromId; next !== null;) {
    if (next === id)
      return path.length === 0
        ? 'Made from: it cannot be made from itself. Choose another, or none.'
        : `Made from: that goes round in a loop (${path.join(', which was made from ')}, which was made from this one). Choose another, or none.`
    const [row] = isUuid(next) ? await db.select().from(thing).where(eq(thing.id, next)) : []
    if (row === undefined || row.kind !== kind)
      return `Made from: this is not a ${kind} of the kit. Choose one from the list.`
    path.push(row.name)
    next = row.madeFromId
  }
  return null
}

export async function deleteThing(db: Database, id: string): Promise<Outcome<null>> {
  return db.transaction(async (tx): Promise<Outcome<null>> => {
    const standing = await recordOf(tx, id, true)
    if (standing === null) return notFound('thing')
    const { name } = standing.row
    const use = await runsWhere(tx, usesThing(tx, id))
    if (use.count > 0)
      return inUse(
        `${name} is in ${use.count} ${use.count === 1 ? 'run' : 'runs'}, and a run keeps what it was burned with. Retire it instead: it is then no longer offered.`,
        use.runs,
      )
    const setups = await setupsWith(tx, id)
    if (setups.length > 0)
      return inUse(
        `${name} is a part of ${setups.map((one) => one.name).join(', ')}. Delete or swap it there first, or retire it.`,
      )
    const read = await runsWhere(tx, readBy(tx, id))
    if (read.count > 0)
      return inUse(
        `${name} read ${read.count} ${read.count === 1 ? 'run' : 'runs'}. Retire it instead: it is then no longer offered.`,
        read.runs,
      )
    const made = await tx.select({ name: thing.name }).from(thing).where(eq(thing.madeFromId, id))
    if (made.length > 0)
      return inUse(`${made.map((one) => one.name).join(', ')} was made from ${name}. Change that first, or retire it.`)
    for (const table of [photo, price, instrumentCheck]) await tx.delete(table).where(eq(table.thingId, id))
    await tx.delete(thingVersion).where(eq(thingVersion.thingId, id))
    await tx.delete(thing).where(and(eq(thing.id, id)))
    return saved(null)
  })
}
