import { findThing } from '#server/kit/things'

export default defineEventHandler(async (event) =>
  requireFound(await findThing(contextOf(event).db, requireId(event)), 'thing'),
)
