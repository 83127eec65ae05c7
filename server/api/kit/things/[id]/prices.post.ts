import { addPrice } from '#server/kit/prices'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return callService(event, (body) => addPrice(contextOf(event).db, { thingId: id }, body))
})
