/**
 * Addresses as a browser would never send them, over TLS, and the ways to spell one that a gate and a router may read
 * apart.
 */
import { request } from 'node:https'

export interface RawAnswer {
  status: number
  location: string
  body: string
}

/** Asks for exactly this path. */
export function askRaw(
  port: number,
  path: string,
  { method = 'GET', headers = {} }: { method?: string; headers?: Record<string, string> } = {},
): Promise<RawAnswer> {
  return new Promise((resolve, reject) => {
    const asked = request(
      { host: '127.0.0.1', port, path, method, headers, rejectUnauthorized: false, agent: false },
      (answer) => {
        let body = ''
        answer.setEncoding('utf8')
        answer.on('data', (piece: string) => {
          body += piece
        })
        answer.on('end', () => resolve({ status: answer.statusCode!, location: answer.headers.location ?? '', body }))
        answer.on('error', reject)
      },
    )
    asked.on('error', reject)
    asked.end()
  })
}

const OPEN = ['/pair', '/_nuxt', '/icon.svg', '/api/pair']
/** Each of these said in ways that lead through what is open to all. */
export function spellingsOf(path: string): string[] {
  const [first, ...rest] = path.slice(1).split('/')
  const later = rest.length > 0 ? `/${rest.join('/')}` : ''
  return [
    path,
    `${path}/`,
    `/${path}`,
    `//${path}`,
    `/.${path}`,
    `/%2e${path}`,
    `\\${path.slice(1)}`,
    `/\\${path.slice(1)}`,
    `${path}\\..\\pair`,
    `${path}/%3F\\..\\..\\pair`,
    `${path}%3F/../pair`,
    `${path}/../pair/..${path}`,
    `${path}?/pair`,
    `${path}#/pair`,
    `${path}%23/pair`,
    `${path}%00`,
    `${path};/pair`,
    `${path}/.`,
    `${path}/..`,
    `${path}%2f`,
    `${path}%20`,
    path.toUpperCase(),
    `/${first}%2f${rest.join('/')}`,
    `/${encodeURIComponent(first!)}${later}`,
    `/%${first!.charCodeAt(0).toString(16)}${first!.slice(1)}${later}`,
    `/%25${first!.charCodeAt(0).toString(16)}${first!.slice(1)}${later}`,
    `${path}.json`,
    `${path}/_payload.json`,
    `${path}?_=/icon.svg`,
    ...OPEN.flatMap((open) => [
      `${open}/..${path}`,
      `${open}/%2e%2e${path}`,
      `${open}/..%2f${path.slice(1)}`,
      `${open}\\..${path}`,
      `${open}%2f..${path}`,
      `${open};${path}`,
      `${open}/${path}`,
    ]),
    `https://127.0.0.1${path}`,
    `/__nuxt_error?url=${path}`,
    `/__nuxt_error${path}`,
    `/_nuxt/../..${path}`,
    `/_nuxt/builds/../../..${path}`,
  ]
}
