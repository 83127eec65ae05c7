/** Wind surveys of a place: each stands as it was measured; the newest is what a series is burned by. */
import { desc, eq } from 'drizzle-orm'
import { readSurvey, type WindSurvey } from '../../shared/windSurvey'
import type { Connection } from '../database/connection'
import { person, place, windSurvey } from '../database/schema'
import { invalid, invalidAt, notFound, saved, type Outcome } from './outcome'

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

/** Adds one; the same id again is one survey. */
export async function addSurvey(db: Connection, placeId: string, input: unknown): Promise<Outcome<WindSurvey[]>> {
  const read = readSurvey(input)
  if (!read.ok) return invalid(read.problems)
  const [[where], [who]] = await Promise.all([
    db.select({ id: place.id }).from(place).where(eq(place.id, placeId)),
    db.select({ id: person.id }).from(person).where(eq(person.id, read.survey.personId)),
  ])
  if (!where) return notFound('place')
  if (!who) return invalidAt('personId', 'Who: this one is not known here. Choose one from the list.')
  await db
    .insert(windSurvey)
    .values({ ...read.survey, placeId })
    .onConflictDoNothing()
  return saved(await surveysOf(db, placeId))
}
