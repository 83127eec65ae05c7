import { savePerson } from '#server/kit/places'

export default defineEventHandler((event) => callService(event, (body) => savePerson(contextOf(event).db, body)))
