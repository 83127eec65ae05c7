import { findContainer } from '#server/kit/containers'

export default defineEventHandler(async (event) =>
  requireFound(await findContainer(contextOf(event).db, requireId(event)), 'container'),
)
