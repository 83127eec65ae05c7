/**
 * What other pages, other programs and other people's cookies may do to the server: nothing that is seen by a tester.
 */
import { connect, type Socket } from 'node:net'
import { othersWait } from './othersWait'
import { expect, open, test } from './page'

/** A connection of its own, and what the server said on it. */
class Wire {
  said = ''
  ended = false
  readonly #socket: Socket

  constructor(url: string, head: string) {
    const { port } = new URL(url)
    this.#socket = connect(Number(port), '127.0.0.1', () => this.#socket.write(head))
    this.#socket
      .setEncoding('latin1')
      .on('data', (text: string) => {
        this.said += text
      })
      .on('close', () => {
        this.ended = true
      })
      .on('error', () => undefined)
  }

  send = (bytes: Buffer) => void this.#socket.write(bytes)
  close = () => void this.#socket.destroy()
  get status() {
    return Number(/^HTTP\/1\.1 (\d+)/.exec(this.said)?.[1] ?? 0)
  }
}
const upgrade = (url: string, headers: Record<string, string> = {}, path = '/api/instruments/socket') =>
  new Wire(
    url,
    [
      `GET ${path} HTTP/1.1`,
      ...Object.entries({
        Host: new URL(url).host,
        Connection: 'Upgrade',
        Upgrade: 'websocket',
        'Sec-WebSocket-Key': 'dGhlIHNhbXBsZSBub25jZQ==',
        'Sec-WebSocket-Version': '13',
        ...headers,
      }).map(([name, value]) => `${name}: ${value}`),
      '',
      '',
    ].join('\r\n'),
  )
/** RFC 6455, 5.2: a text frame of a client, whose mask is all zeros. */
function frame(length: number): Buffer {
  const head = Buffer.alloc(14)
  head[0] = 0x81
  head[1] = 0x80 | 127
  head.writeBigUInt64BE(BigInt(length), 2)
  return Buffer.concat([head, Buffer.alloc(Math.min(length, 4_000_000), 0x61)])
}

test('a page says what it may be: no script but ours, in no frame; and works under it', async ({ page, faults }) => {
  const answer = await page.goto('/runs')
  const headers = answer!.headers()
  const policy = headers['content-security-policy']!
  expect(policy).toMatch(/script-src 'self' 'nonce-[\w+/=-]{16,}'/)
  expect(policy).not.toMatch(/script-src[^;]*unsafe/)
  for (const part of ["frame-ancestors 'none'", "object-src 'none'", "base-uri 'none'", "default-src 'self'"])
    expect(policy).toContain(part)
  expect([
    headers['x-content-type-options'],
    headers['referrer-policy'],
    headers['x-frame-options'],
    headers['strict-transport-security'],
  ]).toEqual(['nosniff', 'same-origin', 'DENY', undefined])
  // Another page, another nonce.
  expect((await page.request.get('/runs')).headers()['content-security-policy']).not.toBe(policy)
  expect((await page.request.get('/api/runs')).headers()['x-content-type-options']).toBe('nosniff')
  const broke = await page.evaluate(
    () =>
      new Promise<string>((done) => {
        document.addEventListener('securitypolicyviolation', (event) => done(event.violatedDirective))
        const script = document.createElement('script')
        script.textContent = 'globalThis.broke = true'
        document.body.append(script)
        setTimeout(() => done('nothing'), 1000)
      }),
  )
  expect([broke, await page.evaluate(() => 'broke' in globalThis)]).toEqual(['script-src-elem', false])
  // That one, and nothing of ours.
  expect(faults.splice(0)).toEqual([expect.stringContaining('Executing inline script violates')])
})

test('readers of one page at the same time: each in its own units, under a nonce that nobody else was told', async ({
  baseURL,
}) => {
  const read = async (units: string) => {
    const answer = await fetch(`${baseURL}/runs`, { headers: { cookie: `other=1; vulcanum_units=%22${units}%22` } })
    const nonce = /'nonce-([^']+)'/.exec(answer.headers.get('content-security-policy')!)![1]!
    const page = await answer.text()
    return {
      units,
      nonce,
      scripts: [...page.matchAll(/<script nonce="([^"]+)"/g)].map((one) => one[1]),
      trail: /data-units[^>]*>\s*Trail/.test(page),
    }
  }
  const readers = await Promise.all(Array.from({ length: 20 }, (_, i) => read(i % 2 === 0 ? 'metric' : 'trail')))
  expect(new Set(readers.map((one) => one.nonce)).size).toBe(20)
  for (const { units, nonce, scripts, trail } of readers) {
    expect([units, trail]).toEqual([units, units === 'trail'])
    expect(new Set(scripts)).toEqual(new Set([nonce]))
  }
})

