/** A rehearsal played at ten times a stove's pace, by the keys. */
import { choose } from '../lib/choose.mjs'

const CHOICES = [
  ['Method', 'Boil'],
  ['Set-up', 'Ignimbrite, plain pot'],
  ['Fuel', 'Isobutane'],
  ['Who', 'Odra Vell'],
  ['Place', 'Ash Gate hut'],
  ['Time runs', '10 times'],
]
/** Later than a glove's double press. */
const AFTER_A_PRESS_MS = 1300

/** @returns the path of its run */
export async function rehearsed(browser, address) {
  const options = { viewport: { width: 1280, height: 800 }, locale: 'en-GB', timezoneId: 'Atlantic/Azores' }
  const page = await (await browser.newContext(options)).newPage()
  await page.goto(`${address}/bench/prepare?rehearse`)
  await prepare(page)
  await play(page)
  await page.waitForURL(/\/runs\/[0-9a-f-]{36}/)
  await page.context().close()
  return new URL(page.url()).pathname
}

async function prepare(page) {
  await page.getByLabel('What stands in').waitFor()
  for (const [label, wanted] of CHOICES) await choose(page.getByLabel(label, { exact: true }), wanted)
  await page.getByLabel('Water', { exact: true }).fill('473 g')
  await page.getByRole('button', { name: /^Arm lane/ }).click()
  await page.locator('[data-next]').first().waitFor()
}

async function play(page) {
  const shows = (selector, words) =>
    page.waitForFunction(
      ([where, source]) => new RegExp(source).test(document.querySelector(where)?.textContent ?? ''),
      [selector, words.source],
      { timeout: 60_000 },
    )
  const press = async (words) => {
    await shows('[data-next]', words)
    await page.waitForTimeout(AFTER_A_PRESS_MS)
    await page.keyboard.press('Space')
  }
  const weigh = async () => {
    await shows('[data-seen]', /scale\s*\d/)
    await page.keyboard.press('Space')
    const text = await page.locator('[data-seen]').first().innerText()
    await page.keyboard.type(`${/scale\s*([\d.]+)/.exec(text)[1]} g`)
    await page.keyboard.press('Enter')
  }
  await weigh()
  await press(/Light/)
  await press(/Pot on/)
  await shows('[data-looks]', /rolls all over/)
  await press(/Boil/)
  await press(/Out/)
  await shows('[data-next]', /Weigh out/)
  await page.waitForTimeout(2 * AFTER_A_PRESS_MS)
  await weigh()
  await press(/Finish/)
}
