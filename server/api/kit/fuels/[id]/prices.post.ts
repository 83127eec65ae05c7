import { useDatabase } from '#server/database/connection'
import { addPrice } from '#server/kit/prices'

export default defineEventHandler((event) => {
  const id = requireId(event)
  return throughDoor(event, (body) => addPrice(useDatabase(), { fuelBatchId: id }, body))
})
