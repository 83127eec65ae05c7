import { useDatabase } from '#server/database/connection'
import { deleteThing } from '#server/kit/things'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteThing(useDatabase(), requireId(event))),
)
