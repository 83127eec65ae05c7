/** What is said of a run afterwards: void, break-in, which boil, observations, photos. */
import { request as send } from 'node:http'
import type { Locator } from '@playwright/test'
import sharp from 'sharp'
import { choose, expect, open, test, runsOf } from './page'

const LATE = '/runs/01970000-0000-7000-8000-000000000277'

/** Says something of a run: its button asks why, and is pressed again. */
const saying = (decisions: Locator) => async (words: string, reason: string) => {
  await decisions.getByRole('button', { name: words }).click()
  const form = decisions.getByRole('form', { name: words })
  await form.getByLabel('Reason').fill(reason)
  await form.getByRole('button', { name: words }).click()
}

test('a run is made void with a reason, leaves the figures, is still found, and counts again', async ({ page }) => {
  await open(page, '/runs/01950000-0000-7000-8000-000000000103')
  const n = async () =>
    Number(/(\d+) runs/.exec(await page.getByRole('region', { name: 'Its set-up' }).innerText())![1])
  const before = await n()
  const decisions = page.getByRole('region', { name: 'Decisions' })
  const say = saying(decisions)
  await say('Make it void', '')
  await expect(decisions.getByRole('alert')).toContainText('Reason: read nothing')
  await decisions.getByLabel('Reason').fill('knocked over')
  await decisions.getByRole('form').getByRole('button', { name: 'Make it void' }).click()
  await expect(page.locator('[data-void]')).toContainText('knocked over')
  await open(page, await runsOf(page, { setup: 'Solfatara with finned pot' }))
  await expect(page.locator('a[href$="000000000103"]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Find in these' }).click()
  await page.getByLabel('Void ones too').check()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('row').filter({ has: page.locator('a[href$="000000000103"]') })).toContainText('void')
  await open(page, '/runs/01950000-0000-7000-8000-000000000108')
  expect(await n()).toBe(before - 1)
  await open(page, '/runs/01950000-0000-7000-8000-000000000103')
  await say('It counts after all', 'it was the other pot')
  await expect(page.locator('[data-void]')).toHaveCount(0)
  await expect(decisions).toContainText('Void: knocked over')
  await say('It was a break-in', 'new burner')
  await expect(page.locator('[data-break-in]')).toBeVisible()
  await say('It was no break-in', 'no, the other one')
  await expect(page.locator('[data-break-in]')).toHaveCount(0)
})

test('call and trace disagree: one is decided for, with a reason, and the time follows', async ({ page }) => {
  await open(page, LATE)
  const called = await page.locator('[data-figure=time]').innerText()
  const decisions = page.getByRole('region', { name: 'Decisions' })
  await expect(decisions).toContainText(/You called \d:\d\d; the trace says \d:\d\d\. Which\?/)
  const say = saying(decisions)
  await say('The trace is right', 'looked up late')
  await expect(decisions).toContainText('Which boil: the trace. looked up late')
  await expect(page.locator('[data-figure=time]')).not.toHaveText(called)
  await say('The call is right', 'as before')
  await expect(page.locator('[data-figure=time]')).toHaveText(called)
})

test('what was seen is noted on a scale with words, with its moment, and the next look takes its place', async ({
  page,
}) => {
  await open(page, LATE)
  const seen = page.getByRole('form', { name: 'Observe' })
  const begin = page.getByRole('button', { name: 'Note what was seen' })
  await begin.click()
  await choose(seen.getByLabel('On the scale'), 'flame')
  await seen.getByRole('button', { name: 'Note it' }).click()
  await expect(seen.getByRole('alert')).toContainText('choose the words that fit')
  await choose(seen.getByLabel('It was'), 'spilling')
  await seen.getByLabel('At').fill('2:10')
  await seen.getByLabel('Note').fill('<b>left</b> side ⬅️')
  await seen.getByRole('button', { name: 'Note it' }).click()
  await expect(page.locator('[data-observed=flame]')).toHaveText('2:10 spilling down-wind. <b>left</b> side ⬅️')
  await begin.click()
  await choose(seen.getByLabel('On the scale'), 'flame')
  await choose(seen.getByLabel('It was'), 'even')
  await seen.getByRole('button', { name: 'Note it' }).click()
  await expect(page.locator('[data-observed=flame]')).toHaveText('even contact with the pot')
})

