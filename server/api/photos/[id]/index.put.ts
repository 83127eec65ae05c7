import { ownedBy, savePhoto } from '#server/kit/photos'
import { readPhotoQuery } from '#shared/photo'
import { PHOTO } from '#shared/limits'

/** The body is the picture itself; whose it is stands in the query. */
export default defineEventHandler(async (event) => {
  const id = requireId(event)
  const query = readPhotoQuery(readQuery(event))
  if (!query.ok) return answerProblems(event, 422, query.problems)
  const body = await readBytes(
    event,
    PHOTO.maxBytes,
    'Photo',
    'Choose a smaller one, or let the camera take it smaller.',
  )
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const { owner, ownerId, caption, atMs, personId } = query.value
  return answerOutcome(
    event,
    await savePhoto(contextOf(event).db, {
      id,
      of: ownedBy(owner, ownerId),
      bytes: body.value,
      caption,
      atMs,
      personId,
    }),
  )
})