test('cookies of others on this host change nothing', async ({ page, context, baseURL }) => {
  for (const [name, value] of [
    ['units', 'imperial'],
    ['light', 'sepia'],
    ['vulcanum_units', 'imperial'],
    ['vulcanum_light', '%7B%22a%22%3A1%7D'],
    ['vulcanum_columns', '%22all%22'],
    ['run-columns', 'x'],
  ] as const)
    await context.addCookies([{ name, value, url: baseURL! }])
  for (const path of ['/', '/runs', '/kit', '/methods'])
    expect([path, (await page.goto(path))!.status()]).toEqual([path, 200])
  await open(page, '/runs')
  await expect(page.locator('html')).toHaveAttribute('data-light', 'day')
})

test('a web socket is opened for no other site, at no other address; it takes no endless message, and nobody without a token stays', async ({
  baseURL,
}) => {
  const url = baseURL!
  const refused: [Record<string, string>, string?][] = [
    [{ Origin: 'https://elsewhere.example' }],
    [{ Host: 'elsewhere.example' }],
    [{ 'Sec-Fetch-Site': 'cross-site' }],
    [{}, '/'],
    [{}, '/api/bench/stream'],
    [{}, '/api/instruments/../instruments/socket'],
    [{}, '//api/instruments/socket'],
  ]
  for (const [headers, path] of refused) {
    const wire = upgrade(url, headers, path)
    await expect.poll(() => wire.status, JSON.stringify([headers, path])).toBeGreaterThanOrEqual(400)
    wire.close()
  }
  const silent = upgrade(url)
  await expect.poll(() => silent.status).toBe(101)
  const large = upgrade(url)
  await expect.poll(() => large.status).toBe(101)
  large.send(frame(99_000_000))
  await expect.poll(() => large.ended, { timeout: 5000 }).toBe(true)
  await expect.poll(() => silent.ended, { timeout: 15_000 }).toBe(true)
  expect(silent.said).toContain('No token came within 10 s')
})

test(
  'Monte Carlo of as many draws as there may be holds nobody up, and ends with who asked',
  { tag: '@by-the-clock' },
  async ({ baseURL }) => {
    const { lines } = (await (await fetch(`${baseURL}/api/runs`)).json()) as {
      lines: { id: string; normalisedGPerL: number | null }[]
    }
    const id = lines.find((line) => line.normalisedGPerL !== null)!.id
    const draw = (seed: number, signal?: AbortSignal) =>
      fetch(`${baseURL}/api/runs/${id}/monte-carlo?draws=200000&seed=${seed}`, { signal })
    const took = async (answer: Promise<Response>) => {
      const begun = performance.now()
      expect((await answer).status).toBe(200)
      return performance.now() - begun
    }
    const waits = await othersWait(baseURL!, async () => {
      await draw(1)
      const aloneMs = await took(draw(60))
      const left = new AbortController()
      const abandoned = Array.from({ length: 14 }, (_, i) => draw(i + 2, left.signal).catch(() => null))
      const kept = draw(50)
      left.abort()
      const keptMs = await took(kept)
      // Fourteen that nobody waits for any more, two at a time, are not worked off first.
      expect(keptMs).toBeLessThan(5 * Math.max(aloneMs, await took(draw(61))))
      await Promise.all(abandoned)
    })
    expect(waits[Math.floor(waits.length * 0.98)]!).toBeLessThan(300)
  },
)

test('a logger’s seconds since 1970 in a run that is typed are refused in words; the page’s own reader takes them', async ({
  baseURL,
}) => {
  const kit = (await (await fetch(`${baseURL}/api/kit`)).json()) as Record<string, { id: string }[]>
  const sent = (trace: [number, number][]) =>
    fetch(`${baseURL}/api/runs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: crypto.randomUUID(),
        units: 'metric',
        startedAt: '2026-05-01T10:00:00Z',
        zone: 'UTC',
        personId: kit.people![0]!.id,
        setupId: kit.setups![0]!.id,
        fuelBatchId: kit.fuels![0]!.id,
        placeId: null,
        measured: { water: '500 g' },
        times: { potOn: '0:00', rollingBoil: '4:10' },
        notes: 'a \ud800 and a \0',
        trace,
        overrides: { burnerAndFuel: 'a test' },
      }),
    })
  for (const zero of [1_777_000_000, 1_777_000_000_000]) {
    const answer = await sent([
      [zero, 20],
      [zero + 60, 50],
    ])
    expect([answer.status, await answer.text()]).toEqual([422, expect.stringMatching(/seconds since 1970/)])
  }
})
