import { useDatabase } from '#server/database/connection'
import { deleteContainer } from '#server/kit/containers'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteContainer(useDatabase(), requireId(event))),
)
