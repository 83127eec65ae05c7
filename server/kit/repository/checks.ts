/** Checks of instruments. */
import { and, desc, eq } from 'drizzle-orm'
import type { CheckLine } from '../../../shared/kitRecords'
import type { InstrumentProperties } from '../../../shared/thing'
import { byKey } from '../../database/byKey'
import type { Connection } from '../../database/connection'
import { instrumentCheck, person, thing, thingVersion } from '../../database/schema'

/** Newest first, withdrawn ones too. */
export async function checksOf(db: Connection, thingId: string): Promise<CheckLine[]> {
  const rows = await db
    .select({ check: instrumentCheck, person: person.name })
    .from(instrumentCheck)
    .leftJoin(person, eq(person.id, instrumentCheck.personId))
    .where(eq(instrumentCheck.thingId, thingId))
    .orderBy(desc(instrumentCheck.at))
  return rows.map(({ check: { id, kind, reading, truth, typed, truthTyped, note, withdrawn, at }, person: who }) => ({
    id,
    kind,
    reading,
    truth,
    typed,
    truthTyped,
    note,
    withdrawn,
    atMs: at.getTime(),
    person: who,
  }))
}

/** Those that were not withdrawn, by their instrument. */
export async function standingChecks(db: Connection) {
  const rows = await db.select().from(instrumentCheck).where(eq(instrumentCheck.withdrawn, false))
  return byKey(
    rows.map((check) => ({ ...check, atMs: check.at.getTime() })),
    (check) => check.thingId,
  )
}

/** The same id again is one check. */
export async function insertCheck(db: Connection, row: typeof instrumentCheck.$inferInsert): Promise<void> {
  await db.insert(instrumentCheck).values(row).onConflictDoNothing()
}

/** False: there is none of this id. */
export async function markWithdrawn(db: Connection, thingId: string, checkId: string): Promise<boolean> {
  const rows = await db
    .update(instrumentCheck)
    .set({ withdrawn: true })
    .where(and(eq(instrumentCheck.id, checkId), eq(instrumentCheck.thingId, thingId)))
    .returning({ id: instrumentCheck.id })
  return rows.length > 0
}

/** The newest version of an instrument; null: there is none of this id. */
export async function newestInstrument(
  db: Connection,
  thingId: string,
): Promise<{ versionId: string; properties: InstrumentProperties } | null> {
  const [row] = await db
    .select({ versionId: thingVersion.id, properties: thingVersion.properties })
    .from(thing)
    .innerJoin(thingVersion, eq(thingVersion.thingId, thing.id))
    .where(and(eq(thing.id, thingId), eq(thing.kind, 'instrument')))
    .orderBy(desc(thingVersion.n))
    .limit(1)
  return row === undefined ? null : { versionId: row.versionId, properties: row.properties as InstrumentProperties }
}
