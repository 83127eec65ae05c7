/** How soon Runs answers to keys and presses on screen, as the browser measures it itself. */
const LIMIT_MS = 100

/** @param page a browser's page, not yet at Runs */
export async function byHand(size, report, page) {
  await page.addInitScript(() => {
    globalThis.answeredMs = []
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (entry.interactionId > 0) globalThis.answeredMs.push(entry.duration)
    }).observe({ type: 'event', durationThreshold: 16, buffered: true })
  })
  await page.goto(`${size.server.url}/runs`, { waitUntil: 'networkidle' })
  await page.waitForFunction(() => globalThis.useNuxtApp?.().isHydrating === false)
  for (let i = 0; i < 60; i++) await page.keyboard.press(i % 3 === 2 ? 'x' : 'j')
  for (const column of ['Boil', 'Set-up', 'Normalised']) {
    const first = page.locator('a[data-run]').first()
    const before = await first.getAttribute('href')
    await page.getByRole('button', { name: column, exact: true }).first().click()
    await page.waitForFunction(
      (href) => globalThis.document.querySelector('a[data-run]')?.getAttribute('href') !== href,
      before,
    )
  }
  const times = (await page.evaluate(() => globalThis.answeredMs)).sort((a, b) => a - b)
  const p95 = times[Math.ceil(0.95 * times.length) - 1] ?? 0
  const what = `Runs to the next paint, p95 of ${times.length} keys and presses of 16 ms or more`
  report.line(what, `${p95.toFixed(0)} ms`, `${LIMIT_MS} ms`, p95 <= LIMIT_MS)
}
