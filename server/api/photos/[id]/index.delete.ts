import { removePhoto } from '#server/kit/photos'

export default defineEventHandler(async (event) =>
  answerOutcome(event, await removePhoto(contextOf(event).db, requireId(event))),
)
