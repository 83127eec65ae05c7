import { useDatabase } from '#server/database/connection'
import { kitChoices } from '#server/database/repositories/kit'

export default defineEventHandler(() => kitChoices(useDatabase(), Date.now()))
