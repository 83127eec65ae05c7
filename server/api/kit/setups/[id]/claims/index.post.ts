import { addClaim } from '#server/comparisons/claims'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => addClaim(contextOf(event).db, id, body))
})
