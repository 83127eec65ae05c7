import { giveUpStudy } from '#server/plans/giveUp'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await giveUpStudy(contextOf(event).db, requireId(event))),
)
