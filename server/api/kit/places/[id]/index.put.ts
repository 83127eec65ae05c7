import { useDatabase } from '#server/database/connection'
import { savePlace } from '#server/kit/places'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => savePlace(useDatabase(), { ...(body as object), id }))
})
