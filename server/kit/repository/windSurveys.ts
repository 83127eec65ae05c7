/** Wind surveys of places. */
import { desc, eq } from 'drizzle-orm'
import type { WindSurvey } from '../../../shared/windSurvey'
import type { Connection } from '../../database/connection'
import { person, windSurvey } from '../../database/schema'

/** Newest first. */
export async function surveysOf(db: Connection, placeId: string): Promise<WindSurvey[]> {
  const rows = await db
    .select({ survey: windSurvey, person: person.name })
    .from(windSurvey)
    .innerJoin(person, eq(person.id, windSurvey.personId))
    .where(eq(windSurvey.placeId, placeId))
    .orderBy(desc(windSurvey.createdAt))
  return rows.map(({ survey: { id, fan, cells, createdAt }, person: by }) => ({
    id,
    fan,
    cells,
    person: by,
    createdAt: createdAt.toISOString(),
  }))
}

/** The same id again is one survey. */
export async function insertSurvey(db: Connection, row: typeof windSurvey.$inferInsert): Promise<void> {
  await db.insert(windSurvey).values(row).onConflictDoNothing()
}
