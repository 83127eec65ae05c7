import { deleteBatch } from '#server/kit/fuels'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteBatch(contextOf(event).db, requireId(event))),
)
