/** A second device over HTTPS: let in by the code alone, then on the same lanes; and shut out again. */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { anyFreePort } from '../../scripts/lib/ports.mjs'
import { shareCertificate } from '../../scripts/lib/share.mjs'
import { stage, clearBench } from '../../scripts/lib/stageBench.mjs'
import type { Bench } from '../../shared/bench'
import type { ShareState } from '../../shared/share'
import { ownServer } from './ownServer'
import { expect, open, test } from './page'

test('an unpaired device sees the pairing page and nothing else; paired, it marks the same lanes; forgotten, it is shut out', async ({ page, browser, faults }) => {
  const folder = mkdtempSync(join(tmpdir(), 'vulcanum-share-'))
  const port: number = await anyFreePort()
  const server = await ownServer({ port, host: '127.0.0.1', addresses: ['127.0.0.1'], ...await shareCertificate(folder, ['127.0.0.1']) })
  const phones = await browser.newContext({ ignoreHTTPSErrors: true, baseURL: `https://127.0.0.1:${port}`, viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })
  try {
    await stage(server.url, [{ lane: 'A', measured: { fuelBefore: '210 g' } }])
    const phone = await phones.newPage()
    for (const path of ['/api/bench', '/api/runs', '/api/kit', '/api/bench/stream', '/api/share']) expect([path, (await phone.request.get(path)).status()]).toEqual([path, path === '/api/share' ? 403 : 401])
    expect((await phone.request.post('/api/bench/acts', { data: { device: { id: crypto.randomUUID(), name: 'x' }, acts: [] } })).status()).toBe(401)
    await open(phone, '/bench')
    await expect(phone).toHaveURL(/\/pair$/)
    // Plain HTTP at that door, and another site's page, get nothing.
    expect((await phone.request.get('/pair', { headers: { origin: 'https://elsewhere.example' } })).status()).toBe(403)

    await open(page, `${server.url}/share`)
    await expect(page.getByRole('img', { name: `The address https://127.0.0.1:${port} as a picture` })).toBeVisible()
    const shared = async () => ((await (await page.request.get(`${server.url}/api/share`)).json()) as ShareState).shared!
    const { code } = await shared()
    await expect(page.locator('[data-code]')).toHaveText(`${code.slice(0, 3)} ${code.slice(3)}`)
    const wrong = code === '000000' ? '000001' : '000000'
    await phone.getByLabel('What to call this device').fill('Odra’s phone')
    await phone.getByLabel('Code on the other screen').fill(wrong)
    await phone.getByRole('button', { name: 'Pair' }).click()
    await expect(phone.getByText('Code: this is not the one')).toBeVisible()
    for (let i = 0; i < 4; i++) await phone.request.post('/api/pair', { data: { code: wrong, name: 'x' } })
    // After five wrong ones the first code is good no more.
    expect((await shared()).code).not.toBe(code)
    await phone.getByLabel('Code on the other screen').fill((await shared()).code)
    await phone.getByRole('button', { name: 'Pair' }).click()
    await expect(phone.getByRole('region', { name: 'Lane A' })).toBeVisible()
    await phone.getByRole('region', { name: 'Lane A' }).locator('[data-next]').click()
    await open(page, `${server.url}/bench`)
    await expect(page.locator('[data-lane=A] [data-next]')).toHaveText('Pot on')
    const { lanes } = (await (await page.request.get(`${server.url}/api/bench`)).json()) as Bench
    const { devices: [device] } = (await (await page.request.get(`${server.url}/api/share`)).json()) as ShareState
    expect([device!.name, lanes[0]!.state.marks[0]!.device]).toEqual(['Odra’s phone', device!.id])

    await open(page, `${server.url}/share`)
    await page.getByRole('button', { name: 'Forget Odra’s phone' }).click()
    await expect(page.getByRole('button', { name: 'Forget Odra’s phone' })).toHaveCount(0)
    expect((await phone.request.get('/api/bench')).status()).toBe(401)
  } finally {
    await phones.close()
    await clearBench(server.url)
    await page.goto('about:blank')
    await server.stop()
    rmSync(folder, { recursive: true })
  }
  faults.splice(0)
})
