import { pairing } from '#server/share/state'

export default defineEventHandler(() => {
  pairing.close()
  return null
})
