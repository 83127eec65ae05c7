import { findSetup } from '#server/kit/setups'

export default defineEventHandler(async (event) =>
  requireFound(await findSetup(contextOf(event).db, requireId(event)), 'set-up'),
)
