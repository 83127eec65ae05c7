import { answerPage } from '#server/comparisons/answerPage'

export default defineEventHandler(async (event) => {
  const answer = await answerPage(contextOf(event).db, getRouterParam(event, 'page') ?? '', readQuery(event))
  if (typeof answer === 'string') throw createError({ statusCode: 404, message: answer })
  return answer
})
