import { addCheck } from '#server/kit/checks'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => addCheck(contextOf(event).db, id, body, Date.now()))
})
