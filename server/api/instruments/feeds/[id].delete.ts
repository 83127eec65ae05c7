import { revokeFeed } from '#server/instruments/feeds'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await revokeFeed(contextOf(event).db, requireId(event))),
)
