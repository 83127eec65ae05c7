import { withdrawClaim } from '#server/comparisons/claims'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await withdrawClaim(contextOf(event).db, requireId(event), requireId(event, 'claim'))),
)
