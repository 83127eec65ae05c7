import { useDatabase } from '#server/database/connection'
import { pairDevice } from '#server/share/devices'
import { tryCode } from '#server/share/pairing'
import { shareSettings } from '#server/share/settings'
import { DEVICE_COOKIE, readPairing } from '#shared/share'

const A_YEAR_S = 365 * 24 * 3600

/** Lets a device in by the code; what it is known by afterwards no script can read. */
export default defineEventHandler(async (event) => {
  if (shareSettings() === null) return answerProblems(event, 409, [{ path: '', text: 'This Vulcanum is not shared. Start it with npm start -- --share.' }])
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readPairing(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  if (!tryCode(read.typed.code, Date.now())) return answerProblems(event, 422, [{ path: 'code', text: 'Code: this is not the one that stands on the other screen. After five wrong ones it shows another.' }])
  const { id, token } = await pairDevice(useDatabase(), read.typed.name)
  setCookie(event, DEVICE_COOKIE, token, { httpOnly: true, secure: true, sameSite: 'strict', path: '/', maxAge: A_YEAR_S })
  return { id, name: read.typed.name }
})
