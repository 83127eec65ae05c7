import { useDatabase } from '#server/database/connection'
import { weighContainer } from '#server/kit/containers'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => weighContainer(useDatabase(), id, body, Date.now()))
})
