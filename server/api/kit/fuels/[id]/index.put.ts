import { useDatabase } from '#server/database/connection'
import { saveBatch } from '#server/kit/fuels'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => saveBatch(useDatabase(), { ...(body as object), id }))
})
