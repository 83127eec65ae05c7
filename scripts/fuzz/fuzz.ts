/** The requests sent, a few at a time, and what each answer is held to. */
import { readFileSync } from 'node:fs'
import { outside } from '../lib/stretches.mjs'
import { learn } from './bodies'
import { requests, type Asked } from './requests'

export interface Fault {
  what: string
  asked: Asked
  said: string
  /** How long the answer took, and when it was over. */
  ms: number
  atMs: number
}
export interface Fuzzed {
  sent: number
  faults: Fault[]
  statuses: Record<string, number>
  grownMB: number
  slowestMs: number
}

const AT_ONCE = 4
const LONGEST_MS = 5000
const MOST_GROWTH_MB = 300
/** What is no JSON on success: files, pictures, tables. */
const OTHER_TYPES = /^\/api\/(runs\/export|photos\/|package)|\/results$/

/** @param taken asked at the end: stretches in which the machine's host gave it to others, [from, to] [ms since 1970] */
export async function fuzz({
  url,
  pid,
  seed,
  count,
  taken,
}: {
  url: string
  pid: number
  seed: number
  count: number
  taken: () => Promise<[number, number][]>
}): Promise<Fuzzed> {
  const asked = requests(await learn(url), { seed, count })
  const before = rssMB(pid)
  const fuzzed: Fuzzed = { sent: 0, faults: [], statuses: {}, grownMB: 0, slowestMs: 0 }
  let next = 0
  const worker = async () => {
    while (next < asked.length) {
      const one = asked[next++]!
      await send(url, one, fuzzed)
      if (fuzzed.sent % 500 === 0) fuzzed.grownMB = Math.max(fuzzed.grownMB, Math.round(rssMB(pid) - before))
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, worker))
  fuzzed.grownMB = Math.max(fuzzed.grownMB, Math.round(rssMB(pid) - before))
  if (fuzzed.grownMB > MOST_GROWTH_MB)
    fuzzed.faults.push({
      what: `grew by ${fuzzed.grownMB} MB`,
      asked: asked.at(-1)!,
      said: '',
      ms: 0,
      atMs: Date.now(),
    })
  const late = fuzzed.faults.filter(isLate)
  const own = new Set(outside(late, await taken()))
  return { ...fuzzed, faults: fuzzed.faults.filter((one) => !isLate(one) || own.has(one)) }
}

/** Slow, or given up by a limit of time: while the machine is another's, no fault of ours. */
const isLate = ({ what }: Fault): boolean => /^(\d+ ms|503) /.test(what)

async function send(url: string, asked: Asked, fuzzed: Fuzzed): Promise<void> {
  const { method, body, route } = asked
  const begun = Date.now()
  const fault = (what: string, said = '') => {
    const cut = { ...asked, body: body?.slice(0, 600) ?? null }
    fuzzed.faults.push({ what, asked: cut, said: said.slice(0, 300), ms: Date.now() - begun, atMs: Date.now() })
  }
  fuzzed.sent++
  try {
    const answer = await ask(url, asked)
    const { status, ms, text } = answer
    fuzzed.statuses[`${status}`] = (fuzzed.statuses[`${status}`] ?? 0) + 1
    fuzzed.slowestMs = Math.max(fuzzed.slowestMs, Math.round(ms))
    const wrong = wrongOf(asked, answer)
    if (wrong !== null) fault(`${wrong} of ${method} ${route}`, text)
  } catch (error) {
    fault(`no answer of ${method} ${route}`, String((error as Error).cause ?? error))
  }
}

interface Answered {
  status: number
  ms: number
  text: string
}

async function ask(url: string, { method, path, body, cookie, route }: Asked): Promise<Answered> {
  const begun = performance.now()
  const answer = await fetch(`${url}${path}`, {
    method,
    redirect: 'manual',
    signal: AbortSignal.timeout(4 * LONGEST_MS),
    headers: {
      ...(body === null ? {} : { 'content-type': 'application/json' }),
      ...(cookie ? { cookie } : {}),
      ...(route.endsWith('samples') ? { authorization: 'Bearer vNobody' } : {}),
    },
    ...(body === null ? {} : { body }),
  })
  const text = await answer.text()
  return { status: answer.status, ms: performance.now() - begun, text }
}

/** What an answer must not be; null: it is in order. */
function wrongOf({ path }: Asked, { status, ms, text }: Answered): string | null {
  if (status >= 500) return `${status}`
  if (ms > LONGEST_MS) return `${Math.round(ms)} ms`
  if (status < 400 && OTHER_TYPES.test(path.split('?')[0]!)) return null
  if (!isJson(text)) return `no JSON (${status})`
  return status >= 400 && !saysWhy(text) ? `${status} without a problem in words` : null
}

/** An empty body says null. */
const isJson = (text: string): boolean => {
  if (text === '') return true
  try {
    JSON.parse(text)
    return true
  } catch {
    return false
  }
}
/** A conflict may carry the other's version instead. */
const saysWhy = (text: string): boolean => {
  const { problems, status, acks } = JSON.parse(text || '{}') as {
    problems?: { text?: string }[]
    status?: string
    acks?: unknown[]
  }
  return (
    Array.isArray(acks) ||
    status === 'conflict' ||
    (Array.isArray(problems) &&
      problems.length > 0 &&
      problems.every((one) => typeof one.text === 'string' && one.text !== ''))
  )
}

function rssMB(pid: number): number {
  return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024
}
