import { answerProblems } from '../utils/answerProblems'

const LOOPBACK = /^(127(\.\d+){3}|localhost|\[::1\])(:\d+)?$/

/** Until accounts exist, only pages of this very machine may ask: another site's page in the same browser may not. */
export default defineEventHandler((event) => {
  const host = event.node.req.headers.host ?? ''
  const origin = event.node.req.headers.origin
  const foreign = origin !== undefined && origin !== 'null' && new URL(origin).host !== host
  if (LOOPBACK.test(host) && !foreign) return
  return answerProblems(event, 403, [{ path: '', text: `Refused: asked as "${host}"${foreign ? ` by ${origin}` : ''}. Open Vulcanum at its loopback address.` }])
})
