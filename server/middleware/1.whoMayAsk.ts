import type { H3Event } from 'h3'
import { isApi, routeOf, type Right } from '#server/http/access'
import { cameByNetwork, foreign, innerCaller, isInner, mayAsk, STRANGER, type Caller } from '#server/http/caller'
import { mustWait } from '#server/http/rates'
import { plainPath } from '#server/http/requestPath'
import { deviceOf } from '#server/share/repository/devices'
import { sharedHosts } from '#server/share/settings'
import { DEVICE_COOKIE } from '#shared/share'
import { answerProblems } from '../utils/answerProblems'
import { contextOf } from '../utils/contextOf'

/** The page that says what went wrong: drawn by the server for itself. */
const ERROR_PAGE = '/__nuxt_error'

const NOT_PLAIN = 'This address is not spelled plainly. Open Vulcanum at its own address, and go on from there.'

/** The one gate. Closed, unless the table of routes says that whoever asks may. */
export default defineEventHandler(async (event) => {
  const path = plainPath(event.node.req.url ?? '/')
  if (isInner(event.node.req)) return path === ERROR_PAGE ? undefined : fromWithin(event, path)
  if (path === null) return refuse(event, 400, NOT_PLAIN)
  const why = whyForeign(event, path)
  if (why !== null) return refuse(event, 403, `Refused: ${why}. Open Vulcanum at its own address.`)
  const caller = (event.context.caller = await callerOf(event))
  const route = routeOf(event.method, path)
  const waitS = await mustWait(route?.asked ?? '', caller, event.node.req.socket.remoteAddress ?? '')
  if (waitS === null) return letIn(event, path, caller)
  setResponseHeader(event, 'retry-after', waitS)
  return refuse(event, 429, `This was asked for too often. Wait ${waitS} s, then try again.`)
})

/** A page that is drawn asks as who asked for the page. */
function fromWithin(event: H3Event, path: string | null) {
  if (path === null) return refuse(event, 400, NOT_PLAIN)
  return letIn(event, path, (event.context.caller = innerCaller(event.node.req)))
}

/** Nothing: whoever asks may. */
function letIn(event: H3Event, path: string, caller: Caller) {
  const right = routeOf(event.method, path)?.right ?? null
  return right !== null && mayAsk(caller, right) ? undefined : turnAway(event, path, { caller, right })
}

function whyForeign(event: H3Event, path: string): string | null {
  const request = event.node.req
  return foreign(request, { shared: cameByNetwork(request) ? sharedHosts() : null, isPage: !isApi(path) })
}

/** @param right null: there is nothing of this address; who was not let in is not told */
function turnAway(event: H3Event, path: string, { caller, right }: { caller: Caller; right: Right | null }) {
  if (right === null && caller.as !== 'stranger')
    return refuse(event, 404, `There is nothing at ${event.method} ${path.slice(0, 100)}.`)
  if (right === 'machine')
    return refuse(event, 403, 'Devices are paired at the machine that runs Vulcanum. Open this page there.')
  return shutOut(event, path)
}

const refuse = (event: H3Event, status: number, text: string) => answerProblems(event, status, [{ path: '', text }])

function shutOut(event: H3Event, path: string) {
  if (isApi(path))
    return refuse(
      event,
      401,
      'This device is not paired. Open /pair on it, and type the code that the other screen shows.',
    )
  return sendRedirect(event, '/pair', 302)
}

async function callerOf(event: H3Event): Promise<Caller> {
  if (!cameByNetwork(event.node.req)) return { as: 'machine' }
  const token = getCookie(event, DEVICE_COOKIE)
  const device = token ? await deviceOf(contextOf(event).db, token) : null
  return device === null ? STRANGER : { as: 'device', ...device }
}
