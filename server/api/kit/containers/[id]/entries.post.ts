import { weighContainer } from '#server/kit/containers'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => weighContainer(contextOf(event).db, id, body, Date.now()))
})
