import { rankingQuestion } from '#server/comparisons/ranking'

export default defineEventHandler(async (event) => {
  const answer = await rankingQuestion(contextOf(event).db, readQuery(event))
  if (typeof answer === 'string') throw createError({ statusCode: 404, message: answer })
  return answer
})
