/** Beside the flame nothing is cut and nothing is covered, by the page's own geometry: as many lanes as a bench has. */
import type { Page } from '@playwright/test'
import { clearBench, EVERY_STATE, stage } from '../../scripts/lib/stageBench.mjs'
import { expect, open, test } from './page'

/** What of the lanes is cut, beyond its lane, or under something else. A long name alone may end in an ellipsis. */
const misfits = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const nameOf = (one: Element) => `${one.className || one.tagName} "${one.textContent!.trim().slice(0, 40)}"`
    const isShown = (one: Element) =>
      one.getClientRects().length > 0 &&
      !one.closest('svg, .sr-only, .truncate') &&
      getComputedStyle(one).visibility !== 'hidden'
    return [...document.querySelectorAll<HTMLElement>('[data-lane]')].flatMap((lane) => {
      const frame = lane.getBoundingClientRect()
      return [...lane.querySelectorAll<HTMLElement>('*')].filter(isShown).flatMap((one) => {
        const box = one.getBoundingClientRect()
        const style = getComputedStyle(one)
        const middle = document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2)
        const isPressed = one.matches('button, select, input')
        return [
          ...(box.right > frame.right + 1 || box.bottom > frame.bottom + 1 ? ['beyond its lane'] : []),
          ...(isPressed && box.right > frame.right - 1 ? ['touches its frame'] : []),
          ...(style.overflowX !== 'visible' && one.scrollWidth > one.clientWidth + 1 ? ['cut sideways'] : []),
          ...(style.overflowY === 'hidden' && one.scrollHeight > one.clientHeight + 2 ? ['cut below'] : []),
          ...(isPressed && middle !== null && !one.contains(middle) ? [`under ${nameOf(middle)}`] : []),
        ].map((what) => `${lane.dataset.lane}: ${nameOf(one)} ${what}`)
      })
    })
  })

/** As wide as it is, and beside a scroll bar. */
const WIDTHS = [1280, 1265]

async function expectToFit(page: Page, names: string): Promise<void> {
  await page.locator(`[data-lane=${names.at(-1)}]`).waitFor()
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 800 })
    await expect.poll(() => misfits(page), `lanes ${names} at ${width} px`).toEqual([])
  }
}

test('one to six lanes fit at 1280 × 800, with and without a scroll bar', async ({ page, baseURL }) => {
  for (const count of [1, 2, 3, 4, 5, 6]) {
    await clearBench(baseURL)
    const lanes = EVERY_STATE.slice(0, count)
    await stage(baseURL, lanes)
    await open(page, '/bench')
    await expectToFit(page, lanes.map((one) => one.lane).join(''))
  }
  await clearBench(baseURL)
})

test('a lane by itself fits in whatever state it is', async ({ page, baseURL }) => {
  for (const state of EVERY_STATE) {
    await clearBench(baseURL)
    await stage(baseURL, [{ ...state, lane: 'A' }])
    await open(page, '/bench')
    await expectToFit(page, 'A')
  }
  await clearBench(baseURL)
})
