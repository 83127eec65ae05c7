import { useDatabase } from '#server/database/connection'
import { listThings } from '#server/kit/things'

export default defineEventHandler(() => listThings(useDatabase(), Date.now()))
