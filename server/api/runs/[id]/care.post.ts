import { useDatabase } from '#server/database/connection'
import { careForRun } from '#server/runs/runCare'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => careForRun(useDatabase(), id, body))
})
