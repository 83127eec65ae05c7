import { asc } from 'drizzle-orm'
import { useDatabase } from '#server/database/connection'
import { person } from '#server/database/schema'

export default defineEventHandler((event) =>
  answerInCommon(event, () =>
    useDatabase().select({ id: person.id, name: person.name }).from(person).orderBy(asc(person.name)),
  ),
)
