import { useDatabase } from '#server/database/connection'
import { saveFeed } from '#server/instruments/feeds'

export default defineEventHandler((event) => throughDoor(event, (body) => saveFeed(useDatabase(), body)))
