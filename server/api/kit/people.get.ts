import { asc } from 'drizzle-orm'
import { person } from '#server/database/schema'

export default defineEventHandler((event) =>
  answerInCommon(event, () =>
    contextOf(event).db.select({ id: person.id, name: person.name }).from(person).orderBy(asc(person.name)),
  ),
)
