import { listFeeds } from '#server/instruments/feeds'

export default defineEventHandler((event) => listFeeds(contextOf(event).db))
