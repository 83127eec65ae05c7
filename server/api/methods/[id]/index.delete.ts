import { useDatabase } from '#server/database/connection'
import { deleteMethod } from '#server/methods/methods'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteMethod(useDatabase(), requireId(event))),
)
