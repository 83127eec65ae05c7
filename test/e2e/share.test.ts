/**
 * A second device over HTTPS: let in by the code and the other screen's yes, then on the same lanes; and shut out
 * again.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { anyFreePort } from '../../scripts/lib/ports.mjs'
import { shareCertificate } from '../../scripts/lib/share.mjs'
import { stage, clearBench } from '../../scripts/lib/stageBench.mjs'
import { API } from '../../server/http/access'
import type { Bench } from '../../shared/bench'
import type { ShareState } from '../../shared/share'
import { ownServer } from './ownServer'
import { expect, open, test as base } from './page'
import { askRaw, spellingsOf } from './spellings'

/** A server that is shared, on the browser tests' database. */
const test = base.extend<{ shared: { url: string; port: number } }>({
  shared: async ({ page, faults }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'vulcanum-share-'))
    const port: number = await anyFreePort()
    const server = await ownServer({
      port,
      addresses: ['127.0.0.1'],
      ...(await shareCertificate(folder, ['127.0.0.1'])),
    })
    await use({ url: server.url, port })
    await clearBench(server.url)
    await page.goto('about:blank')
    await server.stop()
    rmSync(folder, { recursive: true })
    faults.splice(0)
  },
})

test('who was not let in gets the pairing page and what it is made of, by every route and however a path is spelled', async ({
  shared: { url, port },
}) => {
  const { lines } = (await (await fetch(`${url}/api/runs`)).json()) as { lines: { id: string; setup: string }[] }
  const things = (await (await fetch(`${url}/api/kit/things`)).json()) as { id: string; name: string }[]
  const { people } = (await (await fetch(`${url}/api/kit`)).json()) as { people: { name: string }[] }
  const secrets = [
    ...new Set([
      ...lines.slice(0, 9).flatMap((one) => [one.id, one.setup]),
      ...things.map((one) => one.id),
      ...people.map((one) => one.name),
    ]),
  ]
  const paths = [
    '/',
    '/runs',
    `/runs/${lines[0]!.id}`,
    '/kit',
    `/kit/things/${things[0]!.id}`,
    '/bench',
    '/share',
    '/api/runs',
    `/api/runs/${lines[0]!.id}`,
    '/api/kit',
    '/api/share',
    '/api/bench/stream',
    '/api/package',
  ]
  const spelled = paths.flatMap(spellingsOf)
  expect(spelled.length).toBeGreaterThan(200)
  for (const path of spelled) {
    const { status, location, body } = await askRaw(port, path, { headers: { host: `127.0.0.1:${port}` } })
    // What was asked for may be said back; what is here may not.
    const told = secrets.filter((one) => body.includes(one) && !path.toLowerCase().includes(one))
    const isPairing = status === 200 && body.includes('Pair this device')
    const isAsset = status === 200 && body.startsWith('<svg')
    expect(
      {
        path,
        told,
        kept: isPairing || isAsset || (status === 302 && location === '/pair') || (status >= 400 && status < 500),
      },
      `${path} gave ${status}`,
    ).toEqual({ path, told: [], kept: true })
  }
  for (const [route, rights] of Object.entries(API)) {
    for (const [method, right] of Object.entries(rights)) {
      const { status } = await askRaw(port, route.replace(/\[\w+\]/g, lines[0]!.id), {
        method,
        headers: { host: `127.0.0.1:${port}` },
      })
      const asked = `${method} ${route}`
      expect([asked, status]).toEqual([asked, right === 'anyone' ? 400 : right === 'machine' ? 403 : 401])
    }
  }
  // Another site's page, and another name for this machine, get nothing, by any method.
  const foreign: Record<string, string>[] = [
    { host: `127.0.0.1:${port}`, origin: 'https://elsewhere.example' },
    { host: 'elsewhere.example' },
    { host: `127.0.0.1:${port}`, 'sec-fetch-site': 'cross-site' },
  ]
  for (const headers of foreign)
    for (const method of ['GET', 'POST'])
      expect((await askRaw(port, '/api/pair', { method, headers })).status).toBe(403)
})

