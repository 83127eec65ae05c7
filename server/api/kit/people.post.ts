import { useDatabase } from '#server/database/connection'
import { savePerson } from '#server/kit/places'

export default defineEventHandler((event) => throughDoor(event, (body) => savePerson(useDatabase(), body)))
