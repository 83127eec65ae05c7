import { useDatabase } from '#server/database/connection'
import { revokeFeed } from '#server/instruments/feeds'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await revokeFeed(useDatabase(), requireId(event))),
)
