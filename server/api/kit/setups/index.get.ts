import { useDatabase } from '#server/database/connection'
import { listSetups } from '#server/kit/setups'

export default defineEventHandler(() => listSetups(useDatabase()))
