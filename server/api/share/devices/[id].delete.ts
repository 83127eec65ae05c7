import { useDatabase } from '#server/database/connection'
import { forgetDevice, pairedDevices } from '#server/share/devices'

export default defineEventHandler(async (event) => {
  await forgetDevice(useDatabase(), requireId(event))
  return pairedDevices(useDatabase())
})
