import { reshuffle } from '#server/plans/orderStudy'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => reshuffle(contextOf(event).db, id, body as object))
})
