/** Wind surveys of a place: each stands as it was measured; the newest is what a series is burned by. */
import { placeRow } from './repository/heads'
import { readSurvey, type WindSurvey } from '../../shared/windSurvey'
import type { Connection } from '../database/connection'
import { invalid, invalidAt, notFound, saved, type Outcome } from './outcome'
import { findPerson } from './repository/people'
import { insertSurvey, surveysOf } from './repository/windSurveys'

/** Adds one; the same id again is one survey. */
export async function addSurvey(db: Connection, placeId: string, input: unknown): Promise<Outcome<WindSurvey[]>> {
  const read = readSurvey(input)
  if (!read.ok) return invalid(read.problems)
  const [where, who] = await Promise.all([placeRow(db, placeId), findPerson(db, read.survey.personId)])
  if (where === null) return notFound('place')
  if (who === null) return invalidAt('personId', 'Who: this one is not known here. Choose one from the list.')
  await insertSurvey(db, { ...read.survey, placeId })
  return saved(await surveysOf(db, placeId))
}
