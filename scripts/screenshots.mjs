/** Takes the pictures of docs/screenshots from the demonstration that serves at ADDRESS. */
import { randomUUID } from 'node:crypto'
import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS, requireChromium } from './lib/browser.mjs'
import { at } from './lib/paths.mjs'
import { runMain, say, Stop } from './lib/say.mjs'
import { clearBench, EVERY_STATE, stage } from './lib/stageBench.mjs'

const RUN = '/runs/01950000-0000-7000-8000-000000000111'
const WINDY = '/runs/01950000-0000-7000-8000-000000000133'
const NO_WIND = '/runs/01960000-0000-7000-8000-000000000004'
/** Records whose ids are the bench's own, found by name. */
const BY_NAME = [
  ['setup', '/api/kit/setups', 'Lahar in the cone', '/kit/setups'],
  ['method', '/api/methods', 'Boil, then burn out', '/methods'],
  ['container', '/api/kit/containers', 'Canister B', '/kit/containers'],
]
/** File, path, light, width, height, what to press before, and where to look. */
const PICTURES = [
  ['today', '/', 'day', 1280, 800],
  ['log', '/runs/new', 'day', 1280, 800],
  ['runs', '/runs', 'day', 1280, 800],
  ['run', RUN, 'day', 1280, 1000, '[data-figure=normalisedGPerL]'],
  ['run-below', WINDY, 'day', 1280, 1100, 'button:has-text("Draw")', 'bottom'],
  ['numbers', '/numbers', 'day', 1280, 1000],
  ['run-glare', NO_WIND, 'glare', 1280, 800],
  ['run-dark', RUN, 'dark', 1280, 800],
  ['kit', '/kit', 'day', 1280, 900],
  ['methods', '/methods', 'day', 1280, 800],
  ['run-care', '/runs/01970000-0000-7000-8000-000000000277', 'day', 1280, 900, null, 'bottom'],
  ['runs-phone', '/runs', 'day', 390, 844],
]
/** A table as somebody keeps it, sent and not stored. */
const MESSY = `Porch tests;;;;;;;\nDate;Stove;Water (mL);Start temp;Fuel before (g);Fuel after (g);Boil;Wind\n2026-03-14;Fumarole with narrow pot;500;17,2;212,4;205,1;3:48;calm\n2026-03-15;Fumarole with narrow pot;500;16,9;205,1;197,9;3:52;calm\n2026-03-16;Tin can;500;16,5;40,0;42,5;9:10;1,8 m/s\n2026-03-17;Tin can;half;16,5;40,0;22,5;9:10;`
async function staged(address) {
  const id = randomUUID()
  await fetch(`${address}/api/imports/${id}?name=porch.csv`, {
    method: 'PUT',
    headers: { 'content-type': 'application/octet-stream' },
    body: MESSY,
  })
  return id
}
/** Instruments of two lanes, since the pot was put on: what they sent, so far. */
async function followed(address) {
  const { serverMs } = await (await fetch(`${address}/api/bench`)).json()
  const feeds = []
  for (const [lane, sinceS, boilsAfterS] of [
    ['A', 236, 400],
    ['D', 440, 380],
  ]) {
    const id = randomUUID()
    const made = await (
      await fetch(`${address}/api/instruments/feeds`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          id,
          name: `probe ${lane}`,
          lanes: Object.fromEntries(['water', 'scale', 'wind', 'air'].map((channel) => [channel, [lane]])),
        }),
      })
    ).json()
    const lines = Array.from({ length: sinceS / 2 }, (_, i) => {
      const [s, at] = [2 * i, Math.round(serverMs - (sinceS - 2 * i) * 1000)]
      const water = Math.min(96.7, 18 + (78.7 * s) / boilsAfterS) + 0.2 * Math.sin(i * 2.4)
      return `${at},water,${water.toFixed(1)},degC\n${at},scale,${(184 - s * 0.035).toFixed(1)},g\n${at},wind,${(0.4 + 0.2 * Math.sin(i / 5)).toFixed(1)},m/s\n${at},air,${(11.2 + 0.1 * Math.sin(i / 30)).toFixed(1)},degC`
    })
    await fetch(`${address}/api/instruments/samples?batch=picture`, {
      method: 'POST',
      headers: { authorization: `Bearer ${made.value.token}`, 'content-type': 'text/plain' },
      body: lines.join('\n'),
    })
    feeds.push(id)
  }
  return async () => {
    for (const id of feeds) await fetch(`${address}/api/instruments/feeds/${id}`, { method: 'DELETE' })
  }
}
/** A rehearsal played at ten times a stove's pace, by the keys. */
async function rehearsed(browser, address) {
  const page = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB', timezoneId: 'Atlantic/Azores' })
  ).newPage()
  await page.goto(`${address}/bench/prepare?rehearse`)
  await page.getByLabel('What stands in').waitFor()
  const choose = async (label, wanted) => {
    const box = page.getByLabel(label, { exact: true })
    await box.selectOption({
      label: (await box.locator('option').allInnerTexts()).find((text) => text.includes(wanted)),
    })
  }
  for (const [label, wanted] of [
    ['Method', 'Boil'],
    ['Set-up', 'Ignimbrite, plain pot'],
    ['Fuel', 'Isobutane'],
    ['Who', 'Odra Vell'],
    ['Place', 'Ash Gate hut'],
    ['Time runs', '10 times'],
  ])
    await choose(label, wanted)
  await page.getByLabel('Water', { exact: true }).fill('473 g')
  await page.getByRole('button', { name: /^Arm lane/ }).click()
  const next = page.locator('[data-next]').first()
  const shows = (selector, words) =>
    page.waitForFunction(
      ([where, source]) => new RegExp(source).test(document.querySelector(where)?.textContent ?? ''),
      [selector, words.source],
      { timeout: 60_000 },
    )
  /** When Next says so; later than a glove's double press. */
  const press = async (words) => {
    await shows('[data-next]', words)
    await page.waitForTimeout(1300)
    await page.keyboard.press('Space')
  }
  const weigh = async () => {
    await shows('[data-seen]', /scale\s*\d/)
    await page.keyboard.press('Space')
    const text = await page.locator('[data-seen]').first().innerText()
    await page.keyboard.type(`${/scale\s*([\d.]+)/.exec(text)[1]} g`)
    await page.keyboard.press('Enter')
  }
  await next.waitFor()
  await weigh()
  await press(/Light/)
  await press(/Pot on/)
  await shows('[data-looks]', /rolls all over/)
  await press(/Boil/)
  await press(/Out/)
  await shows('[data-next]', /Weigh out/)
  await page.waitForTimeout(2500)
  await weigh()
  await press(/Finish/)
  await page.waitForURL(/\/runs\/[0-9a-f-]{36}/)
  await page.context().close()
  return new URL(page.url()).pathname
}
/** Last: lanes burn meanwhile, and what they leave behind is void. */
const BENCH = [
  ['bench', '/bench', 'day', 1280, 800],
  ['bench-phone', '/bench', 'dark', 390, 844],
]

