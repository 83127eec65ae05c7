import { deleteThing } from '#server/kit/things'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteThing(contextOf(event).db, requireId(event))),
)
