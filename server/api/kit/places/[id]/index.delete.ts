import { useDatabase } from '#server/database/connection'
import { deletePlace } from '#server/kit/places'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deletePlace(useDatabase(), requireId(event))),
)
