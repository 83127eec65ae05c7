/** Things are made, changed by new versions, and deleted while nothing rests on them. */
import { v7 as uuidv7 } from 'uuid'
import type { ThingPage } from '../../shared/kitRecords'
import { readRecord, type TypedRecord } from '../../shared/record'
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
import { inUse, invalid, invalidAt, type Outcome, type Refused } from './outcome'
import { keepThingRow, thingRow } from './repository/heads'
import { readBy, runsWhere, withThing } from './repository/runRefs'
import { insertThingVersion, madeFrom, removeThing, setupsWith, type ThingVersionRow } from './repository/things'
import { deleteRecord, retiredSince, saveRecord, usedBy } from './saveRecord'
import { findThing, recordOf } from './things'

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

const THING = { what: 'thing', standing: recordOf, page: findThing }

/** Saves a new thing or an edit. Only a change that matters to heat makes a new version. */
export async function saveThing(db: Connection, input: unknown): Promise<Outcome<ThingPage>> {
  const kind = (input as { kind?: unknown } | null)?.kind
  if (!isThingKind(kind)) return invalidAt('kind', 'Kind: choose what it is from the list.')
  const read = readRecord(thingFields(kind), input)
  if (!read.ok) return invalid(read.problems)
  const { typed, values } = read
  return saveRecord(db, THING, { typed }, async (tx, standing) => {
    if (standing !== null && standing.row.kind !== kind)
      return invalidAt(
        'id',
        `This id belongs to a ${standing.row.kind}, not to a ${kind}. Nothing was saved; reload and try again.`,
      )
    const madeFromId = (values.madeFromId as string | null) || null
    const loop = await madeFromProblem(tx, { id: typed.id, kind, madeFromId })
    if (loop !== null) return invalidAt('fields.madeFromId', loop)
    await keepThingRow(
      tx,
      { id: typed.id, standing },
      {
        kind,
        name: values.name as string,
        description: values.description as string,
        madeFromId,
        retiredAt: retiredSince(values, standing),
      },
    )
    await keepVersion(tx, { kind, typed, properties: propertiesFrom(kind, values), last: standing?.version ?? null })
  })
}

/** A new version where what matters to heat changed. */
async function keepVersion(
  tx: Connection,
  {
    kind,
    typed: { id, fields, reason },
    properties,
    last,
  }: {
    kind: ThingKind
    typed: TypedRecord
    properties: ThingProperties
    last: ThingVersionRow | null
  },
): Promise<void> {
  const heatHash = heatHashOf(kind, properties, id)
  if (last !== null && heatHashOf(kind, last.properties, id) === heatHash) return
  const own = Object.fromEntries(heatFields(kind).map(({ key }) => [key, fields[key]!]))
  const n = (last?.n ?? 0) + 1
  await insertThingVersion(tx, { id: uuidv7(), thingId: id, n, properties, typed: own, heatHash, reason })
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
    const row = isUuid(next) ? await thingRow(db, next) : null
    if (row === null || row.kind !== kind)
      return `Made from: this is not a ${kind} of the kit. Choose one from the list.`
    path.push(row.name)
    next = row.madeFromId
  }
  return null
}

export function deleteThing(db: Database, id: string): Promise<Outcome<null>> {
  return deleteRecord(db, THING, id, async (tx, { row: { name } }) => {
    const refused = await restingOn(tx, id, name)
    if (refused) return refused
    await removeThing(tx, id)
  })
}

/** The refusal where runs, set-ups or other things rest on it. */
async function restingOn(tx: Connection, id: string, name: string): Promise<Refused | undefined> {
  const burned = usedBy(
    await runsWhere(tx, withThing(tx, id)),
    (runs) => `${name} is in ${runs}, and a run keeps what it was burned with`,
  )
  if (burned) return burned
  const names = (rows: readonly { name: string }[]) => rows.map((one) => one.name).join(', ')
  const setups = await setupsWith(tx, id)
  if (setups.length > 0)
    return inUse(`${name} is a part of ${names(setups)}. Delete or swap it there first, or retire it.`)
  const read = usedBy(await runsWhere(tx, readBy(tx, id)), (runs) => `${name} read ${runs}`)
  if (read) return read
  const made = await madeFrom(tx, id)
  return made.length > 0 ? inUse(`${names(made)} was made from ${name}. Change that first, or retire it.`) : undefined
}
