import { dropStaged } from '#server/import/imports'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await dropStaged(contextOf(event).db, requireId(event))),
)
