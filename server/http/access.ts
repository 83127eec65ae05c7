/** Who may ask for what: a table of all routes. What stands in it for nobody, nobody gets. */

/**
 * `anyone`: devices that were not let in too. `device`: those that were, and the machine itself. `machine`: this
 * machine alone.
 */
export type Right = 'anyone' | 'device' | 'machine'
export type Rights = Partial<Record<'GET' | 'POST' | 'PUT' | 'DELETE', Right>>

const readBy: Rights = { GET: 'device' }
const madeBy: Rights = { POST: 'device' }
const listed: Rights = { GET: 'device', POST: 'device' }
const kept: Rights = { GET: 'device', PUT: 'device', DELETE: 'device' }
const taken: Rights = { DELETE: 'device' }

/** Where a connection becomes a web socket. */
export const INSTRUMENT_SOCKET = '/api/instruments/socket'

/** Routes of the interface, as their files are named. */
export const API: Record<string, Rights> = {
  '/api/bench': readBy,
  '/api/bench/acts': madeBy,
  '/api/bench/stream': readBy,
  '/api/bench/time': readBy,
  '/api/burn-one': madeBy,
  '/api/compare': readBy,
  '/api/compare/[page]': readBy,
  '/api/compare/kept': madeBy,
  '/api/compare/kept/[id]': taken,
  '/api/drafts': { GET: 'device', PUT: 'device' },
  '/api/figures': readBy,
  '/api/find': readBy,
  '/api/health': readBy,
  '/api/imports': readBy,
  '/api/imports/[id]': kept,
  '/api/imports/[id]/preview': madeBy,
  '/api/imports/[id]/store': madeBy,
  '/api/imports/[id]/undo': madeBy,
  '/api/instruments/feeds': listed,
  '/api/instruments/feeds/[id]': taken,
  '/api/instruments/replays': listed,
  '/api/instruments/replays/[id]': taken,
  '/api/instruments/samples': madeBy,
  '/api/instruments/simulated': listed,
  '/api/instruments/simulated/[id]': taken,
  [INSTRUMENT_SOCKET]: readBy,
  '/api/kit': readBy,
  '/api/kit/containers': readBy,
  '/api/kit/containers/[id]': kept,
  '/api/kit/containers/[id]/entries': madeBy,
  '/api/kit/fuels': readBy,
  '/api/kit/fuels/[id]': kept,
  '/api/kit/fuels/[id]/prices': madeBy,
  '/api/kit/people': listed,
  '/api/kit/places': readBy,
  '/api/kit/places/[id]': kept,
  '/api/kit/places/[id]/surveys': listed,
  '/api/kit/setups': readBy,
  '/api/kit/setups/[id]': kept,
  '/api/kit/setups/[id]/claims': listed,
  '/api/kit/setups/[id]/claims/[claim]': taken,
  '/api/kit/things': readBy,
  '/api/kit/things/[id]': kept,
  '/api/kit/things/[id]/checks': madeBy,
  '/api/kit/things/[id]/checks/[check]': taken,
  '/api/kit/things/[id]/prices': madeBy,
  '/api/methods': readBy,
  '/api/methods/[id]': kept,
  '/api/now': { GET: 'device', PUT: 'device' },
  '/api/package': listed,
  '/api/package/state': readBy,
  '/api/pair': { POST: 'anyone' },
  '/api/pair/claim': { POST: 'anyone' },
  '/api/photos/[id]': kept,
  '/api/photos/[id]/thumbnail': readBy,
  '/api/plan': readBy,
  '/api/plan/[id]': kept,
  '/api/plan/[id]/order': madeBy,
  '/api/plan/[id]/shuffle': madeBy,
  '/api/runs': listed,
  '/api/runs/[id]': readBy,
  '/api/runs/[id]/care': madeBy,
  '/api/runs/[id]/corrections': madeBy,
  '/api/runs/[id]/document': readBy,
  '/api/runs/[id]/monte-carlo': readBy,
  '/api/runs/[id]/results': readBy,
  '/api/runs/choices': readBy,
  '/api/runs/compare': readBy,
  '/api/runs/export': madeBy,
  '/api/runs/groups': readBy,
  '/api/runs/like': readBy,
  '/api/runs/many': madeBy,
  '/api/share': { GET: 'machine' },
  '/api/share/devices/[id]': { DELETE: 'machine' },
  '/api/share/pairing': { POST: 'machine', DELETE: 'machine' },
  '/api/share/pairing/[id]': { POST: 'machine' },
  '/api/today': readBy,
}

/** Pages that are not for whoever was let in. */
const PAGES: Record<string, Right> = { '/pair': 'anyone', '/share': 'machine' }

const PATTERNS = Object.entries(API)
  .map(([route, rights]) => ({
    route,
    pattern: new RegExp(`^${route.replace(/\[\w+\]/g, '[^/]+')}$`),
    named: route.split('[').length,
    rights,
  }))
  // A name before an id, as the router has it: /api/runs/choices is no run.
  .sort((a, b) => a.named - b.named)

export const isApi = (path: string): boolean => path === '/api' || path.startsWith('/api/')

export interface Matched {
  /** As the table names it: "GET /api/runs/[id]". */ asked: string
  right: Right
}

/**
 * The route, and who may; null: there is no such route. Pages are found by the router whatever their case, and are
 * judged so.
 */
export function routeOf(method: string, path: string): Matched | null {
  const asked = method === 'HEAD' ? 'GET' : method
  if (!isApi(path.toLowerCase()))
    return asked === 'GET' ? { asked: `GET ${path}`, right: PAGES[path.toLowerCase()] ?? 'device' } : null
  const found = PATTERNS.find((one) => one.pattern.test(path))
  const right = found?.rights[asked as keyof Rights]
  return found && right ? { asked: `${asked} ${found.route}`, right } : null
}
export const rightOf = (method: string, path: string): Right | null => routeOf(method, path)?.right ?? null
