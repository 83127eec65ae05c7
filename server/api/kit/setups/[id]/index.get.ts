import { useDatabase } from '#server/database/connection'
import { findSetup } from '#server/kit/setups'

export default defineEventHandler(async (event) =>
  requireFound(await findSetup(useDatabase(), requireId(event)), 'set-up'),
)
