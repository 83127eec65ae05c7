/** A page as a person has it: hydrated, and quiet. Any console error or any request to another host fails the test. */
import { test as base, expect, type Locator, type Page } from '@playwright/test'
import type { RunChoices } from '../../shared/runList'

export const test = base.extend<{ faults: string[] }>({
  faults: [
    async ({ page, baseURL }, use) => {
      const faults: string[] = []
      // A refusal in words is an answer, though the browser reports it as an error of its own.
      page.on(
        'console',
        (message) =>
          message.type() === 'error' &&
          !/status of (409|422)/.test(message.text()) &&
          faults.push(`${message.text()} (${message.location().url})`),
      )
      page.on('pageerror', (error) => faults.push(error.message))
      page.on(
        'request',
        (request) =>
          new URL(request.url()).host !== new URL(baseURL!).host &&
          !request.url().startsWith('data:') &&
          !request.url().startsWith('blob:') &&
          faults.push(`asked ${request.url()}`),
      )
      await use(faults)
      expect(faults).toEqual([])
    },
    { auto: true },
  ],
})

export { expect }
export { choose, chooseWord } from '../../scripts/lib/choose.mjs'

/** Opens a page and waits until it answers to keys and presses. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path)
  await hydrated(page)
}
/** It answers to keys and presses. */
export const hydrated = (page: Page) =>
  page.waitForFunction(
    () => (window as unknown as { useNuxtApp?: () => { isHydrating?: boolean } }).useNuxtApp?.().isHydrating === false,
  )

/** The address of the runs of what is called so. */
export async function runsOf(page: Page, named: Partial<Record<keyof RunChoices, string>>, more = ''): Promise<string> {
  const choices = (await (await page.request.get('/api/runs/choices')).json()) as RunChoices
  const query = new URLSearchParams(more)
  for (const [key, name] of Object.entries(named))
    query.set(key, choices[key as keyof RunChoices].find((one) => one.name === name)!.id)
  return `/runs?${query}`
}

/** What stands chosen in a list, in its words. */
export const chosenIn = (list: Locator): Promise<string> =>
  list.evaluate((box: HTMLSelectElement | HTMLInputElement) =>
    box instanceof HTMLSelectElement ? (box.selectedOptions[0]?.text ?? '').trim() : box.value,
  )

/** The logbook that is open with these columns, as its drawer would choose them. */
export async function showColumns(page: Page, columns: string[]): Promise<void> {
  const value = encodeURIComponent(JSON.stringify(columns))
  await page.context().addCookies([{ name: 'vulcanum_columns', value, url: page.url() }])
  await page.reload()
  await hydrated(page)
}

/** As a person without a mouse comes to something: a box that is drawn anew meanwhile is seen by its name. */
export async function tabTo(page: Page, to: Locator, most = 80): Promise<void> {
  const there = to.and(page.locator(':focus'))
  for (let i = 0; i < most; i++) {
    if ((await there.count()) > 0) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`${String(to)} was not reached by Tab.`)
}
