/**
 * A rehearsal played by keys at sixty times a stove's pace: read off what stands in for instruments and eyes, judged at
 * its end, and in no measured figure.
 */
import { anyFreePort } from '../../scripts/lib/ports.mjs'
import { clearBench } from '../../scripts/lib/stageBench.mjs'
import type { RunList } from '../../shared/runList'
import type { RunPage } from '../../shared/runRecord'
import { ownServer } from './ownServer'
import { choose, expect, test } from './page'
import { afterAPress, openEmpty } from './typing'

test(
  'rehearsed with the keys: seen, called late, weighed, judged, and kept apart',
  { tag: '@by-the-clock' },
  async ({ browser, request }) => {
    test.setTimeout(120_000)
    const server = await ownServer(null, (await anyFreePort()) as number)
    try {
      await clearBench(server.url)
      const page = await (
        await browser.newContext({ baseURL: server.url, viewport: { width: 1280, height: 800 } })
      ).newPage()
      const measuredBefore = ((await (await request.get(`${server.url}/api/runs`)).json()) as RunList).count
      await openEmpty(page, '/bench/prepare?rehearse')
      await choose(page.getByLabel('Method'), 'Boil')
      await choose(page.getByLabel('Set-up', { exact: true }), 'Ignimbrite, plain')
      await choose(page.getByLabel('Fuel', { exact: true }), 'Isobutane')
      await choose(page.getByLabel('Who'), 'Odra Vell')
      await choose(page.getByLabel('Place', { exact: true }), 'Ash Gate hut')
      await expect(page.getByLabel('What stands in')).toHaveValue('narrow-open')
      await choose(page.getByLabel('Time runs'), '60')
      await page.getByLabel('Water', { exact: true }).fill('1 L')
      await page.getByRole('button', { name: 'Arm lane A' }).click()
      const lane = page.locator('[data-lane=A]')
      await expect(lane.locator('[data-rehearsal]')).toContainText('rehearsal')
      const scale = async () => Number(/scale\s*([\d.]+)\s*g/.exec(await lane.locator('[data-seen]').innerText())![1])
      const weigh = async () => {
        await expect(lane.locator('[data-next]')).toBeFocused()
        await page.keyboard.press('Space')
        await expect(lane.locator('.lane-reading-box')).toBeFocused()
        await page.keyboard.type(`${await scale()} g`)
        await page.keyboard.press('Enter')
      }
      await expect(lane.locator('[data-seen]')).toContainText('scale', { timeout: 20_000 })
      await expect(lane.locator('[data-looks]')).toContainText('not lit')
      await weigh()
      const next = lane.locator('[data-next]')
      const press = async (words: string) => {
        await expect(next).toContainText(words)
        await afterAPress(page)
        await page.keyboard.press('Space')
        await expect(next).not.toContainText(words)
      }
      await press('Light')
      await press('Pot on')
      await expect(lane.locator('[data-looks]')).toContainText('burning')
      await expect(lane.locator('[data-looks]')).toContainText('rolls all over', { timeout: 40_000 })
      await press('Boil')
      await press('Out')
      await expect(lane.locator('[data-looks]')).toContainText('flame out')
      await afterAPress(page)
      await weigh()
      await expect(next).toHaveText('Finish')
      await afterAPress(page)
      await page.keyboard.press('Space')
      await page.waitForURL(/\/runs\/[0-9a-f-]{36}/)
      const end = page.getByRole('region', { name: 'Your calls against what happened' })
      // Called more than a second of ours late: more than a minute of the stove's.
      await expect(end.locator('[data-call=rollingBoil]')).toContainText('late')
      await expect(end.locator('[data-call=fuel]')).toBeVisible()
      await expect(end.locator('[data-step=calls]')).toContainText('−')
      await expect(end.locator('[data-bias]').first()).toContainText('Boil')
      await expect(page.locator('[data-origin]')).toContainText('A rehearsal')
      const run = (await (
        await request.get(`${server.url}/api/runs/${page.url().split('/').at(-1)}`)
      ).json()) as RunPage
      expect(run.record.origin).toBe('rehearsal')
      const boil = run.rehearsed!.judgement.calls.find((call) => call.kind === 'rollingBoil')!
      expect(boil.lateS).toBeGreaterThan(60)
      // In the stove's own seconds: a litre takes minutes.
      expect(run.answer.timeToBoilS).toBeGreaterThan(300)
      // Nobody typed them: they were sent.
      expect(run.record.measurements.map((one) => one.quantity)).toEqual(
        expect.arrayContaining(['air', 'wind', 'waterStart', 'stationPressure']),
      )
      expect(((await (await request.get(`${server.url}/api/runs`)).json()) as RunList).count).toBe(measuredBefore)
      expect(
        ((await (await request.get(`${server.url}/api/runs?origin=rehearsal`)).json()) as RunList).count,
      ).toBeGreaterThan(0)
    } finally {
      await clearBench(server.url).catch(() => undefined)
      await server.stop()
    }
  },
)
