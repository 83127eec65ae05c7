import { saveSetup } from '#server/kit/saveSetup'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => saveSetup(contextOf(event).db, { ...(body as object), id }))
})
