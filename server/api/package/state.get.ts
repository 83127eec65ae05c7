import { whyNotEmpty } from '#server/package/unpackWorkspace'

/** Why a package cannot come in here; null: it can. */
export default defineEventHandler(async (event) => ({ full: await whyNotEmpty(contextOf(event).db) }))
