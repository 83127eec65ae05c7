import { deletePlace } from '#server/kit/places'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deletePlace(contextOf(event).db, requireId(event))),
)
