import { saveStudy } from '#server/plans/saveStudy'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => saveStudy(contextOf(event).db, { ...(body as object), id }))
})
