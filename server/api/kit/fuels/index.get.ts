import { useDatabase } from '#server/database/connection'
import { listBatches } from '#server/kit/fuels'

export default defineEventHandler(() => listBatches(useDatabase()))
