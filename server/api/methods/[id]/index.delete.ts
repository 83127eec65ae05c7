import { deleteMethod } from '#server/methods/methods'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteMethod(contextOf(event).db, requireId(event))),
)
