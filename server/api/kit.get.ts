import { useDatabase } from '#server/database/connection'
import { kitChoices } from '#server/database/repositories/kit'

export default defineEventHandler((event) => answerInCommon(event, () => kitChoices(useDatabase(), Date.now())))
