/** The run that the next begins like. */
import { and, desc, eq } from 'drizzle-orm'
import { anyOf } from '../../database/anyOf'
import type { Connection } from '../../database/connection'
import { methodVersion, run, thingVersion } from '../../database/schema'
import type { InstrumentProperties, Measures } from '../../../shared/thing'

/** What was measured here and stands, newest first. */
const COUNTED = and(eq(run.origin, 'measured'), eq(run.state, 'finished'))

/** @returns the newest run of this tester, else of anyone; null: there is none */
export async function newestRunId(db: Connection, personId: string | null): Promise<string | null> {
  const of = async (by: typeof COUNTED) => {
    const [row] = await db.select({ id: run.id }).from(run).where(by).orderBy(desc(run.startedAt)).limit(1)
    return row?.id ?? null
  }
  const own = personId === null ? null : await of(and(COUNTED, eq(run.personId, personId)))
  return own ?? of(COUNTED)
}

/** What its row alone knows: the batch and the container by id, the method by its head. */
export async function idsOfRun(db: Connection, id: string) {
  const [row] = await db
    .select({ fuelBatchId: run.fuelBatchId, containerId: run.containerId, methodId: methodVersion.methodId })
    .from(run)
    .leftJoin(methodVersion, eq(methodVersion.id, run.methodVersionId))
    .where(eq(run.id, id))
  return row!
}

/** Instruments by what they measure, from the versions that readings name. */
export async function instrumentIds(db: Connection, versionIds: readonly string[]): Promise<Map<Measures, string>> {
  if (versionIds.length === 0) return new Map()
  const rows = await db
    .select({ id: thingVersion.thingId, properties: thingVersion.properties })
    .from(thingVersion)
    .where(anyOf(thingVersion.id, versionIds))
  return new Map(rows.map(({ id, properties }) => [(properties as InstrumentProperties).measures, id]))
}
