import { useDatabase } from '#server/database/connection'
import { deleteBatch } from '#server/kit/fuels'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await deleteBatch(useDatabase(), requireId(event))),
)
