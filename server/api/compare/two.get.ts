import { twoQuestion } from '#server/comparisons/twoQuestion'

export default defineEventHandler(async (event) => {
  const answer = await twoQuestion(contextOf(event).db, readQuery(event))
  if (typeof answer === 'string') throw createError({ statusCode: 404, message: answer })
  return answer
})
