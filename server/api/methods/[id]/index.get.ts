import { useDatabase } from '#server/database/connection'
import { findMethod } from '#server/methods/methods'

export default defineEventHandler(async (event) =>
  requireFound(await findMethod(useDatabase(), requireId(event)), 'method'),
)