runMain(async () => {
  const [, , address, only] = process.argv
  if (!address || address === '--help')
    throw new Stop('node scripts/screenshots.mjs ADDRESS [PICTURE]   for example http://127.0.0.1:3000')
  await requireChromium()
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  const importId = await staged(address)
  const named = [['import', `/runs/import/${importId}`, 'day', 1280, 1500]]
  for (const [name, list, wanted, at] of BY_NAME)
    named.push([
      name,
      `${at}/${(await (await fetch(address + list)).json()).find((one) => one.name === wanted).id}`,
      'day',
      1280,
      name === 'method' ? 1200 : 900,
    ])
  if (!only || only === 'rehearsal') named.push(['rehearsal', await rehearsed(browser, address), 'day', 1280, 900])
  const wanted = [...PICTURES, ...named, ...BENCH].filter(([name]) => !only || name === only)
  let leave = null
  for (const [name, path, light, width, height, press, scroll] of wanted) {
    if (leave === null && BENCH.some(([one]) => one === name)) {
      await stage(address, EVERY_STATE.slice(0, 4))
      leave = await followed(address)
    }
    const context = await browser.newContext({
      viewport: { width, height },
      locale: 'en-GB',
      timezoneId: 'Atlantic/Azores',
    })
    await context.addCookies([
      { name: 'vulcanum_light', value: encodeURIComponent(JSON.stringify(light)), url: address },
    ])
    const page = await context.newPage()
    await page.goto(address + path)
    await page.waitForFunction(() => window.useNuxtApp?.().isHydrating === false)
    if (path === '/bench') await page.locator('[data-lane=A]').waitFor()
    if (name === 'import') {
      const fuels = await page.getByLabel('Fuel', { exact: true }).locator('option').allInnerTexts()
      await page
        .getByLabel('Fuel', { exact: true })
        .selectOption({ label: fuels.find((text) => /isobutane/i.test(text)) })
      await page.getByLabel('Who', { exact: true }).selectOption({ index: 1 })
      await page.getByLabel(/Set-up “Tin can”/).selectOption('new: gas, on the canister')
      await page.waitForTimeout(1500)
    }
    if (press) await page.locator(press).click()
    await page.waitForTimeout(press ? 1500 : 500)
    if (scroll === 'bottom') await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight))
    await page.screenshot({ path: at('docs', 'screenshots', `${name}.png`) })
    await context.close()
    say(`docs/screenshots/${name}.png`)
  }
  await leave?.()
  await clearBench(address)
  await fetch(`${address}/api/imports/${importId}`, { method: 'DELETE' })
  await browser.close()
})
