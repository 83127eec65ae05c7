import { saveContainer } from '#server/kit/containers'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => saveContainer(contextOf(event).db, { ...(body as object), id }))
})
