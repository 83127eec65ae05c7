/** A reading, from its sending to each stream and each page. */
import { get } from 'node:http'
import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../lib/browser.mjs'
import { sleep } from '../lib/processes.mjs'
import { Stop } from '../lib/say.mjs'
import { anew, LANES, newFeed } from './load.mjs'

const STREAMS = 200
const PAGES = 3
const READINGS = 120

export async function streams({ server: { url } }) {
  await anew(url)
  const lane = LANES[0]
  const token = await newFeed(url, 'seen', { water: [lane] })
  const sentAt = new Map()
  const late = { streams: [], pages: [] }
  const closers = []
  for (let i = 0; i < STREAMS; i++)
    closers.push(await openStream(`${url}/api/bench/stream`, hearer(sentAt, late.streams)))
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  for (let i = 0; i < PAGES; i++) await openPage(browser, url, lane, hearer(sentAt, late.pages))
  await sleep(2000)
  await sendReadings(url, token, sentAt)
  await sleep(1000)
  await browser.close()
  for (const close of closers) close()
  // A page shows each figure once, whatever else of the lane changes.
  return {
    streams: STREAMS,
    pages: PAGES,
    readings: READINGS,
    heard: late.streams.length,
    missing: STREAMS * READINGS - late.streams.length,
    streamsP95Ms: p95(late.streams),
    pagesP95Ms: p95(late.pages),
    pagesSaw: late.pages.length,
  }
}

/** One hearer's first sight of each reading. */
function hearer(sentAt, list) {
  const seen = new Set()
  return (values) => {
    for (const value of values) {
      if (!sentAt.has(value) || seen.has(value)) continue
      seen.add(value)
      list.push(performance.now() - sentAt.get(value))
    }
  }
}

/** A bench page that tells each figure of the lane's water it shows. */
async function openPage(browser, url, lane, heard) {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  await page.exposeFunction('seen', (value) => heard([value]))
  await page.goto(`${url}/bench`)
  await page.locator(`[data-lane=${lane}] .lane-water`).waitFor()
  await page.evaluate((name) => {
    const box = document.querySelector(`[data-lane=${name}]`)
    new MutationObserver(() =>
      globalThis.seen(Number(box.querySelector('.lane-water-figure')?.firstChild?.textContent)),
    ).observe(box, { childList: true, characterData: true, subtree: true })
  }, lane)
}

async function sendReadings(url, token, sentAt) {
  for (let n = 0; n < READINGS; n++) {
    const value = Number((20 + n / 10).toFixed(1))
    sentAt.set(value, performance.now())
    const answer = await fetch(`${url}/api/instruments/samples?batch=${n}`, {
      method: 'POST',
      headers: { authorization: `Bearer ${token}`, 'content-type': 'text/plain' },
      body: `,water,${value},degC`,
    })
    if (!answer.ok || (await answer.json()).stored !== 1) throw new Stop('A reading was not taken.')
    await sleep(400)
  }
}

const p95 = (values) => Math.round([...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? Infinity)

/** A stream that tells the newest value of each sample it hears. */
function openStream(url, hear) {
  return new Promise((resolve, reject) => {
    const request = get(url, (response) => {
      let rest = ''
      response.setEncoding('utf8')
      response.on('data', (piece) => {
        const blocks = (rest + piece).split('\n\n')
        rest = blocks.pop()
        for (const block of blocks) {
          if (!block.includes('event: samples')) continue
          const data = JSON.parse(/^data: (.*)$/m.exec(block)[1])
          hear(data.filter((one) => !one.whole && one.channel === 'water').map((one) => one.last[1]))
        }
      })
      resolve(() => request.destroy())
    })
    request.on('error', (error) => (request.destroyed ? undefined : reject(error)))
  })
}
