import { useDatabase } from '#server/database/connection'
import { removePhoto } from '#server/kit/photos'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await removePhoto(useDatabase(), requireId(event))),
)
