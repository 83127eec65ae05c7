import { nowConditions } from '#server/database/repositories/now'

export default defineEventHandler((event) => nowConditions(contextOf(event).db))
