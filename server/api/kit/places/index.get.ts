import { listPlaces } from '#server/kit/places'

export default defineEventHandler((event) => listPlaces(contextOf(event).db))
