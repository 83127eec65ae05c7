import { useDatabase } from '#server/database/connection'
import { addCheck } from '#server/kit/checks'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => addCheck(useDatabase(), id, body, Date.now()))
})
