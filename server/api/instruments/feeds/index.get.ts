import { useDatabase } from '#server/database/connection'
import { listFeeds } from '#server/instruments/feeds'

export default defineEventHandler(() => listFeeds(useDatabase()))
