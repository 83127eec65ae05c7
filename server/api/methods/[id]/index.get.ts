import { findMethod } from '#server/methods/methods'

export default defineEventHandler(async (event) =>
  requireFound(await findMethod(contextOf(event).db, requireId(event)), 'method'),
)
