import { useDatabase } from '#server/database/connection'
import { findContainer } from '#server/kit/containers'

export default defineEventHandler(async (event) =>
  requireFound(await findContainer(useDatabase(), requireId(event)), 'container'),
)
