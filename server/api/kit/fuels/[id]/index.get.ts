import { findBatch } from '#server/kit/fuels'

export default defineEventHandler(async (event) =>
  requireFound(await findBatch(contextOf(event).db, requireId(event)), 'batch'),
)
