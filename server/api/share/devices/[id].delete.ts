import { forgetDevice, pairedDevices } from '#server/share/repository/devices'

export default defineEventHandler(async (event) => {
  const { db, workspace } = contextOf(event)
  const id = requireId(event)
  await forgetDevice(db, id)
  workspace.streams.end(id)
  return pairedDevices(db)
})
