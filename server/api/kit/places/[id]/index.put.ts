import { savePlace } from '#server/kit/places'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => savePlace(contextOf(event).db, { ...(body as object), id }))
})
