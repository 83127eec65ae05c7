import { useDatabase } from '#server/database/connection'
import { whyNotEmpty } from '#server/package/unpackBench'

/** Why a package cannot come in here; null: it can. */
export default defineEventHandler(async () => ({ full: await whyNotEmpty(useDatabase()) }))
