import { useDatabase } from '#server/database/connection'
import { saveMethod } from '#server/methods/methods'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => saveMethod(useDatabase(), { ...(body as object), id }))
})
