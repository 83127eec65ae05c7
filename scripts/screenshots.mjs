/** Takes the pictures of docs/screenshots from the demonstration that serves at ADDRESS. */
import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS, requireChromium } from './lib/browser.mjs'
import { choose } from './lib/choose.mjs'
import { at } from './lib/paths.mjs'
import { runMain, say, Stop } from './lib/say.mjs'
import { clearBench, EVERY_STATE, stage } from './lib/stageBench.mjs'
import { followed, staged } from './screenshots/staged.mjs'

const RUN = '/runs/01950000-0000-7000-8000-000000000111'
/** Records whose ids are the bench's own, found by name. */
const BY_NAME = [
  ['setup', '/api/kit/setups', 'Lahar in the cone', '/kit/setups'],
  ['method', '/api/methods', 'Boil, then burn out', '/methods'],
]
/** File, path, light, width, height, and what to press before. */
const PICTURES = [
  ['today', '/', 'day', 1280, 800],
  ['log', '/runs/new', 'day', 1280, 800],
  ['runs', '/runs', 'day', 1280, 800],
  ['run', RUN, 'day', 1280, 1000, '[data-figure=normalisedGPerL]'],
  ['compare', '/compare', 'day', 1280, 900],
  ['compare-two', '/compare', 'day', 1280, 1000, 'role=link[name=/Does Spatter 1000 F save fuel on Solfatara/]'],
  ['ranking', '/compare', 'day', 1280, 1000, 'text=Which set-up boils'],
  ['flame-lines', '/compare', 'day', 1280, 820, 'text=Which flame is thriftiest on Fumarole with wide pot?'],
  ['wind', '/compare', 'day', 1280, 800, 'text=How does Fumarole with narrow pot stand wind?'],
  ['pack-weight', '/compare/ask', 'day', 1280, 900, 'text=What weighs least for so many boils?'],
  ['plan', '/plan/01980000-0000-7000-8000-000000000001', 'day', 1280, 960, '.plan-day text >> nth=0'],
  ['run-dark', RUN, 'dark', 1280, 800],
  ['kit', '/kit', 'day', 1280, 900],
  ['runs-phone', '/runs', 'day', 390, 844],
]
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
  const isWanted = (name) => !only || name === only
  const importId = await staged(address)
  const named = [['import', `/runs/import/${importId}`, 'day', 1280, 1500], ...(await byName(address))]
  for (const picture of [...PICTURES, ...named].filter(([name]) => isWanted(name)))
    await take(browser, address, picture)
  await withLanes(
    browser,
    address,
    BENCH.filter(([name]) => isWanted(name)),
  )
  await fetch(`${address}/api/imports/${importId}`, { method: 'DELETE' })
  await browser.close()
})

async function byName(address) {
  const found = []
  for (const [name, list, wanted, path] of BY_NAME) {
    const records = await (await fetch(address + list)).json()
    const { id } = records.find((one) => one.name === wanted)
    found.push([name, `${path}/${id}`, 'day', 1280, name === 'method' ? 1200 : 900])
  }
  return found
}

async function withLanes(browser, address, pictures) {
  if (pictures.length === 0) return
  await stage(address, EVERY_STATE.slice(0, 4))
  const leave = await followed(address)
  for (const picture of pictures) await take(browser, address, picture)
  await leave()
  await clearBench(address)
}

async function take(browser, address, [name, path, light, width, height, press]) {
  const context = await browser.newContext({
    viewport: { width, height },
    locale: 'en-GB',
    timezoneId: 'Atlantic/Azores',
  })
  await context.addCookies([{ name: 'vulcanum_light', value: encodeURIComponent(JSON.stringify(light)), url: address }])
  const page = await context.newPage()
  await page.goto(address + path)
  await page.waitForFunction(() => window.useNuxtApp?.().isHydrating === false)
  if (path === '/bench') await page.locator('[data-lane=A]').waitFor()
  if (name === 'import') await mapImport(page)
  if (press) await page.locator(press).first().click()
  await page.waitForTimeout(press ? 1500 : 500)
  await page.screenshot({ path: at('docs', 'screenshots', `${name}.png`) })
  await context.close()
  say(`docs/screenshots/${name}.png`)
}

async function mapImport(page) {
  await choose(page.getByLabel('Fuel', { exact: true }), 'Isobutane')
  await choose(page.getByLabel('Who', { exact: true }), 'Odra Vell')
  await choose(page.getByLabel(/Set-up “Tin can”/), 'new: gas, on the canister')
  await page.waitForTimeout(1500)
}
