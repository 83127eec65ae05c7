import { saveMethod } from '#server/methods/methods'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => saveMethod(contextOf(event).db, { ...(body as object), id }))
})
