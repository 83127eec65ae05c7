import { kitChoices } from '#server/database/repositories/kit'

export default defineEventHandler((event) => answerInCommon(event, () => kitChoices(contextOf(event).db, Date.now())))
