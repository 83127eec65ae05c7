import { useDatabase } from '#server/database/connection'
import { findPlace } from '#server/kit/places'

export default defineEventHandler(async (event) =>
  requireFound(await findPlace(useDatabase(), requireId(event)), 'place'),
)
