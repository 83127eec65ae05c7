import { deleteContainer } from '#server/kit/containers'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteContainer(contextOf(event).db, requireId(event))),
)
