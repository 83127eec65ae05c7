import { useDatabase } from '#server/database/connection'
import { findBatch } from '#server/kit/fuels'

export default defineEventHandler(async (event) =>
  requireFound(await findBatch(useDatabase(), requireId(event)), 'batch'),
)
