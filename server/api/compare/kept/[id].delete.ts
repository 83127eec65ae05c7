import { removeKept } from '#server/comparisons/kept'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await removeKept(contextOf(event).db, requireId(event))),
)
