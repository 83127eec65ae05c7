import { useDatabase } from '#server/database/connection'
import { nowConditions } from '#server/database/repositories/now'

export default defineEventHandler(() => nowConditions(useDatabase()))
