import { saveThing } from '#server/kit/saveThing'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => saveThing(contextOf(event).db, { ...(body as object), id }))
})
