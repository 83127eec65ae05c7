import { sql } from 'drizzle-orm'
import { CORE_VERSION } from '#core/version'

/** For the start command: this server, of this instance, reaches its database. */
export default defineEventHandler(async (event) => {
  await contextOf(event).db.execute(sql`select 1`)
  return { ok: true, instance: process.env.VULCANUM_INSTANCE ?? null, core: CORE_VERSION }
})
