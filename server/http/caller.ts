/** Who asks, and whether a page of another site has them ask. */
import type { IncomingHttpHeaders, IncomingMessage } from 'node:http'
import type { TLSSocket } from 'node:tls'
import type { Right } from './access'

/** `stranger`: a device of the network that was not let in. */
export type Caller = { as: 'machine' } | { as: 'device'; id: string; name: string } | { as: 'stranger' }
export const STRANGER: Caller = { as: 'stranger' }

const ALLOWED: Record<Caller['as'], readonly Right[]> = {
  machine: ['anyone', 'device', 'machine'],
  device: ['anyone', 'device'],
  stranger: ['anyone'],
}
export const mayAsk = (caller: Caller, right: Right): boolean => ALLOWED[caller.as].includes(right)

/**
 * A page's own fetch while the server draws it: never from the wire, where no request has this. It carries who asked
 * for the page.
 */
export function isInner(request: IncomingMessage): boolean {
  return '__unenv__' in request
}
export function innerCaller(request: IncomingMessage): Caller {
  return (request as { __unenv__?: { caller?: Caller } }).__unenv__?.caller ?? STRANGER
}

const LOOPBACK = /^(127(\.\d+){3}|localhost|\[::1\])(:\d+)?$/
/** What came by HTTPS came from the network: the loopback address speaks plain HTTP. */
export const cameByNetwork = (request: IncomingMessage): boolean =>
  Boolean((request.socket as Partial<TLSSocket>).encrypted)

/**
 * Why this is not asked by a page of ours, in words; null: nothing speaks against it.
 * @param shared the names by which the network reaches this server, with its port
 * @param isPage a page may be opened from a link anywhere; nothing else may be asked for by another site
 */
export function foreign(
  request: Pick<IncomingMessage, 'headers' | 'method'>,
  { shared, isPage }: { shared: readonly string[] | null; isPage: boolean },
): string | null {
  const { host = '', origin } = request.headers
  const known = shared === null ? LOOPBACK.test(host) : shared.includes(host)
  if (!known) return `asked as "${host.slice(0, 100)}"`
  if (origin !== undefined && hostOf(origin) !== host) return `asked by ${String(origin).slice(0, 100)}`
  return bySite(request.headers, isPage && request.method === 'GET') ? null : 'asked by another site'
}

/** The host an Origin names; '' for "null" (a sandboxed frame, a file) and for what is no origin at all. */
function hostOf(origin: string): string {
  return URL.canParse(origin) ? new URL(origin).host : ''
}

/** What browsers say of who asks; other programs say nothing. */
function bySite(headers: IncomingHttpHeaders, isPage: boolean): boolean {
  const site = headers['sec-fetch-site']
  if (site === undefined || site === 'same-origin' || site === 'none') return true
  return isPage && headers['sec-fetch-mode'] === 'navigate' && headers['sec-fetch-dest'] === 'document'
}
