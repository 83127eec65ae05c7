import { useDatabase } from '#server/database/connection'
import { saveContainer } from '#server/kit/containers'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => saveContainer(useDatabase(), { ...(body as object), id }))
})
