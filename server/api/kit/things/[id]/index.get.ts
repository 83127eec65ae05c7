import { useDatabase } from '#server/database/connection'
import { findThing } from '#server/kit/things'

export default defineEventHandler(async (event) =>
  requireFound(await findThing(useDatabase(), requireId(event)), 'thing'),
)
