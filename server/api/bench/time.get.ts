import { benchNow } from '#server/bench/benchClock'
import { useDatabase } from '#server/database/connection'

/** What the bench's clock says; a device takes the half-way of asking and hearing. */
export default defineEventHandler(async (event) => {
  setResponseHeader(event, 'cache-control', 'no-store')
  return { serverMs: await benchNow(useDatabase()) }
})
