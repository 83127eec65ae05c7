import { useDatabase } from '#server/database/connection'
import { shareState } from '#server/share/shareState'

export default defineEventHandler(() => shareState(useDatabase(), Date.now()))
