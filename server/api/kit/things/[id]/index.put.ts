import { useDatabase } from '#server/database/connection'
import { saveThing } from '#server/kit/things'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => saveThing(useDatabase(), { ...(body as object), id }))
})
