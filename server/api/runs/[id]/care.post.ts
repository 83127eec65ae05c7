import { careForRun } from '#server/runs/runCare'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => careForRun(contextOf(event).db, id, body))
})
