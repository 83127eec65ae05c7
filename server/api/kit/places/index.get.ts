import { useDatabase } from '#server/database/connection'
import { listPlaces } from '#server/kit/places'

export default defineEventHandler(() => listPlaces(useDatabase()))
