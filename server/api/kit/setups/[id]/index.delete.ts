import { deleteSetup } from '#server/kit/saveSetup'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteSetup(contextOf(event).db, requireId(event))),
)
