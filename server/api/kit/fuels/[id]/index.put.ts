import { saveBatch } from '#server/kit/fuels'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => saveBatch(contextOf(event).db, { ...(body as object), id }))
})
