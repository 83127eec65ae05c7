import { saveFeed } from '#server/instruments/feeds'

export default defineEventHandler((event) => callService(event, (body) => saveFeed(contextOf(event).db, body)))
