import { kitChoices } from '#server/kit/kitChoices'

export default defineEventHandler((event) => answerInCommon(event, () => kitChoices(contextOf(event).db, Date.now())))
