import { useDatabase } from '#server/database/connection'
import { stopSimulated } from '#server/instruments/simulated'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await stopSimulated(useDatabase(), requireId(event))),
)