test('a device says the code, the other screen lets it in by its name, it marks the same lanes; forgotten, it hears and does nothing more', async ({
  page,
  browser,
  shared: { url, port },
}) => {
  await stage(url, [{ lane: 'A', measured: { fuelBefore: '210 g' } }])
  const phones = await browser.newContext({
    ignoreHTTPSErrors: true,
    baseURL: `https://127.0.0.1:${port}`,
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
  })
  const phone = await phones.newPage()
  const state = async () => (await (await fetch(`${url}/api/share`)).json()) as ShareState
  try {
    await open(phone, '/bench')
    await expect(phone).toHaveURL(/\/pair$/)
    await phone.getByLabel('What to call this device').fill('Odra’s phone')
    await phone.getByLabel('Code on the other screen').fill('12345678')
    await phone.getByRole('button', { name: 'Pair' }).click()
    await expect(phone.getByText('Pairing is not open.')).toBeVisible()

    await open(page, `${url}/share`)
    await expect(page.getByRole('img', { name: `The address https://127.0.0.1:${port} as a picture` })).toBeVisible()
    await expect(page.locator('[data-code]')).toHaveText(/^\d{4} \d{4}$/)
    const code = (await page.locator('[data-code]').innerText()).replace(' ', '')
    await phone.getByLabel('Code on the other screen').fill(code === '00000000' ? '00000001' : '00000000')
    await phone.getByRole('button', { name: 'Pair' }).click()
    await expect(phone.getByText('Code: this is not the one')).toBeVisible()
    // The right one too has to wait, whoever says it.
    expect((await phone.request.post('/api/pair', { data: { code, name: 'x' } })).status()).toBe(429)
    await phone.getByLabel('Code on the other screen').fill(code)
    await expect(async () => {
      await phone.getByRole('button', { name: 'Pair' }).click()
      await expect(phone.getByText('Look at the other screen')).toBeVisible({ timeout: 500 })
    }).toPass()
    expect((await phone.request.get('/api/bench')).status()).toBe(401)
    await page.getByRole('button', { name: 'Let it in' }).click()
    await expect(phone.getByRole('region', { name: 'Lane A' })).toBeVisible()
    await expect(page.getByText('No device can be let in now')).toBeVisible()

    await phone.getByRole('region', { name: 'Lane A' }).locator('[data-next]').click()
    await expect
      .poll(async () => ((await (await fetch(`${url}/api/bench`)).json()) as Bench).lanes[0]!.state.marks.length)
      .toBe(1)
    const { lanes } = (await (await fetch(`${url}/api/bench`)).json()) as Bench
    const {
      devices: [device],
    } = await state()
    expect([device!.name, lanes[0]!.state.marks[0]!.device]).toEqual(['Odra’s phone', device!.id])
    // Let in, it may not let in others.
    expect([
      (await phone.request.get('/api/share')).status(),
      (await phone.request.post('/api/share/pairing')).status(),
    ]).toEqual([403, 403])

    await phone.evaluate(() => {
      const heard: string[] = []
      Object.assign(globalThis, { heard })
      const stream = new EventSource('/api/bench/stream')
      stream.addEventListener('bench', () => heard.push('bench'))
      stream.addEventListener('error', () => {
        heard.push('ended')
        stream.close()
      })
    })
    const heard = () => phone.evaluate(() => (globalThis as unknown as { heard: string[] }).heard.join())
    await expect.poll(heard).toBe('bench')
    await page.getByRole('button', { name: 'Forget Odra’s phone' }).click()
    await expect.poll(heard).toBe('bench,ended')
    expect((await phone.request.get('/api/bench')).status()).toBe(401)
    await phone.goto('/runs')
    await expect(phone).toHaveURL(/\/pair$/)
  } finally {
    await phones.close()
  }
})

test('a photographed picture needs no code typed; whom the screen refuses stays out', async ({
  page,
  browser,
  shared: { url, port },
}) => {
  await open(page, `${url}/share`)
  await expect(page.locator('[data-code]')).toBeVisible()
  const picture = decodeURIComponent((await page.getByRole('img', { name: 'as a picture' }).getAttribute('src'))!)
  expect(picture).toContain('<svg')
  const phones = await browser.newContext({
    ignoreHTTPSErrors: true,
    baseURL: `https://127.0.0.1:${port}`,
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
  })
  try {
    const phone = await phones.newPage()
    // Nobody else's secret opens pairing, however it came.
    await open(phone, '/pair#AAAAAAAAAAAAAAAAAAAAAA')
    await expect(phone.getByLabel('Code on the other screen')).toHaveCount(0)
    expect(phone.url()).not.toContain('#')
    await phone.getByLabel('What to call this device').fill('somebody')
    await phone.getByRole('button', { name: 'Pair' }).click()
    await expect(phone.getByText('Code: this is not the one')).toBeVisible()
    await phone.getByLabel('Code on the other screen').fill(await page.locator('[data-code]').innerText())
    await expect(async () => {
      await phone.getByRole('button', { name: 'Pair' }).click()
      await expect(phone.getByText('Look at the other screen')).toBeVisible({ timeout: 500 })
    }).toPass()
    await page.getByRole('button', { name: 'Refuse' }).click()
    await expect(phone.getByText('did not let this device in')).toBeVisible()
    expect((await phone.request.get('/api/bench')).status()).toBe(401)
  } finally {
    await phones.close()
  }
})
