/**
 * Requests over all routes of the table, by a seed: the same seed makes the same requests of the same demonstration.
 */
import fc from 'fast-check'
import { API, type Rights } from '../../server/http/access'
import type { Known } from './bodies'
import { harmed, hostile, nonsense } from './hostile'

export interface Asked {
  route: string
  method: string
  path: string
  body: string | null
  cookie: string | null
}

/** What answers by going on (streams), by programs of this machine or by taking every byte: asked elsewhere. */
const LEFT_OUT = new Set(['GET /api/bench/stream', 'GET /api/instruments/socket', 'GET /api/package'])
const QUERIES = [
  'after',
  'words',
  'setup',
  'from',
  'to',
  'sort',
  'group',
  'remark',
  'origin',
  'voided',
  'import',
  'tag',
  'runs',
  'mixed',
  'draws',
  'seed',
  'boil',
  'clock',
  'reference',
  'name',
  'owner',
  'ownerId',
  'caption',
  'atMs',
  'personId',
  'batch',
  'seen',
  'had',
  'fuel',
  'wind',
]

const odd = (text: string) => encodeURIComponent(text.toWellFormed())
const wordOf = (value: unknown) => (typeof value === 'string' ? value : (JSON.stringify(value) ?? ''))
const cursor = fc
  .record({
    group: hostile,
    value: hostile,
    id: fc.oneof(hostile, fc.constant('00000000-0000-7000-8000-000000000000'), fc.constant('-'.repeat(36))),
  })
  .map((read) => Buffer.from(JSON.stringify(read)).toString('base64url'))
const query = fc
  .array(
    fc.tuple(
      fc.constantFrom(...QUERIES),
      fc.oneof(
        hostile.map(wordOf),
        cursor,
        fc.constantFrom('startedAt.up', 'normalisedGPerL.down', 'setup', 'day', 'all', 'shown', '2026-05-01', 'run'),
      ),
    ),
    { maxLength: 4 },
  )
  .map((pairs) =>
    pairs.length === 0 ? '' : `?${pairs.map(([key, value]) => `${key}=${odd(value.slice(0, 1500))}`).join('&')}`,
  )
/** Cookies of other programs on the same host. */
const cookie = fc.option(
  fc.constantFrom(
    'units=imperial',
    'light=sepia; units=[object Object]',
    'vulcanum_units=imperial',
    'vulcanum_light=%00',
    'units=%E0%A4%A',
    '__proto__=1',
    `x=${'y'.repeat(3000)}`,
  ),
  { freq: 6 },
)

const routes = Object.entries(API)
  .flatMap(([route, rights]: [string, Rights]) => Object.keys(rights).map((method) => ({ route, method })))
  .filter(({ route, method }) => !LEFT_OUT.has(`${method} ${route}`))

export function requests(known: Known, { seed, count }: { seed: number; count: number }): Asked[] {
  return fc.sample(
    fc.constantFrom(...routes).chain((one) => requestTo(one, known)),
    { seed, numRuns: count },
  )
}

function requestTo({ route, method }: { route: string; method: string }, known: Known): fc.Arbitrary<Asked> {
  const id = fc.oneof(
    { weight: 4, arbitrary: fc.constantFrom(...known.ids) },
    fc.uuid(),
    hostile.map(wordOf).filter((text) => text !== ''),
  )
  const path = fc
    .tuple(id, fc.uuid())
    .map(([first, second]) => route.replace('[id]', odd(first).slice(0, 300)).replace('[check]', second))
  const bodies: fc.Arbitrary<string>[] = [
    nonsense,
    ...(known.bodies[route] ?? []).map(harmed),
    ...(known.raw[route] ?? []).map((text) => fc.constant(text)),
  ]
  return fc.record({
    route: fc.constant(route),
    method: fc.constant(method),
    path: fc.tuple(path, query).map(([at, asked]) => at + asked),
    body: method === 'POST' || method === 'PUT' ? fc.oneof(...bodies) : fc.constant(null),
    cookie,
  })
}
