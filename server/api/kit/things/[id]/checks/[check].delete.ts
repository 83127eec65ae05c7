import { withdrawCheck } from '#server/kit/checks'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await withdrawCheck(contextOf(event).db, requireId(event), requireId(event, 'check'))),
)