test('a photo is attached to a moment, dimmed in the dark, and taken out; what is none, or too large, or broken off, is refused and the server lives', async ({
  page,
  context,
  baseURL,
  request,
}) => {
  await open(page, LATE)
  const photos = page.getByRole('region', { name: 'Photos' })
  const jpeg = await sharp({ create: { width: 320, height: 240, channels: 3, background: '#ffffff' } })
    .jpeg()
    .toBuffer()
  const give = (name: string, buffer: Buffer) =>
    photos.locator('input[type=file]').setInputFiles({ name, mimeType: 'image/jpeg', buffer })
  await photos.getByRole('button', { name: 'Add a photo' }).click()
  await give('list.jpg', Buffer.from('eggs, bread'))
  await photos.getByRole('button', { name: 'Add the photo' }).click()
  await expect(photos.getByRole('alert')).toContainText('not a JPEG, PNG or WebP picture')
  await give('large.jpg', Buffer.concat([jpeg, Buffer.alloc(16_000_000)]))
  await photos.getByRole('button', { name: 'Add the photo' }).click()
  await expect(photos.getByRole('alert')).toContainText('read 16.0 MB, expected at most 15 MB')
  await give('flame.jpg', jpeg)
  await photos.getByLabel('Says').fill('flame to the left')
  await photos.getByLabel('At').fill('2:05')
  await photos.getByRole('button', { name: 'Add the photo' }).click()
  await expect(photos.getByRole('img', { name: 'flame to the left' })).toBeVisible()
  await expect(photos).toContainText('2:05 flame to the left')

  // A 200 MB file that announces itself, and an upload that breaks off half-way: refused, and the server answers on.
  const id = LATE.split('/').at(-1)!
  const target = `/api/photos/01990000-0000-7000-8000-000000000001?owner=run&ownerId=${id}`
  expect(await sendOnly(new URL(target, baseURL).href, jpeg, 200_000_000)).toBe(413)
  expect(await sendOnly(new URL(target, baseURL).href, jpeg, jpeg.length + 5000)).toBeNull()
  expect((await request.get('/api/health')).status()).toBe(200)
  expect((await request.get('/api/photos/01990000-0000-7000-8000-000000000001')).status()).toBe(404)

  await context.addCookies([{ name: 'vulcanum_light', value: '%22dark%22', url: baseURL! }])
  await open(page, LATE)
  await photos.getByRole('button', { name: 'Look at flame to the left' }).click()
  const brightest = await page.getByRole('dialog').getByRole('img').screenshot()
  const { data } = await sharp(brightest).raw().toBuffer({ resolveWithObject: true })
  expect(Math.max(...data.filter((_, i) => i % (data.length / (320 * 240)) === 2))).toBeLessThanOrEqual(0x40)
  await page.getByRole('button', { name: 'Take it out' }).click()
  await expect(photos.getByRole('img')).toHaveCount(0)
})

/** Announces more than it sends, waits a moment for an answer, and hangs up: the status, or null where none came. */
async function sendOnly(url: string, bytes: Buffer, announced: number): Promise<number | null> {
  return new Promise((resolve) => {
    const sent = send(url, {
      method: 'PUT',
      headers: { 'content-length': String(announced), 'content-type': 'application/octet-stream' },
    })
    sent.on('response', (response) => resolve(response.statusCode ?? null))
    sent.on('error', () => resolve(null))
    sent.write(bytes)
    setTimeout(() => sent.destroy(), 1000)
  })
}
