import { deleteThing } from '#server/kit/saveThing'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteThing(contextOf(event).db, requireId(event))),
)
