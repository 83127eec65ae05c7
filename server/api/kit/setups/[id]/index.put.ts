import { useDatabase } from '#server/database/connection'
import { saveSetup } from '#server/kit/setups'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => saveSetup(useDatabase(), { ...(body as object), id }))
})
