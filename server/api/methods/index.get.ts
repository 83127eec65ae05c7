import { useDatabase } from '#server/database/connection'
import { listMethods } from '#server/methods/methods'

export default defineEventHandler(() => listMethods(useDatabase()))
