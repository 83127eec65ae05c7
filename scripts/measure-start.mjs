/** Measures a warm start: from `npm start` to the first page, several times. Needs one finished start before. */
import { whileServing } from './lib/measuredStart.mjs'
import { runMain, say, Stop } from './lib/say.mjs'

const LIMIT_S = 10

async function firstPage(address, began) {
  const page = await fetch(`${address}/`)
  const text = await page.text()
  if (!page.ok || !text.includes('<h1')) throw new Stop(`The page answered ${page.status}`)
  return (performance.now() - began) / 1000
}

runMain(async () => {
  if (process.argv.includes('--help'))
    return say('node scripts/measure-start.mjs [TIMES]   seconds from npm start to the first page; fails over 10 s')
  const seconds = []
  for (let i = 0; i < Number(process.argv[2] ?? 3); i++) seconds.push(await whileServing(firstPage))
  say(`warm start to the first page: ${seconds.map((value) => value.toFixed(1)).join(', ')} s (limit ${LIMIT_S} s)`)
  if (Math.max(...seconds) >= LIMIT_S) throw new Stop('Too slow.')
})
