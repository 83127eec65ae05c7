import { findPlace } from '#server/kit/places'

export default defineEventHandler(async (event) =>
  requireFound(await findPlace(contextOf(event).db, requireId(event)), 'place'),
)
