import { useDatabase } from '#server/database/connection'
import { dropStaged } from '#server/import/imports'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await dropStaged(useDatabase(), requireId(event))),
)
