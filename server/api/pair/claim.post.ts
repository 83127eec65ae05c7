import { pairDevice } from '#server/share/repository/devices'
import { DEVICE_COOKIE, readClaim, type ClaimAnswer } from '#shared/share'

const A_YEAR_S = 365 * 24 * 3600

/** What became of a device that waits; what it is known by afterwards no script can read. */
export default defineEventHandler(async (event): Promise<ClaimAnswer | { problems: object[] }> => {
  const body = await readJsonBody(event)
  if (!body.ok) return answerProblems(event, body.status, [{ path: '', text: body.text }])
  const read = readClaim(body.value)
  if (!read.ok) return answerProblems(event, 422, read.problems)
  const became = contextOf(event).workspace.pairing.claim(read.typed.id, read.typed.claim, Date.now())
  if (became.as !== 'granted') return became
  const { id, token } = await pairDevice(contextOf(event).db, became.name)
  setCookie(event, DEVICE_COOKIE, token, {
    httpOnly: true,
    secure: true,
    sameSite: 'strict',
    path: '/',
    maxAge: A_YEAR_S,
  })
  return { as: 'granted', id, name: became.name }
})
