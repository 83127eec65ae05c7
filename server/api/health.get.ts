import { ping } from '#server/database/connection'
import { CORE_VERSION } from '#core/version'

/** For the start command: this server, of this instance, reaches its database. */
export default defineEventHandler(async (event) => {
  await ping(contextOf(event).db)
  return { ok: true, instance: process.env.VULCANUM_INSTANCE ?? null, core: CORE_VERSION }
})
