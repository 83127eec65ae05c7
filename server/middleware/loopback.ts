import { answerProblems } from '../utils/answerProblems'

const LOOPBACK = /^(127(\.\d+){3}|localhost|\[::1\])(:\d+)?$/

/** The host an Origin names; '' for "null" (a sandboxed frame, a file) and for what is no origin at all. */
function hostOf(origin: string): string {
  return URL.canParse(origin) ? new URL(origin).host : ''
}

/** Until accounts exist, only pages of this very machine may ask: another site's page in the same browser may not, sandboxed or not. */
export default defineEventHandler((event) => {
  const host = event.node.req.headers.host ?? ''
  const origin = event.node.req.headers.origin
  const foreign = origin !== undefined && hostOf(origin) !== host
  if (LOOPBACK.test(host) && !foreign) return
  return answerProblems(event, 403, [{ path: '', text: `Refused: asked as "${host}"${foreign ? ` by ${origin}` : ''}. Open Vulcanum at its loopback address.` }])
})
