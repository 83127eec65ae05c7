import type { H3Event } from 'h3'
import type { TLSSocket } from 'node:tls'
import { useDatabase } from '#server/database/connection'
import { deviceOf } from '#server/share/devices'
import { DEVICE_COOKIE } from '#shared/share'
import { answerProblems } from '../utils/answerProblems'

const LOOPBACK = /^(127(\.\d+){3}|localhost|\[::1\])(:\d+)?$/
/** What a device may see before it is paired: the page that asks for the code, and what that page is made of. */
const BEFORE_PAIRING = /^\/(pair|api\/pair|icon\.svg|_nuxt\/.*)$/
/** Pairing is granted at this machine, not from outside. */
const AT_THE_MACHINE = /^\/(share|api\/share)(\/|$)/

/** The host an Origin names; '' for "null" (a sandboxed frame, a file) and for what is no origin at all. */
function hostOf(origin: string): string {
  return URL.canParse(origin) ? new URL(origin).host : ''
}

/** Without accounts: pages of this very machine, and, where it is shared, devices that were paired. Another site's page in the same browser may not, sandboxed or not. */
export default defineEventHandler((event) => {
  const host = event.node.req.headers.host ?? ''
  const origin = event.node.req.headers.origin
  const foreign = origin !== undefined && hostOf(origin) !== host
  const refuse = () => answerProblems(event, 403, [{ path: '', text: `Refused: asked as "${host}"${foreign ? ` by ${origin}` : ''}. Open Vulcanum at its own address.` }])
  // What came by HTTPS came from the network: the loopback address speaks plain HTTP.
  if ((event.node.req.socket as Partial<TLSSocket>).encrypted) return foreign ? refuse() : fromTheNetwork(event)
  return LOOPBACK.test(host) && !foreign ? undefined : refuse()
})

async function fromTheNetwork(event: H3Event) {
  const path = getRequestURL(event).pathname
  const token = getCookie(event, DEVICE_COOKIE)
  const device = token ? await deviceOf(useDatabase(), token) : null
  event.context.pairedDevice = device
  if (AT_THE_MACHINE.test(path)) return answerProblems(event, 403, [{ path: '', text: 'Devices are paired at the machine that runs Vulcanum. Open this page there.' }])
  if (device !== null || BEFORE_PAIRING.test(path)) return
  if (path.startsWith('/api/')) return answerProblems(event, 401, [{ path: '', text: 'This device is not paired. Open /pair on it, and type the code that the other screen shows.' }])
  return sendRedirect(event, '/pair', 302)
}
