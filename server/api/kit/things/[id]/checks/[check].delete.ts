import { useDatabase } from '#server/database/connection'
import { withdrawCheck } from '#server/kit/checks'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await withdrawCheck(useDatabase(), requireId(event), requireId(event, 'check'))),
)
