import { useDatabase } from '#server/database/connection'
import { deleteSetup } from '#server/kit/setups'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteSetup(useDatabase(), requireId(event))),
)
