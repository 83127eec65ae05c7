/** The gate's own rules: a table of all routes, paths that are spelled plainly, and who is asked by another site. */
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { API, rightOf } from '../../server/http/access'
import { foreign } from '../../server/http/caller'
import { plainPath } from '../../server/http/requestPath'

const FOLDER = join(import.meta.dirname, '../../server/api')
/** Routes as their files name them: things/[id]/index.put.ts is PUT /api/things/[id]. */
const files = (readdirSync(FOLDER, { recursive: true }) as string[])
  .filter((name) => name.endsWith('.ts'))
  .map((name) => {
    const [, path, method] = /^(.+?)(?:\.(get|put|post|delete))?\.ts$/.exec(name)!
    return `${method?.toUpperCase() ?? 'GET'} /api/${path!.replace(/(^|\/)index$/, '')}`.replace(/\/$/, '')
  })

describe('the table of routes', () => {
  it('names every route that there is, and no other', () => {
    const named = Object.entries(API).flatMap(([path, rights]) =>
      Object.keys(rights).map((method) => `${method} ${path}`),
    )
    expect(named.sort()).toEqual(files.sort())
  })

  it('is closed: what it does not name is nobody’s, a name goes before an id, and pages are judged whatever their case', () => {
    expect(
      ['GET /api', 'GET /api/nothing', 'DELETE /api/runs', 'PATCH /api/now', 'OPTIONS /api/runs', 'POST /runs'].map(
        (asked) => rightOf(...(asked.split(' ') as [string, string])),
      ),
    ).toEqual(Array(6).fill(null))
    expect([
      rightOf('HEAD', '/api/runs'),
      rightOf('GET', '/api/runs/choices'),
      rightOf('GET', '/api/share'),
      rightOf('GET', '/Share'),
      rightOf('GET', '/PAIR'),
      rightOf('GET', '/API/share'),
    ]).toEqual(['device', 'device', 'machine', 'machine', 'anyone', null])
  })
})

describe('a path', () => {
  it.each([
    '/runs/%3F\\..\\..\\pair',
    '//runs',
    '/runs//x',
    '/./runs',
    '/pair/../runs',
    '/pair/..',
    '/%2e%2e/runs',
    '/pair/%2E%2e/runs',
    '/a%2Fb',
    '/a%5cb',
    '/a%00b',
    '/a%0d%0ab',
    '/%252e%252e/runs',
    '/a%3Fb',
    '/a%23b',
    '/a#b',
    '/a\\b',
    '/%zz',
    '/%',
    '/%C0%AE',
    'http://x/runs',
    '*',
    '',
    '/rüns',
    '/a b',
    '/a\tb',
    '/..',
    '/runs/..',
    '/.',
  ])('spelled %s is refused', (path) => {
    expect(plainPath(path)).toBe(null)
  })

  it('spelled plainly is taken, without its query and its last slash', () => {
    expect(
      ['/', '/runs', '/runs/', '/api/runs?after=../..', '/kit/things/01a2-b_c~d', '/a%20b', '/w%C3%BCrfel', '/a.b'].map(
        plainPath,
      ),
    ).toEqual(['/', '/runs', '/runs', '/api/runs', '/kit/things/01a2-b_c~d', '/a%20b', '/w%C3%BCrfel', '/a.b'])
  })
})

describe('another site', () => {
  const asked = (
    headers: Record<string, string>,
    { method = 'GET', isPage = false, shared = null as string[] | null } = {},
  ) => foreign({ headers, method }, { shared, isPage })
  const here = { host: '127.0.0.1:3000' }
  it('may link to a page, and ask for nothing else, by any method', () => {
    const linked = {
      ...here,
      'sec-fetch-site': 'cross-site',
      'sec-fetch-mode': 'navigate',
      'sec-fetch-dest': 'document',
    }
    expect(asked(linked, { isPage: true })).toBe(null)
    const others = [
      asked(linked),
      asked({ ...linked, 'sec-fetch-dest': 'iframe' }, { isPage: true }),
      asked({ ...linked, 'sec-fetch-mode': 'no-cors' }, { isPage: true }),
      asked(linked, { isPage: true, method: 'POST' }),
      asked({ ...here, 'sec-fetch-site': 'same-site' }),
      asked({ ...here, origin: 'http://elsewhere.example' }),
      asked({ ...here, origin: 'null' }),
      asked({ host: 'elsewhere.example' }),
      asked({ host: '127.0.0.1.elsewhere.example' }),
      asked({}),
    ]
    expect(others.every((why) => why !== null)).toBe(true)
  })

  it('is not this one: its own pages, a typed address, other programs; over the network only by the names it has there', () => {
    expect([
      asked({ ...here, 'sec-fetch-site': 'same-origin', origin: 'http://127.0.0.1:3000' }),
      asked({ ...here, 'sec-fetch-site': 'none' }),
      asked({ host: 'localhost:3000' }),
      asked({ host: '[::1]:3000' }),
    ]).toEqual([null, null, null, null])
    const shared = ['192.0.2.7:3443']
    expect([
      asked({ host: '192.0.2.7:3443' }, { shared }),
      asked({ host: 'localhost:3443' }, { shared }) === null,
      asked({ host: '192.0.2.7' }, { shared }) === null,
    ]).toEqual([null, false, false])
  })
})
