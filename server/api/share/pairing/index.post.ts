import { useDatabase } from '#server/database/connection'
import { shareState } from '#server/share/shareState'
import { pairing } from '#server/share/state'

/** Opens pairing for two minutes, with another code. */
export default defineEventHandler(() => {
  pairing.open(Date.now())
  return shareState(useDatabase(), Date.now())
})
