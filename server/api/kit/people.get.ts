import { listPeople } from '#server/kit/repository/people'

export default defineEventHandler((event) => answerInCommon(event, () => listPeople(contextOf(event).db)))
